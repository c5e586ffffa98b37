import type { Catalogue, Planning, Week } from '../../api/client'
import { dayOf, momentOf } from '../../quantity/day'
import { WordMenu, WordToggle } from '../../ui/WordMenu'
import { regionWords } from '../brief/names'
import { setTimes } from './edits'
import type { Edit } from './usePlanEdits'

/** Monday of the week of a day that is so many days from now, as 2026-11-30. */
function monday(daysAhead: number): string {
  const date = new Date()
  date.setDate(date.getDate() + daysAhead - ((date.getDay() + 6) % 7))
  return dayOf(date)
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
  const planDocument = week.plan
  const school = catalogue.schools.find((otherSchool) => otherSchool.id === week.brief.school)
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
        text={`${planDocument.days.length} ${planDocument.days.length === 1 ? 'session' : 'sessions'}`}
        value={String(planDocument.days.length)}
        options={[1, 2, 3, 4, 5, 6, 7].map((n) => ({ value: String(n), label: `${n} a week` }))}
        onChange={(value) =>
          edit(`${value} sessions a week`, (otherDocument) =>
            setTimes(otherDocument, Number(value), planning.weekdays),
          )
        }
      />
      , worked{' '}
      <WordMenu
        label="Taking turns"
        text={
          planning.pairings.find((pairing) => pairing.pairing === planDocument.pairing)?.label ?? ''
        }
        value={planDocument.pairing}
        options={planning.pairings.map((pairing) => ({
          value: pairing.pairing,
          label: pairing.label,
        }))}
        onChange={(value) =>
          edit(
            `worked ${planning.pairings.find((pairing) => pairing.pairing === value)?.label}`,
            (otherDocument) => ({
              ...otherDocument,
              pairing: value as typeof planDocument.pairing,
            }),
          )
        }
      />
      ; other muscles{' '}
      <WordToggle
        label="Other muscles"
        text={planDocument.hold ? 'maintained' : 'left alone'}
        note="Maintained: a few sets a week for groups that are not targeted"
        on={planDocument.hold}
        onChange={(hold) =>
          edit(hold ? 'other muscles maintained' : 'other muscles left alone', (otherDocument) => ({
            ...otherDocument,
            hold,
          }))
        }
      />
      ;{' '}
      <WordToggle
        label="Variety"
        text={planDocument.varied ? 'other exercises each day' : 'the same exercises may return'}
        note="The same exercise again is measured sooner; another one is more variety"
        on={planDocument.varied}
        onChange={(varied) =>
          edit(varied ? 'other exercises each day' : 'exercises may return', (otherDocument) => ({
            ...otherDocument,
            varied,
          }))
        }
      />
      ; in{' '}
      <WordMenu
        label="Block"
        text={
          planDocument.blockWeeks ? `a block of ${planDocument.blockWeeks} weeks` : 'no block yet'
        }
        value={String(planDocument.blockWeeks ?? 0)}
        options={[
          { value: '0', label: 'no block' },
          ...lengths.map((length) => ({
            value: String(length),
            label: `${length} weeks`,
            note: 'sets and load rise, then an easier week and a retest',
          })),
        ]}
        onChange={(value) =>
          edit(value === '0' ? 'no block' : `a block of ${value} weeks`, (otherDocument) => {
            const next = { ...otherDocument }
            delete next.blockWeeks
            return value === '0' ? next : { ...next, blockWeeks: Number(value) }
          })
        }
      />
      {planDocument.blockWeeks && (
        <>
          {' '}
          from{' '}
          <WordMenu
            label="Begins"
            text={
              planDocument.startsOn
                ? DATE.format(momentOf(planDocument.startsOn))
                : 'a day to be said'
            }
            {...(planDocument.startsOn ? { value: planDocument.startsOn } : {})}
            options={starts.map((start) => ({ value: start, label: DATE.format(momentOf(start)) }))}
            onChange={(value) =>
              edit(`begins ${DATE.format(momentOf(value))}`, (otherDocument) => ({
                ...otherDocument,
                startsOn: value,
              }))
            }
          />
        </>
      )}
      .
    </p>
  )
}
