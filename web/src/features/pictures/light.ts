/** Side of the small copy that is looked at, pixels. */
const COPY = 48

/** A picture is dark whose middle brightness is less, of 255. */
const DARK = 40

/** Whether a picture is too dark for joints to be made out. */
export function isDark(picture: CanvasImageSource): boolean {
  const canvas = document.createElement('canvas')
  canvas.width = COPY
  canvas.height = COPY
  const brush = canvas.getContext('2d')
  if (!brush) return false
  brush.drawImage(picture, 0, 0, COPY, COPY)
  return middleBrightness(brush.getImageData(0, 0, COPY, COPY).data) < DARK
}

/** Median of the brightness of pixels in red, green, blue and opacity (ITU-R BT.601). */
export function middleBrightness(rgba: Uint8ClampedArray): number {
  const all: number[] = []
  for (let at = 0; at + 3 < rgba.length; at += 4)
    all.push(0.299 * rgba[at]! + 0.587 * rgba[at + 1]! + 0.114 * rgba[at + 2]!)
  all.sort((one, other) => one - other)
  return all[Math.floor(all.length / 2)] ?? 0
}
