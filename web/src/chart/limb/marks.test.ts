import { expect, test } from 'vitest'
import { marked, nameLength } from './marks'
import { TERRITORIES, down } from './territories'

test('a painted territory keeps its mark and its name inside', () => {
  for (const t of TERRITORIES) {
    const ys = t.points.map((point) => down(point[1]))
    const { mark, name } = marked(t)
    expect(mark, t.id).toBeGreaterThan(Math.min(...ys))
    if (name !== undefined) {
      expect(name, t.id).toBeGreaterThan(mark)
      expect(name + nameLength(t.name!), t.id).toBeLessThanOrEqual(Math.max(...ys))
    }
  }
})

test('the long names of the thigh stay readable when they are painted', () => {
  for (const id of ['BFL', 'VL', 'VM'])
    expect(marked(TERRITORIES.find((t) => t.id === id)!).name, id).toBeDefined()
})
