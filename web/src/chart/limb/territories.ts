import { smoothLoop } from '../smooth'

/**
 * The leg unrolled like a map. Across: front 0-2, outer 2-4, back 4-6, inner 6-8 (which joins the front again). Down: hip crest 0, knee about 6.2, heel about 9.6.
 * Each territory is a loop of points; the border is drawn as a smooth curve through them. Deep muscles are insets, where the map is empty.
 */
export type Territory = {
  id: string
  points: [number, number][]
  inset?: boolean
  /** as short as its place on the map allows; the column says the rest */
  name?: string
  /** whether the name runs down the leg */
  upright?: boolean
}

export const WIDTH = 8
/** A leg is longer than it is round: the map is drawn taller than its grid. */
const STRETCH = 1.42
export const down = (y: number) => STRETCH * y
export const TOP = down(-0.35)
export const HEIGHT = down(10.1)

export const TERRITORIES: Territory[] = [
  {
    id: 'GMAXU',
    name: 'upper glute',
    points: [
      [3.98, 0.92],
      [4.6, 0.55],
      [5.5, 0.6],
      [5.92, 1.0],
      [5.0, 1.24],
      [4.06, 1.5],
    ],
  },
  {
    id: 'GMAXM',
    name: 'middle glute',
    points: [
      [4.08, 1.58],
      [5.0, 1.33],
      [5.98, 1.1],
      [6.3, 1.5],
      [5.6, 1.98],
      [4.48, 2.2],
    ],
  },
  {
    id: 'GMAXL',
    name: 'lower glute',
    points: [
      [4.5, 2.3],
      [5.6, 2.08],
      [6.3, 1.64],
      [6.44, 2.3],
      [5.9, 2.76],
      [4.8, 2.76],
    ],
  },
  {
    id: 'GMEDP',
    name: 'side, back',
    upright: true,
    points: [
      [3.38, 0.3],
      [4.05, 0.18],
      [4.5, 0.42],
      [3.88, 0.86],
      [3.88, 1.5],
      [3.5, 1.62],
    ],
  },
  {
    id: 'GMEDA',
    name: 'side, front',
    upright: true,
    points: [
      [2.45, 0.55],
      [3.28, 0.3],
      [3.4, 1.62],
      [2.95, 1.76],
      [2.58, 1.2],
    ],
  },
  {
    id: 'GMIN',
    points: [
      [2.78, 2.12],
      [3.2, 1.98],
      [3.62, 2.12],
      [3.62, 2.5],
      [3.2, 2.66],
      [2.78, 2.5],
    ],
    inset: true,
  },
  {
    id: 'RF',
    name: 'upper quad',
    upright: true,
    points: [
      [1.0, 2.05],
      [1.55, 1.98],
      [1.74, 3.2],
      [1.56, 4.8],
      [1.3, 5.5],
      [1.04, 4.8],
      [0.84, 3.2],
    ],
  },
  {
    id: 'VL',
    name: 'outer quad',
    upright: true,
    points: [
      [1.75, 2.15],
      [2.5, 2.3],
      [2.74, 3.6],
      [2.45, 5.1],
      [1.9, 5.85],
      [1.58, 5.55],
      [1.68, 4.8],
      [1.86, 3.2],
    ],
  },
  {
    id: 'VM',
    name: 'inner quad',
    upright: true,
    points: [
      [0.12, 4.1],
      [0.66, 3.5],
      [0.93, 4.75],
      [1.16, 5.5],
      [0.95, 6.05],
      [0.42, 5.95],
      [0.06, 5.1],
    ],
  },
  {
    id: 'VI',
    points: [
      [2.95, 3.3],
      [3.35, 3.05],
      [3.75, 3.3],
      [3.78, 4.3],
      [3.38, 4.6],
      [2.98, 4.3],
    ],
    inset: true,
  },
  {
    id: 'BFL',
    name: 'outer hamstring',
    upright: true,
    points: [
      [4.35, 2.92],
      [5.15, 2.88],
      [5.26, 3.8],
      [5.0, 4.9],
      [4.5, 4.9],
      [4.14, 4.0],
    ],
  },
  {
    id: 'BFS',
    name: 'low',
    upright: true,
    points: [
      [4.08, 4.5],
      [4.46, 5.02],
      [4.98, 5.04],
      [4.8, 5.9],
      [4.36, 6.22],
      [3.94, 5.5],
    ],
  },
  {
    id: 'ST',
    name: 'inner hamstring',
    upright: true,
    points: [
      [5.28, 2.92],
      [5.95, 2.9],
      [6.22, 3.6],
      [6.14, 4.85],
      [5.7, 5.1],
      [5.32, 4.2],
      [5.36, 3.6],
    ],
  },
  {
    id: 'SM',
    name: 'deep',
    upright: true,
    points: [
      [6.32, 3.7],
      [6.66, 4.2],
      [6.9, 5.2],
      [6.6, 6.12],
      [6.1, 6.12],
      [5.82, 5.25],
      [6.22, 4.95],
    ],
  },
  {
    id: 'AMI',
    name: 'back',
    upright: true,
    points: [
      [6.52, 2.5],
      [6.86, 2.5],
      [7.0, 3.2],
      [7.0, 4.2],
      [6.72, 3.95],
      [6.48, 3.3],
    ],
  },
  {
    id: 'AB',
    name: 'high',
    upright: true,
    points: [
      [6.94, 2.1],
      [7.36, 2.1],
      [7.4, 3.0],
      [7.14, 3.16],
      [6.92, 2.7],
    ],
  },
  {
    id: 'AL',
    name: 'front',
    upright: true,
    points: [
      [7.44, 2.2],
      [7.9, 2.1],
      [7.97, 3.2],
      [7.72, 3.85],
      [7.46, 3.2],
    ],
  },
  {
    id: 'AMA',
    name: 'deep',
    upright: true,
    points: [
      [7.12, 3.28],
      [7.38, 3.22],
      [7.62, 4.0],
      [7.56, 5.0],
      [7.3, 5.3],
      [7.08, 4.3],
    ],
  },
  {
    id: 'GRA',
    name: 'strap',
    upright: true,
    points: [
      [7.7, 4.05],
      [7.96, 3.5],
      [7.98, 5.6],
      [7.8, 6.1],
      [7.64, 5.1],
    ],
  },
  {
    id: 'GASM',
    name: 'inner calf',
    upright: true,
    points: [
      [5.42, 6.62],
      [6.2, 6.5],
      [6.56, 7.1],
      [6.3, 7.95],
      [5.76, 8.2],
      [5.42, 7.7],
    ],
  },
  {
    id: 'GASL',
    name: 'outer calf',
    upright: true,
    points: [
      [4.5, 6.62],
      [5.3, 6.62],
      [5.3, 7.6],
      [5.0, 7.92],
      [4.5, 7.6],
      [4.3, 7.05],
    ],
  },
  {
    id: 'SOL',
    name: 'lower calf',
    points: [
      [4.42, 7.75],
      [5.0, 8.04],
      [5.36, 7.86],
      [5.76, 8.32],
      [6.36, 8.08],
      [6.2, 8.9],
      [5.5, 9.5],
      [4.9, 9.2],
      [4.4, 8.5],
    ],
  },
  {
    id: 'TA',
    name: 'shin',
    upright: true,
    points: [
      [1.2, 6.7],
      [1.72, 6.66],
      [1.86, 7.4],
      [1.6, 8.6],
      [1.32, 9.2],
      [1.1, 8.4],
      [1.04, 7.3],
    ],
  },
  {
    id: 'ILP',
    name: 'hip flexors',
    points: [
      [0.5, 0.85],
      [1.2, 0.62],
      [2.1, 0.7],
      [2.2, 1.15],
      [1.55, 1.72],
      [0.95, 1.76],
      [0.55, 1.4],
    ],
  },
  {
    id: 'ERECTORS',
    name: 'back',
    points: [
      [4.75, -0.22],
      [5.45, -0.25],
      [5.5, 0.15],
      [5.45, 0.42],
      [4.85, 0.38],
      [4.7, 0.1],
    ],
  },
]

/** The border of a territory. */
export const outline = (points: [number, number][]): string =>
  smoothLoop(points.map(([x, y]) => ({ x, y: down(y) })))

export function centre(points: [number, number][]): [number, number] {
  const xs = points.map((point) => point[0])
  const ys = points.map((point) => point[1])
  return [(Math.min(...xs) + Math.max(...xs)) / 2, down((Math.min(...ys) + Math.max(...ys)) / 2)]
}

const ARROWS: Record<string, [number, number]> = {
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
}

/** What lies nearest in the direction of an arrow; what lies aside counts as further. */
export function towards(from: Territory, key: string): Territory | undefined {
  const [dx, dy] = ARROWS[key]!
  const [x, y] = centre(from.points)
  return TERRITORIES.filter((territory) => territory.id !== from.id)
    .map((territory) => {
      const [tx, ty] = centre(territory.points)
      const along = (tx - x) * dx + (ty - y) * dy
      const aside = Math.abs((tx - x) * dy) + Math.abs((ty - y) * dx)
      return { t: territory, along, far: along + 2 * aside }
    })
    .filter((c) => c.along > 0.05)
    .sort((first, second) => first.far - second.far)[0]?.t
}
