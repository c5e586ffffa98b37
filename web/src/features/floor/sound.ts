let context: AudioContext | undefined

/** Has to be called from a touch first: browsers let no page sound by itself. */
export function readySound(): void {
  try {
    context ??= new AudioContext()
    void context.resume()
  } catch {
    context = undefined
  }
}

/** A short tone; silent where no sound is allowed. */
export function tone(hertz: number, seconds: number, loud = 0.25): void {
  if (!context || context.state !== 'running') return
  const at = context.currentTime
  const oscillator = context.createOscillator()
  const gain = context.createGain()
  oscillator.frequency.value = hertz
  gain.gain.setValueAtTime(0, at)
  gain.gain.linearRampToValueAtTime(loud, at + 0.01)
  gain.gain.setValueAtTime(loud, at + Math.max(0.02, seconds - 0.03))
  gain.gain.linearRampToValueAtTime(0, at + seconds)
  oscillator.connect(gain).connect(context.destination)
  oscillator.start(at)
  oscillator.stop(at + seconds)
}

/** The end of a rest: heard, and felt where the telephone can. */
export function restOver(): void {
  tone(660, 0.18)
  setTimeout(() => tone(880, 0.3), 220)
  if ('vibrate' in navigator) navigator.vibrate([120, 80, 240])
}
