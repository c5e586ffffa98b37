import { fireEvent, render, screen } from '@testing-library/react'
import { describe, expect, test, vi } from 'vitest'
import type { Drawing, Parameter } from '../../api/client'
import { Stage } from './Stage'
import { HANDLES, frame, place } from './scene'

const drawing: Drawing = {
  lines: [
    {
      role: 'floor',
      points: [
        { x: -5, y: 0 },
        { x: 5, y: 0 },
      ],
      closed: false,
    },
    {
      role: 'thigh',
      points: [
        { x: -0.4, y: 0.5 },
        { x: 0.1, y: 0.45 },
      ],
      closed: false,
    },
  ],
  circles: [{ role: 'joint-hip', centre: { x: -0.4, y: 0.5 }, radius: 0.02 }],
  levers: [{ joint: 'knee', from: { x: 0.1, y: 0.45 }, to: { x: 0, y: 0.45 }, metres: 0.104 }],
}
const depth: Parameter = {
  id: 'depth',
  label: 'Depth',
  unit: 'deg',
  min: 45,
  max: 125,
  usual: 100,
  step: 5,
  kind: 'SETUP',
  choices: [],
  note: '',
}

describe('stage', () => {
  test('frames body and steel but not the endless floor', () => {
    const box = frame([drawing], 0)
    expect(box.width).toBeCloseTo(0.52)
    expect(box.y).toBeCloseTo(-0.52)
  })

  test('writes lever arms in whole centimetres', () => {
    render(<Stage drawing={drawing} box={frame([drawing])} label="side" />)
    expect(screen.getByText('knee 10 cm')).toBeInTheDocument()
  })

  test.each([
    ['ArrowUp', false, 80, 85],
    ['ArrowLeft', false, 80, 75],
    ['ArrowRight', true, 80, 105],
    ['ArrowDown', true, 50, 45],
  ])(
    'key %s (shift %s) moves a handle from %s to %s, never beyond what is allowed',
    (key, shiftKey, from, to) => {
      const onMove = vi.fn()
      render(
        <Stage
          drawing={drawing}
          box={frame([drawing])}
          label="side"
          handles={HANDLES.squat}
          parameters={[depth]}
          setup={{ depth: from }}
          onMove={onMove}
        />,
      )
      const handle = screen.getByRole('slider', { name: 'Depth' })
      expect(handle).toHaveAttribute('aria-valuetext', `${from}°`)
      fireEvent.keyDown(handle, { key, shiftKey })
      expect(onMove).toHaveBeenCalledWith('depth', to)
    },
  )

  test('every handle of every family holds a part that exists by name', () => {
    const parts = new Set([
      'joint-hip',
      'joint-knee',
      'joint-ankle',
      'cable',
      'block',
      'other',
      'foot',
      'trunk',
      'bar-sleeve',
      'pressure',
      'foot-right',
    ])
    for (const [family, handles] of Object.entries(HANDLES))
      for (const h of handles) expect(parts, family).toContain(h.role)
    expect(place(drawing, 'thigh', 1)).toEqual({ x: 0.1, y: 0.45 })
    expect(place(drawing, 'nothing')).toBeUndefined()
  })
})
