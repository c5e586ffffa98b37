import type { Plan, Week, WeekItem } from '../../api/client'
import { Button } from '../../ui/Button'
import { WordMenu } from '../../ui/WordMenu'
import { bouts, joinWithNext, moveBout, pin, positionOf, takeApart, takeOut } from './edits'
import type { Edit } from './usePlanEdits'
import { WEEKDAYS } from './words'

/** What can be done with an exercise of the week: lock it, swap it, pair it, move it, take it out. */
export function ItemActs({
  week,
  item,
  edit,
  swapping,
  onSwapping,
}: {
  week: Week
  item: WeekItem
  edit: Edit
  swapping: boolean
  onSwapping: () => void
}) {
  const at = positionOf(week.plan, item.id)
  const bout = at && week.days[at.day]?.bouts[at.bout]
  const follows = at && (week.days[at.day]?.bouts.length ?? 0) > at.bout + 1
  return (
    <p className="flex flex-wrap gap-x-3 gap-y-1">
      <Button
        aria-pressed={item.pinned}
        onClick={() =>
          edit(item.pinned ? `${item.name} unlocked` : `${item.name} locked`, (plan) =>
            pin(plan, item.id, !item.pinned),
          )
        }
      >
        {item.pinned ? 'Unlock' : 'Lock'}
      </Button>
      <Button aria-expanded={swapping} onClick={onSwapping} disabled={item.refusal !== undefined}>
        Swap
      </Button>
      {bout && bout.items.length > 1 ? (
        <Button
          onClick={() =>
            edit('one after the other', (plan) => takeApart(plan, positionOf(plan, item.id)!))
          }
        >
          Take apart
        </Button>
      ) : (
        follows && (
          <Button
            onClick={() =>
              edit('in turn', (plan) => joinWithNext(plan, positionOf(plan, item.id)!))
            }
          >
            Superset with next
          </Button>
        )
      )}
      {at && (
        <span className="self-center">
          Move{' '}
          <WordMenu
            label="Move it"
            text="to"
            options={[
              ...(at.bout > 0 ? [{ value: 'earlier', label: 'earlier in the session' }] : []),
              ...(follows ? [{ value: 'later', label: 'later in the session' }] : []),
              ...week.days.flatMap((day, k) =>
                k === at.day ? [] : [{ value: String(k), label: WEEKDAYS[day.weekday - 1]! }],
              ),
            ]}
            onChange={(value) => edit(`${item.name} moved`, (plan) => moved(plan, item.id, value))}
          />
        </span>
      )}
      <Button onClick={() => edit(`${item.name} taken out`, (plan) => takeOut(plan, item.id))}>
        Take out
      </Button>
    </p>
  )
}

/** Where dragging would put it: a place earlier or later, or the end of another day. */
function moved(plan: Plan, itemId: string, to: string): Plan {
  const at = positionOf(plan, itemId)!
  if (to === 'earlier') return moveBout(plan, at, { ...at, bout: at.bout - 1 })
  if (to === 'later') return moveBout(plan, at, { ...at, bout: at.bout + 2 })
  return moveBout(plan, at, { day: Number(to), bout: bouts(plan, Number(to)).length })
}
