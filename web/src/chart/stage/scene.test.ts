import { expect, test } from 'vitest'
import type { Drawing } from '../../api/client'
import { toOneScale, toTheFloor } from './scene'

const drawing = (turn: number): Drawing => {
  const t = (x: number, y: number) => ({
    x: x * Math.cos(turn) - y * Math.sin(turn) + 0.3,
    y: x * Math.sin(turn) + y * Math.cos(turn) + 0.1,
  })
  return {
    lines: [
      { role: 'foot', points: [t(-0.06, 0), t(0.12, 0), t(0.2, 0), t(0, 0.07)], closed: true },
      { role: 'thigh', points: [t(0.1, 0.5), t(-0.2, 0.6)], closed: false },
    ],
    circles: [{ role: 'joint-ankle', centre: t(0, 0.07), radius: 0.02 }],
    levers: [],
    body: [],
    muscles: [],
    from: 'RIGHT_SIDE',
  }
}

test('however a machine tilts the foot, on the floor it is the same body', () => {
  const level = toTheFloor(drawing(0))
  for (const turn of [0.4, -0.7, 1.3]) {
    const turned = toTheFloor(drawing(turn))
    turned.lines.forEach((line, k) =>
      line.points.forEach((point, j) => {
        expect(point.x).toBeCloseTo(level.lines[k]!.points[j]!.x, 9)
        expect(point.y).toBeCloseTo(level.lines[k]!.points[j]!.y, 9)
      }),
    )
  }
  expect(level.lines[0]!.points[0]!.y).toBeCloseTo(0, 9)
  expect(level.circles[0]!.centre.x).toBe(0)
  expect(level.circles[0]!.centre.y).toBeCloseTo(0.07, 9)
})

test('a drawing without a foot stays as it is', () => {
  const none = {
    lines: [],
    circles: [],
    levers: [],
    body: [],
    muscles: [],
    from: 'RIGHT_SIDE' as const,
  }
  expect(toTheFloor(none)).toBe(none)
})

test('two frames at one scale keep their floors and their middles', () => {
  const [small, large] = toOneScale([
    { x: 0, y: -1, width: 1, height: 1 },
    { x: -1, y: -2, width: 2, height: 2 },
  ])
  expect(small).toEqual({ x: -0.5, y: -2, width: 2, height: 2 })
  expect(large).toEqual({ x: -1, y: -2, width: 2, height: 2 })
})
