import opencv from '@techstark/opencv-js'

/*
 * Follows points from frame to frame by pyramidal optical flow (Lucas and Kanade 1981; Bouguet
 * 2001), in a thread of its own. A point is followed forth and back; one that does not come home is
 * lost in that frame.
 */

type Point = [number, number]
export type ToWorker =
  { kind: 'begin'; frame: ImageBitmap; points: Point[] } | { kind: 'next'; frame: ImageBitmap }
export type FromWorker =
  | { kind: 'ready' }
  | { kind: 'failed'; message: string }
  | { kind: 'points'; points: (Point | null)[] }

const WINDOW = 31
const LEVELS = 4
/** A point that comes back so far from where it was is lost, pixels of the smaller picture. */
const HOME_PX = 2

type Cv = typeof opencv
type Mat = InstanceType<Cv['Mat']>

let cv: Cv
let before: Mat | null = null
let points: Point[] = []

const say = (message: FromWorker) => self.postMessage(message)

async function load() {
  const loading: unknown = opencv
  cv = loading instanceof Promise ? ((await loading) as Cv) : opencv
  if (!('Mat' in cv))
    await new Promise<void>((ready) => {
      cv.onRuntimeInitialized = ready
    })
}

function grey(frame: ImageBitmap): Mat {
  const canvas = new OffscreenCanvas(frame.width, frame.height)
  const brush = canvas.getContext('2d')!
  brush.drawImage(frame, 0, 0)
  frame.close()
  const coloured = cv.matFromImageData(brush.getImageData(0, 0, canvas.width, canvas.height))
  const result = new cv.Mat()
  cv.cvtColor(coloured, result, cv.COLOR_RGBA2GRAY as number)
  coloured.delete()
  return result
}

function flow(from: Mat, to: Mat, at: Point[]): { points: Point[]; found: boolean[] } {
  const start = cv.matFromArray(at.length, 1, cv.CV_32FC2, at.flat())
  const end = new cv.Mat()
  const status = new cv.Mat()
  const error = new cv.Mat()
  const either = (cv.TermCriteria_EPS as number) + (cv.TermCriteria_COUNT as number)
  const stop = new cv.TermCriteria(either, 30, 0.01)
  const size = new cv.Size(WINDOW, WINDOW)
  cv.calcOpticalFlowPyrLK(from, to, start, end, status, error, size, LEVELS, stop)
  const places = Array.from(end.data32F)
  const found = Array.from(status.data, (one) => one === 1)
  for (const mat of [start, end, status, error]) mat.delete()
  return { points: at.map((_, k) => [places[2 * k]!, places[2 * k + 1]!]), found }
}

function next(frame: Mat): (Point | null)[] {
  const forth = flow(before!, frame, points)
  const back = flow(frame, before!, forth.points)
  const told = points.map((point, k): Point | null => {
    const home = back.points[k]!
    const away = Math.hypot(home[0] - point[0], home[1] - point[1])
    return forth.found[k] && back.found[k] && away < HOME_PX ? forth.points[k]! : null
  })
  points = points.map((point, k) => (forth.found[k] ? forth.points[k]! : point))
  before!.delete()
  before = frame
  return told
}

self.onmessage = (event: MessageEvent<ToWorker>) => {
  const frame = grey(event.data.frame)
  if (event.data.kind === 'begin') {
    before?.delete()
    before = frame
    points = event.data.points
    say({ kind: 'points', points })
  } else say({ kind: 'points', points: next(frame) })
}

load().then(
  () => say({ kind: 'ready' }),
  (error: unknown) => say({ kind: 'failed', message: String(error) }),
)
