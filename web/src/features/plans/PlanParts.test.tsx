import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { fireEvent, render, screen, waitFor, within } from '@testing-library/react'
import type { ReactNode } from 'react'
import { MemoryRouter } from 'react-router'
import { afterEach, expect, test, vi } from 'vitest'
import type { Plan, Planning, Week } from '../../api/client'
import { keys } from '../../api/queries'
import { CoveragePanel } from './CoveragePanel'
import { DndContext } from '@dnd-kit/core'
import type { DragMoveEvent } from '@dnd-kit/core'
import { DayStrip } from './DayStrip'
import { placeUnder } from './MovingBouts'
import { ExercisePanel } from './ExercisePanel'
import { catalogue, day, item, week } from './sample'
import { usePlanEdits } from './usePlanEdits'

afterEach(() => vi.unstubAllGlobals())

const planning: Planning = {
  schemes: [{ scheme: 'STRAIGHT', label: 'straight sets', how: 'The same load.' }],
  pairings: [{ pairing: 'NONE', label: 'one after the other' }],
  leastBlockWeeks: 4,
  weekdays: [[3], [1, 4], [1, 3, 5], [1, 2, 4, 5]],
  limits: {
    sets: { min: 1, max: 10 },
    repetitions: { min: 1, max: 60 },
    reserve: { min: 0, max: 6 },
    restS: { min: 0, max: 600 },
    sideRestS: { min: 0, max: 180 },
    drops: { min: 1, max: 5 },
    dropsLess: { min: 0, max: 0.5 },
    easierLetters: 80,
    tempoS: { min: 0, max: 20 },
  },
  mostBlockWeeks: 8,
}

function wrapped(
  children: ReactNode,
  client = new QueryClient({ defaultOptions: { queries: { retry: false } } }),
) {
  return render(
    <QueryClientProvider client={client}>
      <MemoryRouter>{children}</MemoryRouter>
    </QueryClientProvider>,
  )
}

const nothing = () => {}
const strip = (day = week.days[0]!, more: Partial<Parameters<typeof DayStrip>[0]> = {}) => (
  <DayStrip
    day={day}
    index={0}
    pixelsAMinute={8}
    catalogue={catalogue}
    taken={[1, 4]}
    chosen={null}
    onChoose={nothing}
    onKey={nothing}
    onMinutes={nothing}
    onWeekday={nothing}
    onOneStation={nothing}
    onAdd={nothing}
    onArrange={nothing}
    {...more}
  />
)

const NOTHING_DRAWN = {
  lines: [],
  circles: [],
  levers: [],
  body: [],
  muscles: [],
  from: 'RIGHT_SIDE',
}

test('coverage says what is short and lets more be asked', () => {
  const edit = vi.fn()
  wrapped(<CoveragePanel week={week} catalogue={catalogue} edit={edit} />)
  const row = screen.getByRole('rowheader', { name: 'outer hamstring' }).closest('tr')!
  expect(within(row).getByText('1.5')).toHaveClass('text-warn')
  expect(screen.getByRole('rowheader', { name: /lower calf\s*maintained/ })).toBeInTheDocument()
  expect(screen.getByText('Outer hamstring: 1.5 of 7 sets.')).toBeInTheDocument()
  fireEvent.click(screen.getByRole('button', { name: 'A set more asked of outer hamstring' }))
  expect((edit.mock.calls[0]![1] as (p: Plan) => Plan)(week.plan).targets).toEqual({ BFL: 8 })
  expect(
    screen.getByRole('button', { name: 'Why short, and what would help?' }),
  ).toBeInTheDocument()
})

test('a strip is to scale, its blocks are chosen and moved by keys, and an overfull day says so', () => {
  const onChoose = vi.fn()
  const onKey = vi.fn()
  wrapped(
    strip(
      day(
        1,
        [
          item('press', 'Leg press', { VL: 1 }),
          item('curl', 'Leg curl', { BFL: 1 }, { pinned: true }),
        ],
        { usedMinutes: 72 },
      ),
      { onChoose, onKey },
    ),
  )
  const blocks = screen.getAllByRole('listitem')
  expect(blocks.map((block) => block.style.top)).toEqual(['0px', '80px'])
  expect(blocks[0]!.style.height).toBe('79px')
  expect(screen.getByText(/72 of/)).toHaveClass('text-warn')
  fireEvent.click(
    screen.getByRole('button', {
      name: /^Leg press, 3 × 8–12, 2 in reserve, exercise 1 on Monday/,
    }),
  )
  expect(onChoose).toHaveBeenCalledWith('press')
  fireEvent.keyDown(screen.getByRole('button', { name: /^Leg curl.*locked/ }), {
    key: 'ArrowUp',
    altKey: true,
  })
  expect(onKey.mock.calls[0]![0]).toMatchObject({ bout: 1, key: 'ArrowUp', alt: true })
})

test('what is held over a strip would go before what stands there', () => {
  const held = (clientY: number, top: number | null) =>
    placeUnder({
      activatorEvent: new MouseEvent('mousedown', { clientY: 100 }),
      delta: { x: 0, y: clientY - 100 },
      over:
        top === null
          ? null
          : {
              rect: { top },
              data: { current: { day: 1, boutAt: (px: number) => Math.floor(px / 50) } },
            },
    } as unknown as DragMoveEvent)
  expect(held(310, 200)).toEqual({ day: 1, bout: 2 })
  expect(held(210, 200)).toEqual({ day: 1, bout: 0 })
  expect(held(210, null)).toBeNull()
})

test('where it would go is a line on the strip', () => {
  const { container, unmount } = wrapped(<DndContext>{strip()}</DndContext>)
  expect(container.querySelector('.bg-accent.h-0\\.5')).toBeNull()
  unmount()
  const over = wrapped(<DndContext>{strip(undefined, { over: 0 })}</DndContext>)
  expect(over.container.querySelector<HTMLElement>('.bg-accent.h-0\\.5')!.style.top).toBe('0px')
})

test('remarks on the order offer the usual one', () => {
  const onArrange = vi.fn()
  wrapped(
    strip(
      day(1, [item('press', 'Leg press', { VL: 1 })], {
        remarks: ['Leg curl before Leg press: it is heavy.'],
      }),
      { onArrange },
    ),
  )
  fireEvent.click(screen.getByRole('button', { name: 'Put in the usual order' }))
  expect(onArrange).toHaveBeenCalled()
})

test('an exercise shows its loads with plates in either unit, and its numbers move within what is allowed', () => {
  vi.stubGlobal('fetch', () =>
    Promise.resolve(
      Response.json({
        side: NOTHING_DRAWN,
        plan: NOTHING_DRAWN,
      }),
    ),
  )
  const edit = vi.fn()
  const onUnit = vi.fn()
  const { rerender } = wrapped(
    <ExercisePanel
      week={week}
      item={week.days[0]!.bouts[0]!.items[0]!}
      catalogue={catalogue}
      planning={planning}
      edit={edit}
      unit="kg"
      onUnit={onUnit}
      onClose={nothing}
    />,
  )
  expect(screen.getByText('20 a side')).toBeInTheDocument()
  expect(screen.getByText('from 60 kg for 10, 2 in reserve, on 19 Nov 2026.')).toBeInTheDocument()
  fireEvent.click(screen.getByRole('button', { name: 'Unit: kg' }))
  expect(onUnit).toHaveBeenCalledWith('lb')
  fireEvent.click(screen.getByRole('button', { name: 'Sets: more' }))
  expect(
    (edit.mock.calls[0]![1] as (p: Plan) => Plan)(week.plan).days[0]!.bouts[0]![0],
  ).toMatchObject({ pinned: true, prescription: { sets: 4 } })
  fireEvent.click(screen.getByRole('button', { name: 'Superset with next' }))
  expect((edit.mock.calls[1]![1] as (p: Plan) => Plan)(week.plan).days[0]!.bouts).toHaveLength(1)
  fireEvent.keyDown(screen.getByRole('button', { name: /^Move it/ }), { key: 'Enter' })
  fireEvent.click(screen.getByRole('menuitem', { name: 'Thursday' }))
  expect(
    (edit.mock.calls[2]![1] as (p: Plan) => Plan)(week.plan).days.map((day) => day.bouts.length),
  ).toEqual([1, 1])
  expect(screen.getByText('Stop signs:').parentElement).toHaveTextContent('Heels lift.')
  rerender(<div />)
})

test('drops are told by number, size, place and words, and legs by their rest', () => {
  const edit = vi.fn()
  const at = week.days[0]!.bouts[0]!.items[0]!
  wrapped(
    <ExercisePanel
      week={week}
      item={{
        ...at,
        oneLeg: true,
        easier: ['Leg press, feet high'],
        prescription: {
          ...at.prescription,
          scheme: 'DROP',
          sideRestS: 10,
          drops: { number: 2, less: 0.2, everySet: false, easier: '' },
        },
        load: {
          ...at.load!,
          sets: at.load!.sets.flatMap((set) => [set, { ...set, drop: 1, note: 'at once' }]),
        },
      }}
      catalogue={catalogue}
      planning={planning}
      edit={edit}
      unit="kg"
      onUnit={nothing}
      onClose={nothing}
    />,
  )
  expect(screen.getAllByText('drop')).toHaveLength(3)
  expect(screen.getByText('set 3')).toBeInTheDocument()
  fireEvent.click(screen.getByRole('button', { name: 'Drops: more' }))
  fireEvent.click(screen.getByRole('button', { name: 'Less each time: less' }))
  fireEvent.click(screen.getByLabelText('after every set'))
  fireEvent.click(screen.getByRole('button', { name: 'Between legs: more' }))
  const easier = screen.getByLabelText('What gets easier')
  expect(easier).toHaveAttribute('list', document.querySelector('datalist')!.id)
  expect(document.querySelector('datalist option')).toHaveValue('Leg press, feet high')
  fireEvent.change(easier, { target: { value: ' seat nearer ' } })
  fireEvent.blur(easier)
  const asked = edit.mock.calls.map(
    (call) => (call[1] as (p: Plan) => Plan)(week.plan).days[0]!.bouts[0]![0]!.prescription,
  )
  expect([0, 1, 2, 4].map((k) => asked[k]!.drops)).toMatchObject([
    { number: 3 },
    { less: 0.15 },
    { everySet: true },
    { easier: 'seat nearer' },
  ])
  expect(asked[3]!.sideRestS).toBe(20)
})

test('what is left out says why and can only be swapped away or taken out', () => {
  wrapped(
    <ExercisePanel
      week={week}
      item={item('press', 'Leg press', {}, { refusal: 'Leg press is left out. Not here.' })}
      catalogue={catalogue}
      planning={planning}
      edit={nothing}
      unit="kg"
      onUnit={nothing}
      onClose={nothing}
    />,
  )
  expect(screen.getByText(/Not here/)).toBeInTheDocument()
  expect(screen.queryByText('Load:')).toBeNull()
  expect(screen.getByRole('button', { name: 'Take out' })).toBeEnabled()
})

function Edits({ act }: { act: (e: ReturnType<typeof usePlanEdits>) => void }) {
  const edits = usePlanEdits('w')
  return (
    <>
      <button onClick={() => act(edits)}>act</button>
      {edits.error !== null && <p role="alert">{(edits.error as Error).message}</p>}
    </>
  )
}

test('quick edits go one after the other, each on what the one before left', async () => {
  const client = new QueryClient({
    defaultOptions: { queries: { retry: false, staleTime: Infinity } },
  })
  client.setQueryData(keys.week('w'), week)
  const sent: { version: number; name: string }[] = []
  vi.stubGlobal('fetch', async (request: Request) => {
    const body = (await request.json()) as { version: number; plan: Plan }
    sent.push({ version: body.version, name: body.plan.name })
    return Response.json({ ...week, version: body.version + 1, plan: body.plan } satisfies Week)
  })
  wrapped(
    <Edits
      act={(e) => {
        for (const letter of 'abc')
          e.edit(letter, (planDocument) => ({ ...planDocument, name: planDocument.name + letter }))
        e.edit('nothing', (planDocument) => planDocument)
      }}
    />,
    client,
  )
  fireEvent.click(screen.getByText('act'))
  await waitFor(() => expect(sent).toHaveLength(3))
  expect(sent).toEqual([
    { version: 4, name: 'Wintera' },
    { version: 5, name: 'Winterab' },
    { version: 6, name: 'Winterabc' },
  ])
})

test('an edit that the server refuses is told, and the week is asked for again', async () => {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } })
  client.setQueryData(keys.week('w'), week)
  vi.stubGlobal('fetch', () =>
    Promise.resolve(
      new Response(JSON.stringify({ detail: 'This plan was changed elsewhere meanwhile.' }), {
        status: 409,
      }),
    ),
  )
  wrapped(
    <Edits act={(e) => e.edit('late', (planDocument) => ({ ...planDocument, name: 'late' }))} />,
    client,
  )
  fireEvent.click(screen.getByText('act'))
  expect(await screen.findByRole('alert')).toHaveTextContent('changed elsewhere')
  expect(client.getQueryState(keys.week('w'))?.isInvalidated).toBe(true)
})
