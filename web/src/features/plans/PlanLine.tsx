import type { Catalogue, Planning, Week } from '../../api/client'
import { dayOf, momentOf } from '../../quantity/day'
import { WordMenu, WordToggle } from '../../ui/WordMenu'
import { regionWords } from '../brief/names'
import { setTimes } from './edits'
import type { Edit } from './usePlanEdits'

/** Monday of the week of a day that is so many days from now, as 2026-11-30. */
function monday(daysAhead: number): string {
  const d = new Date()
  d.setDate(d.getDate() + daysAhead - ((d.getDay() + 6) % 7))
  return dayOf(d)
}

const DATE = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short' })

/** The whole plan as one sentence whose underlined words are controls. */
export function PlanLine({
  week,
  catalogue,
  planning,
  edit,
}: {
  week: Week
  catalogue: Catalogue
  planning: Planning
  edit: Edit
}) {
  const p = week.plan
  const school = catalogue.schools.find((s) => s.id === week.brief.school)
  const lengths = Array.from(
    { length: planning.mostBlockWeeks - planning.leastBlockWeeks + 1 },
    (_, k) => planning.leastBlockWeeks + k,
  )
  const starts = [0, 7, 14, 21].map(monday)
  return (
    <p className="font-serif text-lg leading-relaxed" data-testid="plan-line">
      For <b>{week.clientName}</b> at <b>{week.gymName}</b>: target{' '}
      <b>{regionWords(catalogue.regions, Object.keys(week.brief.aim ?? {}))}</b>; avoid{' '}
      <b>
        {(week.brief.keepOut ?? []).length === 0
          ? 'nothing'
          : regionWords(catalogue.regions, week.brief.keepOut ?? [])}
      </b>
      ; ranked <b>{school?.label ?? week.brief.school}</b>; in{' '}
      <WordMenu
        label="Sessions a week"
        text={`${p.days.length} ${p.days.length === 1 ? 'session' : 'sessions'}`}
        value={String(p.days.length)}
        options={[1, 2, 3, 4, 5, 6, 7].map((n) => ({ value: String(n), label: `${n} a week` }))}
        onChange={(v) =>
          edit(`${v} sessions a week`, (x) => setTimes(x, Number(v), planning.weekdays))
        }
      />
      , worked{' '}
      <WordMenu
        label="Taking turns"
        text={planning.pairings.find((x) => x.pairing === p.pairing)?.label ?? ''}
        value={p.pairing}
        options={planning.pairings.map((x) => ({ value: x.pairing, label: x.label }))}
        onChange={(v) =>
          edit(`worked ${planning.pairings.find((x) => x.pairing === v)?.label}`, (x) => ({
            ...x,
            pairing: v as typeof p.pairing,
          }))
        }
      />
      ; other muscles{' '}
      <WordToggle
        label="Other muscles"
        text={p.hold ? 'maintained' : 'left alone'}
        note="Maintained: a few sets a week for groups that are not targeted"
        on={p.hold}
        onChange={(hold) =>
          edit(hold ? 'other muscles maintained' : 'other muscles left alone', (x) => ({
            ...x,
            hold,
          }))
        }
      />
      ;{' '}
      <WordToggle
        label="Variety"
        text={p.varied ? 'other exercises each day' : 'the same exercises may return'}
        note="The same exercise again is measured sooner; another one is more variety"
        on={p.varied}
        onChange={(varied) =>
          edit(varied ? 'other exercises each day' : 'exercises may return', (x) => ({
            ...x,
            varied,
          }))
        }
      />
      ; in{' '}
      <WordMenu
        label="Block"
        text={p.blockWeeks ? `a block of ${p.blockWeeks} weeks` : 'no block yet'}
        value={String(p.blockWeeks ?? 0)}
        options={[
          { value: '0', label: 'no block' },
          ...lengths.map((n) => ({
            value: String(n),
            label: `${n} weeks`,
            note: 'sets and load rise, then an easier week and a retest',
          })),
        ]}
        onChange={(v) =>
          edit(v === '0' ? 'no block' : `a block of ${v} weeks`, (x) => {
            const next = { ...x }
            delete next.blockWeeks
            return v === '0' ? next : { ...next, blockWeeks: Number(v) }
          })
        }
      />
      {p.blockWeeks && (
        <>
          {' '}
          from{' '}
          <WordMenu
            label="Begins"
            text={p.startsOn ? DATE.format(momentOf(p.startsOn)) : 'a day to be said'}
            {...(p.startsOn ? { value: p.startsOn } : {})}
            options={starts.map((d) => ({ value: d, label: DATE.format(momentOf(d)) }))}
            onChange={(v) =>
              edit(`begins ${DATE.format(momentOf(v))}`, (x) => ({ ...x, startsOn: v }))
            }
          />
        </>
      )}
      .
    </p>
  )
}
