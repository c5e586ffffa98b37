import type { Landmark, Schemas } from '../../api/client'
import type { Size } from './Board'
import type { FromWorker, ToWorker } from './follow.worker'
import { chunks, enlarged, moments } from './moments'
import type { Marks, Place } from './marks'

type Frame = Schemas['FrameInput']

/** Marks are followed in a picture of no more than so many pixels each way. */
const LARGEST_PX = 720

/** Frames held at a time on the way back: two seconds. */
const CHUNK = 30

/** Landmarks that move with the body. */
const FOLLOWED: Landmark[] = ['HEEL', 'TOE', 'ANKLE', 'KNEE', 'HIP', 'SHOULDER']

/**
 * Follows the marks through a film from the frame on which they were set. Nothing of the film
 * leaves this device.
 *
 * @param onPart how much of the film is done, 0 to 1
 */
export async function follow(
  video: HTMLVideoElement,
  size: Size,
  marks: Marks,
  signal: AbortSignal,
  onPart: (part: number) => void,
): Promise<Frame[]> {
  const scale = Math.min(1, LARGEST_PX / Math.max(size.width, size.height))
  const names = FOLLOWED.filter((landmark) => marks[landmark])
  const start = names.map((landmark): [number, number] => {
    const place: Place = marks[landmark]!
    return [scale * place.x, scale * place.y]
  })
  const fromS = video.currentTime
  const { on, back } = moments(fromS, video.duration)
  const worker = new Worker(new URL('./follow.worker.ts', import.meta.url), { type: 'module' })
  const frames: Frame[] = []
  const take = (timeS: number, told: ([number, number] | null)[]) => {
    frames.push({ timeS, marks: enlarged(names, told, scale) })
    onPart(Math.min(1, (frames.length - 1) / (on.length + back.length)))
  }
  const picture = async (timeS: number) => {
    await seek(video, timeS)
    return createImageBitmap(video, {
      resizeWidth: Math.round(scale * size.width),
      resizeHeight: Math.round(scale * size.height),
    })
  }
  const begin = async () =>
    ask(worker, signal, { kind: 'begin', frame: await picture(fromS), points: start })
  try {
    await answer(worker, signal)
    take(fromS, await begin())
    let asked: Promise<void> = Promise.resolve()
    for (const timeS of on) {
      const frame = await picture(timeS) // while the one before is followed
      await asked
      asked = ask(worker, signal, { kind: 'next', frame }).then((told) => take(timeS, told))
    }
    await asked
    await begin()
    // films are read forwards much faster than backwards
    for (const chunk of chunks(back, CHUNK)) {
      const pictures: ImageBitmap[] = []
      for (const timeS of [...chunk].reverse()) pictures.unshift(await picture(timeS))
      for (const [k, timeS] of chunk.entries())
        take(timeS, await ask(worker, signal, { kind: 'next', frame: pictures[k]! }))
    }
  } finally {
    worker.terminate()
    await seek(video, fromS)
  }
  return frames.sort((one, other) => one.timeS! - other.timeS!)
}

/** What the worker says next. */
function answer(worker: Worker, signal: AbortSignal): Promise<FromWorker> {
  return new Promise((resolve, reject) => {
    if (signal.aborted) reject(new DOMException('stopped', 'AbortError'))
    signal.addEventListener('abort', () => reject(new DOMException('stopped', 'AbortError')))
    worker.onmessage = (event: MessageEvent<FromWorker>) =>
      event.data.kind === 'failed' ? reject(new Error(event.data.message)) : resolve(event.data)
    worker.onerror = () => reject(new Error('This browser cannot follow marks through a film.'))
  })
}

async function ask(worker: Worker, signal: AbortSignal, message: ToWorker) {
  const told = answer(worker, signal)
  worker.postMessage(message, [message.frame])
  const said = await told
  return said.kind === 'points' ? said.points : []
}

/** Shows another moment, and waits until it is seen. */
export function seek(video: HTMLVideoElement, timeS: number): Promise<void> {
  return new Promise((resolve) => {
    if (Math.abs(video.currentTime - timeS) < 1e-6 && video.readyState >= 2) resolve()
    else {
      video.addEventListener('seeked', () => resolve(), { once: true })
      video.currentTime = timeS
    }
  })
}
