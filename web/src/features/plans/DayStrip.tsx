import type { KeyboardEvent } from 'react'
import { useDraggable, useDroppable } from '@dnd-kit/core'
import type { Catalogue, Segment, WeekBout, WeekDay, WeekItem } from '../../api/client'
import { GROUPS } from '../../chart/limb/Hatch'
import { WordMenu, WordToggle } from '../../ui/WordMenu'
import { groupOf } from './coverage'
import type { Strip, Taken } from './MovingBouts'
import { WEEKDAYS, prescriptionWords, setsWords, weekdayShort } from './words'
import { Thumb } from '../../chart/stage/Thumb'

export type Key = { bout: number; item: WeekItem; key: string; alt: boolean }

type Props = {
  day: WeekDay
  index: number
  pixelsAMinute: number
  catalogue: Catalogue
  taken: number[]
  chosen: string | null
  onChoose: (itemId: string) => void
  /** before which block what is held would go; missing where it is not held over this session */
  over?: number
  onKey: (k: Key, e: KeyboardEvent) => void
  onMinutes: (minutes: number) => void
  onWeekday: (weekday: number) => void
  onOneStation: (on: boolean) => void
  onAdd: () => void
  onArrange: () => void
}

const MINUTES = [20, 25, 30, 35, 40, 45, 50, 60, 75, 90, 120]

/** One session as a strip of time, to scale: blocks from top to bottom, the end of its time as a line. */
export function DayStrip({
  day,
  index,
  pixelsAMinute,
  catalogue,
  taken,
  chosen,
  onChoose,
  over,
  onKey,
  onMinutes,
  onWeekday,
  onOneStation,
  onAdd,
  onArrange,
}: Props) {
  const height = Math.max(day.minutes, day.usedMinutes) * pixelsAMinute
  const starts = day.bouts.map(
    (_, b) => day.segments.find((segment) => segment.bout === b)?.startS ?? 0,
  )
  const boutAt = (px: number) => {
    const found = day.bouts.findIndex(
      (bout, k) => px / pixelsAMinute < (starts[k]! + bout.seconds / 2) / 60,
    )
    return found < 0 ? day.bouts.length : found
  }
  const { setNodeRef } = useDroppable({
    id: `day ${index}`,
    data: { day: index, boutAt } satisfies Strip,
  })
  const full = day.usedMinutes > day.minutes
  return (
    <section aria-label={`${WEEKDAYS[day.weekday - 1]}`} className="flex min-w-0 flex-1 flex-col">
      <h2 className="flex flex-wrap items-baseline gap-x-2 text-base leading-tight">
        <WordMenu
          label="Weekday"
          text={weekdayShort(day.weekday)}
          value={String(day.weekday)}
          options={WEEKDAYS.map((word, k) => ({
            value: String(k + 1),
            label: word,
            ...(taken.includes(k + 1) && k + 1 !== day.weekday ? { note: 'taken' } : {}),
          }))}
          onChange={(value) => onWeekday(Number(value))}
        />
        <span className={`font-sans text-sm font-normal ${full ? 'text-warn' : 'text-ink-2'}`}>
          {Math.round(day.usedMinutes)} of{' '}
          <WordMenu
            label={`Minutes on ${WEEKDAYS[day.weekday - 1]}`}
            text={`${day.minutes} min`}
            value={String(day.minutes)}
            options={MINUTES.map((m) => ({ value: String(m), label: `${m} minutes` }))}
            onChange={(value) => onMinutes(Number(value))}
          />{' '}
          · {day.sets} sets
        </span>
      </h2>
      <div ref={setNodeRef} className="relative mt-2 shrink-0" style={{ height: height + 10 }}>
        <Scale minutes={day.minutes} height={height} pixelsAMinute={pixelsAMinute} />
        <ol>
          {day.bouts.map((bout, k) => (
            <Bout
              key={bout.items.map((item) => item.id).join()}
              day={day}
              bout={bout}
              dayIndex={index}
              index={k}
              top={(starts[k]! / 60) * pixelsAMinute}
              height={(bout.seconds / 60) * pixelsAMinute}
              segments={day.segments.filter((segment) => segment.bout === k)}
              catalogue={catalogue}
              chosen={chosen}
              onChoose={onChoose}
              onKey={onKey}
            />
          ))}
        </ol>
        {over !== undefined && (
          <div
            aria-hidden
            className="pointer-events-none absolute right-0 left-6 h-0.5 bg-accent"
            style={{
              top:
                ((over < day.bouts.length ? starts[over]! : day.usedMinutes * 60) / 60) *
                pixelsAMinute,
            }}
          />
        )}
      </div>
      <p className="flex flex-wrap items-baseline gap-x-3 pl-7 text-sm whitespace-nowrap">
        <button
          type="button"
          className="text-accent-2 underline underline-offset-2"
          onClick={onAdd}
        >
          Add an exercise
        </button>
        <WordToggle
          label={`Stations on ${WEEKDAYS[day.weekday - 1]}`}
          text={day.oneStation ? 'at one station' : 'any station'}
          note="One station for the whole session; the bar's load may stay"
          on={day.oneStation}
          onChange={onOneStation}
        />
        {day.remarks.length > 0 && (
          <button
            type="button"
            className="text-accent-2 underline underline-offset-2"
            onClick={onArrange}
          >
            Put in the usual order
          </button>
        )}
      </p>
      {day.remarks.map((remark) => (
        <p key={remark} className="pl-7 text-xs text-warn">
          {remark}
        </p>
      ))}
    </section>
  )
}

/** Ten-minute marks, and the line where the time is over. */
function Scale({
  minutes,
  height,
  pixelsAMinute,
}: {
  minutes: number
  height: number
  pixelsAMinute: number
}) {
  const marks = Array.from(
    { length: Math.floor(height / pixelsAMinute / 10) + 1 },
    (_, k) => 10 * k,
  )
  return (
    <svg aria-hidden className="absolute inset-0 size-full overflow-visible">
      {marks.map((mark) => (
        <g key={mark}>
          <line
            x1={20}
            x2="100%"
            y1={mark * pixelsAMinute}
            y2={mark * pixelsAMinute}
            stroke="var(--rule)"
            strokeWidth={0.6}
            strokeDasharray="2 4"
          />
          <text
            x={17}
            y={mark * pixelsAMinute + 4}
            textAnchor="end"
            fontSize={12}
            fill="var(--ink-2)"
          >
            {mark}
          </text>
        </g>
      ))}
      <line
        x1={20}
        x2="100%"
        y1={minutes * pixelsAMinute}
        y2={minutes * pixelsAMinute}
        stroke="var(--accent)"
        strokeWidth={1.5}
      />
    </svg>
  )
}

function Bout({
  day,
  bout,
  dayIndex,
  index,
  top,
  height,
  segments,
  catalogue,
  chosen,
  onChoose,
  onKey,
}: {
  day: WeekDay
  bout: WeekBout
  dayIndex: number
  index: number
  top: number
  height: number
  segments: Segment[]
  catalogue: Catalogue
  chosen: string | null
  onChoose: (id: string) => void
  onKey: Props['onKey']
}) {
  const first = bout.items[0]!
  const { setNodeRef, listeners, isDragging } = useDraggable({
    id: `bout ${dayIndex}.${index}`,
    data: {
      from: { day: dayIndex, bout: index },
      names: bout.items.map((item) => item.name).join(' and '),
    } satisfies Taken,
  })
  return (
    <li
      ref={setNodeRef}
      {...listeners}
      className="absolute right-0 left-6 flex cursor-grab overflow-hidden border border-ink bg-paper active:cursor-grabbing"
      style={{ top, height: Math.max(26, height - 1), opacity: isDragging ? 0.4 : undefined }}
    >
      <Track segments={segments} bout={bout} catalogue={catalogue} />
      <div className="flex min-w-0 flex-1 flex-col">
        {bout.items.map((item) => (
          <button
            key={item.id}
            type="button"
            aria-pressed={chosen === item.id}
            aria-label={`${item.name}, ${prescriptionWords(item.prescription)}${item.pinned ? ', locked' : ''}, exercise ${index + 1} on ${WEEKDAYS[day.weekday - 1]}`}
            data-item={item.id}
            className={`flex min-h-0 flex-1 gap-1 px-1 py-0.5 text-left leading-tight ${chosen === item.id ? 'bg-paper-2' : ''} ${item !== first ? 'border-t border-dashed border-edge' : ''}`}
            onClick={() => onChoose(item.id)}
            onKeyDown={(event) =>
              onKey({ bout: index, item, key: event.key, alt: event.altKey }, event)
            }
          >
            <Thumb candidateId={item.candidateId} className="size-7" />
            <span className="min-w-0 flex-1">
              <span className="line-clamp-3 text-[0.85rem] font-semibold">
                {item.pinned && (
                  <span
                    aria-hidden
                    title="Locked: composing leaves it as it is"
                    className="mr-1 inline-block size-2 rounded-full bg-accent align-middle"
                  />
                )}
                {item.name}
              </span>
              {height / bout.items.length >= ROOM_FOR_WORDS && (
                <span className={`block text-xs ${item.refusal ? 'text-warn' : 'text-ink-2'}`}>
                  {item.refusal
                    ? 'left out now'
                    : height / bout.items.length >= ROOM_FOR_ALL
                      ? prescriptionWords(item.prescription)
                      : setsWords(item.prescription)}
                </span>
              )}
            </span>
          </button>
        ))}
      </div>
    </li>
  )
}

/** A block that is lower, px, has its name alone; the panel beside it says the rest. */
const ROOM_FOR_WORDS = 56

/** One that is lower than this has its sets and repetitions, and leaves the reserve to the panel. */
const ROOM_FOR_ALL = 84

/** What the time of a block goes into: set-up hatched, lighter sets light, sets full in the colour of what they train, rest empty. */
function Track({
  segments,
  bout,
  catalogue,
}: {
  segments: Segment[]
  bout: WeekBout
  catalogue: Catalogue
}) {
  const total = segments.reduce((n, segment) => n + segment.seconds, 0) || 1
  const begin = segments[0]?.startS ?? 0
  const id = `hatch-${bout.items[0]!.id}`
  return (
    <svg
      aria-hidden
      className="h-full w-3.5 shrink-0 border-r border-rule"
      preserveAspectRatio="none"
      viewBox={`0 0 10 ${total}`}
    >
      <defs>
        <pattern id={id} width="10" height="24" patternUnits="userSpaceOnUse">
          <line x1="0" y1="12" x2="10" y2="12" stroke="var(--ink-2)" strokeWidth="5" />
        </pattern>
      </defs>
      {segments.map((segment) => {
        const item = bout.items.find((plannedItem) => plannedItem.id === segment.itemId)
        const colour = item
          ? (GROUPS[groupOf(item, catalogue)]?.colour ?? 'var(--ink)')
          : 'var(--ink)'
        const fill =
          segment.kind === 'WORK'
            ? colour
            : segment.kind === 'SET_UP' || segment.kind === 'WALK'
              ? `url(#${id})`
              : segment.kind === 'WARM_UP'
                ? colour
                : 'transparent'
        return (
          <rect
            key={`${segment.startS}`}
            x={segment.kind === 'WARM_UP' ? 3 : 0}
            width={segment.kind === 'WARM_UP' ? 4 : 10}
            y={segment.startS - begin}
            height={segment.seconds}
            fill={fill}
            opacity={segment.kind === 'WALK' ? 0.4 : 1}
          />
        )
      })}
    </svg>
  )
}
