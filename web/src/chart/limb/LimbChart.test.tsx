import { act, fireEvent, render, screen } from '@testing-library/react'
import { readFileSync } from 'node:fs'
import { describe, expect, test, vi } from 'vitest'
import type { Region } from '../../api/client'
import { LimbChart } from './LimbChart'
import type { Paint } from './LimbChart'
import { TERRITORIES, towards } from './territories'

const regions: Region[] = readFileSync(
  '../core/src/main/resources/istmo/core/anatomy/regions.csv',
  'utf8',
)
  .split('\n')
  .filter((line) => line && !line.startsWith('#'))
  .slice(1)
  .map((line) => line.split(','))
  .map(([id, coachName, anatomicalName, group, steer, column, row]) => ({
    id: id!,
    coachName: coachName!,
    anatomicalName: anatomicalName!,
    group: group!,
    steer: steer!,
    column: column!,
    row: row!,
  }))

function chart(value: Paint) {
  const onPaint = vi.fn()
  render(<LimbChart regions={regions} paint={() => value} onPaint={onPaint} />)
  return onPaint
}

describe('limb chart', () => {
  test('has a territory for every region of the core, and no other', () => {
    expect(TERRITORIES.map((territory) => territory.id).sort()).toEqual(
      regions.map((region) => region.id).sort(),
    )
  })

  test('lies on the map in the columns that the region list says', () => {
    const columns: Record<string, [number, number]> = {
      front: [0, 2],
      'front-outer': [1, 3],
      'front-inner': [0, 1.5],
      outer: [2, 4],
      'back-outer': [3, 5.6],
      back: [4, 6.5],
      'back-inner': [5, 7.1],
      inner: [6.5, 8],
    }
    for (const territory of TERRITORIES.filter((otherTerritory) => !otherTerritory.inset)) {
      const [low, high] = columns[regions.find((region) => region.id === territory.id)!.column]!
      const x = territory.points.reduce((sum, p) => sum + p[0], 0) / territory.points.length
      expect(x, territory.id).toBeGreaterThanOrEqual(low)
      expect(x, territory.id).toBeLessThanOrEqual(high)
    }
  })

  test('reads as sliders with both names', () => {
    chart(2)
    const sweep = screen.getByRole('slider', { name: 'outer quad (sweep), vastus lateralis' })
    expect(sweep).toHaveAttribute('aria-valuetext', 'much')
    expect(screen.getAllByRole('slider')).toHaveLength(regions.length)
  })

  test.each([
    [0, '+', 1],
    [3, '+', 3],
    [0, '-', -1],
    [3, 'Enter', -1],
    [-1, ' ', 0],
    [1, 'x', -1],
    [0, '3', 3],
  ] as [Paint, string, Paint][])('from %s, key "%s" paints %s', (from, key, to) => {
    const onPaint = chart(from)
    fireEvent.keyDown(screen.getByRole('slider', { name: /soleus/ }), { key })
    expect(onPaint).toHaveBeenCalledWith('SOL', to)
  })

  test('is one tab stop, and arrows lead to every muscle', () => {
    const { container } = render(<LimbChart regions={regions} paint={() => 0} onPaint={() => {}} />)
    const stops = () => [...container.querySelectorAll<SVGElement>('[role=slider][tabindex="0"]')]
    expect(stops()).toHaveLength(1)
    const first = stops()[0]!
    act(() => first.focus())
    fireEvent.keyDown(first, { key: 'ArrowDown' })
    expect(document.activeElement).not.toBe(first)
    expect(stops()).toEqual([document.activeElement])
    const seen = new Set<string>()
    const waiting = [TERRITORIES[0]!]
    while (waiting.length > 0) {
      const at = waiting.pop()!
      if (seen.has(at.id)) continue
      seen.add(at.id)
      for (const key of ['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight']) {
        const to = towards(at, key)
        if (to) waiting.push(to)
      }
    }
    expect(seen.size).toBe(TERRITORIES.length)
  })

  test('the lower back is painted as any other muscle', () => {
    const onPaint = chart(0)
    const back = screen.getByRole('slider', { name: /^lower back/ })
    fireEvent.keyDown(back, { key: '+' })
    expect(onPaint).toHaveBeenLastCalledWith('ERECTORS', 1)
    fireEvent.keyDown(back, { key: 'x' })
    expect(onPaint).toHaveBeenLastCalledWith('ERECTORS', -1)
  })
})
