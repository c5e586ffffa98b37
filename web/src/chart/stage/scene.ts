import type { Drawing } from '../../api/client'

export type Box = { x: number; y: number; width: number; height: number }
export type Point = { x: number; y: number }

/** The smallest frame, in metres with y up turned to y down, that holds every drawing, with some air. */
export function frame(drawings: Drawing[], air = 0.08): Box {
  let [left, right, low, high] = [Infinity, -Infinity, Infinity, -Infinity]
  const add = (p: Point, r = 0) => {
    left = Math.min(left, p.x - r)
    right = Math.max(right, p.x + r)
    low = Math.min(low, p.y - r)
    high = Math.max(high, p.y + r)
  }
  for (const d of drawings) {
    for (const l of d.lines)
      if (l.role !== 'floor' && l.role !== 'force' && l.role !== 'rail')
        l.points.forEach((p) => add(p))
    for (const c of d.circles) add(c.centre, c.radius)
  }
  if (left > right) return { x: -1, y: -2, width: 2, height: 2 }
  return {
    x: left - air,
    y: -high - air,
    width: right - left + 2 * air,
    height: high - low + 2 * air,
  }
}

/** The drawing turned and moved so that the sole of the foot lies level at a height of nothing with the ankle above the origin: two exercises on one floor. Steel and force lines of a machine turn along. */
export function toTheFloor(d: Drawing): Drawing {
  const foot = d.lines.find((l) => l.role === 'foot')?.points
  const ankle = place(d, 'joint-ankle')
  if (!foot || foot.length < 3 || !ankle) return d
  // heel and toes are the points furthest apart
  let [heel, toe] = [foot[0]!, foot[1]!]
  for (const p of foot)
    for (const q of foot)
      if (Math.hypot(p.x - q.x, p.y - q.y) > Math.hypot(heel.x - toe.x, heel.y - toe.y))
        [heel, toe] = [p, q]
  let angle = Math.atan2(toe.y - heel.y, toe.x - heel.x)
  // the ankle stands above the sole, the toes point forward
  const above = (toe.x - heel.x) * (ankle.y - heel.y) - (toe.y - heel.y) * (ankle.x - heel.x)
  if (above < 0) angle += Math.PI
  const [c, s] = [Math.cos(-angle), Math.sin(-angle)]
  const sole = -(heel.x - ankle.x) * Math.sin(angle) + (heel.y - ankle.y) * Math.cos(angle)
  const turn = (p: Point): Point => ({
    x: (p.x - ankle.x) * c - (p.y - ankle.y) * s,
    y: (p.x - ankle.x) * s + (p.y - ankle.y) * c - sole,
  })
  return {
    lines: d.lines.map((l) => ({ ...l, points: l.points.map(turn) })),
    circles: d.circles.map((k) => ({ ...k, centre: turn(k.centre) })),
    levers: d.levers.map((l) => ({ ...l, from: turn(l.from), to: turn(l.to) })),
  }
}

/** Where a part of a drawing is: the centre of a circle, or a point of a line. */
export function place(d: Drawing, role: string, index = 0): Point | undefined {
  return (
    d.circles.find((c) => c.role === role)?.centre ??
    d.lines.find((l) => l.role === role)?.points[index]
  )
}

export type Handle = {
  parameter: string
  /** part of the drawing that is held */
  role: string
  index?: number
  /** direction of the drag that raises the value; y up */
  axis: [number, number]
  /** change of the value for each metre dragged along the axis */
  perMetre: number
}

/** What can be taken hold of on the stage, by family. Everything else moves by its slider. */
export const HANDLES: Record<string, Handle[]> = {
  squat: [
    { parameter: 'depth', role: 'joint-hip', axis: [0, -1], perMetre: 140 },
    { parameter: 'kneeTravel', role: 'joint-knee', axis: [1, 0], perMetre: 4.5 },
    { parameter: 'wedge', role: 'foot', index: 0, axis: [0, 1], perMetre: 500 },
  ],
  'guided-squat': [
    { parameter: 'depth', role: 'joint-hip', axis: [0, -1], perMetre: 140 },
    { parameter: 'lean', role: 'trunk', index: 1, axis: [1, 0], perMetre: 110 },
    { parameter: 'feetForward', role: 'foot', index: 2, axis: [1, 0], perMetre: 1 },
  ],
  hack: [
    { parameter: 'kneeDepth', role: 'joint-hip', axis: [0.7, -0.7], perMetre: 140 },
    { parameter: 'feetForward', role: 'foot', index: 2, axis: [0.7, 0.7], perMetre: 1 },
  ],
  press: [
    { parameter: 'footHeight', role: 'foot', index: 2, axis: [-0.7, 0.7], perMetre: 1 },
    { parameter: 'kneeDepth', role: 'joint-ankle', axis: [-0.7, -0.7], perMetre: 140 },
  ],
  hinge: [
    { parameter: 'lean', role: 'trunk', index: 1, axis: [0.7, -0.7], perMetre: 110 },
    { parameter: 'kneeBend', role: 'joint-knee', axis: [1, 0], perMetre: 120 },
  ],
  deadlift: [
    { parameter: 'shin', role: 'joint-knee', axis: [1, 0], perMetre: 130 },
    { parameter: 'barHeight', role: 'bar-sleeve', axis: [0, 1], perMetre: 1 },
  ],
  'leg-extension': [
    { parameter: 'hipAngle', role: 'trunk', index: 1, axis: [1, 0], perMetre: 110 },
    { parameter: 'kneeBent', role: 'joint-ankle', axis: [-1, 0], perMetre: 140 },
  ],
  'seated-curl': [
    { parameter: 'hipAngle', role: 'trunk', index: 1, axis: [1, 0], perMetre: 110 },
    { parameter: 'kneeStraight', role: 'joint-ankle', axis: [0, -1], perMetre: 140 },
  ],
  'lying-curl': [{ parameter: 'kneeStraight', role: 'joint-ankle', axis: [0, 1], perMetre: 140 }],
  'belt-squat': [
    { parameter: 'depth', role: 'joint-hip', axis: [0, -1], perMetre: 140 },
    { parameter: 'lean', role: 'trunk', index: 1, axis: [1, 0], perMetre: 110 },
    { parameter: 'kneeTravel', role: 'joint-knee', axis: [1, 0], perMetre: 4.5 },
  ],
  'guided-hinge': [
    { parameter: 'lean', role: 'trunk', index: 1, axis: [0.7, -0.7], perMetre: 110 },
    { parameter: 'kneeBend', role: 'joint-knee', axis: [1, 0], perMetre: 120 },
  ],
  'pull-through': [
    { parameter: 'lean', role: 'trunk', index: 1, axis: [0.7, -0.7], perMetre: 110 },
    { parameter: 'pulleyHeight', role: 'cable', index: 1, axis: [0, 1], perMetre: 1 },
  ],
  'one-leg-hinge': [
    { parameter: 'lean', role: 'trunk', index: 1, axis: [0.7, -0.7], perMetre: 110 },
    { parameter: 'kneeBend', role: 'joint-knee', axis: [1, 0], perMetre: 120 },
  ],
  split: [
    { parameter: 'kneeDepth', role: 'joint-hip', axis: [0, -1], perMetre: 140 },
    { parameter: 'lean', role: 'trunk', index: 1, axis: [1, 0], perMetre: 110 },
    { parameter: 'stride', role: 'other', index: 3, axis: [-1, 0], perMetre: 1 },
  ],
  'guided-split': [
    { parameter: 'kneeDepth', role: 'joint-hip', axis: [0, -1], perMetre: 140 },
    { parameter: 'lean', role: 'trunk', index: 1, axis: [1, 0], perMetre: 110 },
    { parameter: 'feetForward', role: 'foot', index: 2, axis: [1, 0], perMetre: 1 },
  ],
  step: [
    { parameter: 'box', role: 'block', index: 2, axis: [0, 1], perMetre: 1 },
    { parameter: 'lean', role: 'trunk', index: 1, axis: [1, 0], perMetre: 110 },
  ],
  thrust: [
    { parameter: 'drop', role: 'joint-hip', axis: [0, -1], perMetre: 150 },
    { parameter: 'benchHeight', role: 'block', index: 2, axis: [0, 1], perMetre: 1 },
    { parameter: 'shin', role: 'joint-ankle', axis: [-1, 0], perMetre: 110 },
  ],
  'sliding-curl': [{ parameter: 'reach', role: 'joint-ankle', axis: [-1, 0], perMetre: 130 }],
  'kneeling-curl': [
    { parameter: 'low', role: 'trunk', index: 1, axis: [0.7, -0.7], perMetre: 70 },
    { parameter: 'hipBend', role: 'joint-hip', axis: [-1, 0], perMetre: 120 },
  ],
  'lean-back': [{ parameter: 'low', role: 'trunk', index: 1, axis: [-0.7, -0.7], perMetre: 70 }],
  sissy: [{ parameter: 'kneeDepth', role: 'joint-hip', axis: [0, -1], perMetre: 140 }],
  'back-extension': [{ parameter: 'low', role: 'trunk', index: 1, axis: [0, -1], perMetre: 110 }],
  'hip-cable': [
    { parameter: 'lean', role: 'trunk', index: 1, axis: [1, 0], perMetre: 110 },
    { parameter: 'pulleyHeight', role: 'cable', index: 1, axis: [0, 1], perMetre: 1 },
  ],
  'hip-weight': [{ parameter: 'lean', role: 'trunk', index: 1, axis: [1, 0], perMetre: 110 }],
  'abduction-machine': [
    { parameter: 'hipAngle', role: 'trunk', index: 1, axis: [1, 0], perMetre: 110 },
  ],
  'adduction-machine': [
    { parameter: 'hipAngle', role: 'trunk', index: 1, axis: [1, 0], perMetre: 110 },
  ],
  'standing-curl': [{ parameter: 'kneeBent', role: 'joint-ankle', axis: [0, 1], perMetre: 140 }],
  'bent-over-calf': [
    { parameter: 'stretch', role: 'foot', index: 0, axis: [0, -1], perMetre: 330 },
  ],
  'press-calf': [{ parameter: 'stretch', role: 'foot', index: 0, axis: [0.7, 0.7], perMetre: 330 }],
  'shin-raise': [{ parameter: 'drop', role: 'foot', index: 2, axis: [0, -1], perMetre: 330 }],
  'standing-calf': [{ parameter: 'stretch', role: 'foot', index: 0, axis: [0, -1], perMetre: 330 }],
  'seated-calf': [{ parameter: 'stretch', role: 'foot', index: 0, axis: [0, -1], perMetre: 330 }],
}

/** In the plan view: x to the right, y along the feet. */
export const PLAN_HANDLES: Handle[] = [
  { parameter: 'stance', role: 'pressure', axis: [1, 0], perMetre: 2 },
  { parameter: 'toeOut', role: 'foot-right', index: 5, axis: [1, 0], perMetre: 230 },
]
