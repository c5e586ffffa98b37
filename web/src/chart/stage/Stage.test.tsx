import { fireEvent, render, screen } from '@testing-library/react'
import { describe, expect, test, vi } from 'vitest'
import type { Drawing, Parameter } from '../../api/client'
import { Stage } from './Stage'
import { frame, pointOf } from './scene'

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
  body: [],
  muscles: [],
  from: 'RIGHT_SIDE',
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

const depthGrip = {
  parameterId: 'depth',
  at: { x: 0, y: 0.5 },
  axis: { x: 0, y: -1 },
  perMetre: 140,
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
          handles={[depthGrip]}
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

  test('a drag along its direction moves a handle by what the server says, and is not thrown off by a newer drawing', () => {
    const onMove = vi.fn()
    const stage = (grip: typeof depthGrip) => (
      <Stage
        drawing={drawing}
        box={frame([drawing])}
        label="side"
        handles={[grip]}
        parameters={[depth]}
        setup={{ depth: 80 }}
        onMove={onMove}
      />
    )
    const { rerender } = render(stage(depthGrip))
    const svg = screen.getByRole('group', { name: 'side' }) as unknown as SVGSVGElement
    const pixelsPerMetre = 200
    const matrix = { a: 1 / pixelsPerMetre, b: 0, c: 0, d: 1 / pixelsPerMetre, e: 0, f: 0 }
    svg.getScreenCTM = () => ({ inverse: () => matrix }) as unknown as DOMMatrix
    const handle = screen.getByRole('slider', { name: 'Depth' })
    handle.setPointerCapture = () => {}
    fireEvent.pointerDown(handle, { clientX: 50, clientY: 50, pointerId: 1 })
    rerender(stage({ ...depthGrip, axis: { x: 1, y: 0 }, perMetre: 1 }))
    fireEvent.pointerMove(handle, { clientX: 90, clientY: 70, pointerId: 1 }) // 10 cm down
    expect(onMove).toHaveBeenLastCalledWith('depth', 94)
  })

  test('a part is found by its name', () => {
    expect(pointOf(drawing, 'thigh', 1)).toEqual({ x: 0.1, y: 0.45 })
    expect(pointOf(drawing, 'nothing')).toBeUndefined()
  })

  test('a muscle lies on the figure only where it is asked for, and the one that ends the set is bold', () => {
    const course = [
      { x: -0.4, y: 0.5 },
      { x: 0.1, y: 0.45 },
    ]
    const muscled: Drawing = {
      ...drawing,
      muscles: ['VL', 'RF', 'BFL'].map((regionId) => ({ regionId, course, widthM: 0.03 })),
    }
    const { container } = render(
      <Stage
        drawing={muscled}
        box={frame([muscled])}
        label="side"
        muscles={{
          tension: { VL: 1, BFL: 0.2 },
          group: (id) => (id === 'BFL' ? 'hamstrings' : 'quads'),
          givesOut: 'quads',
        }}
      />,
    )
    const edge = (id: string) =>
      container.querySelector(`[data-muscle=${id}] path:last-child`)?.getAttribute('stroke-width')
    expect(edge('RF')).toBeUndefined()
    expect(Number(edge('VL'))).toBeGreaterThan(Number(edge('BFL')))
  })
})
