import type { Catalogue, Client } from '../../api/client'
import { Choice, Field, Tick } from '../../ui/Field'

type Profile = Client['profile']

export const UNKNOWN: Profile = { habits: [], notes: '', likes: [], dislikes: [] }

type Props = {
  catalogue: Catalogue
  profile: Profile
  onProfile: (p: Profile) => void
  fault: (field: string) => string | undefined
}

/** Training age, schedule, habits, likes: what is known beyond the body. Everything may be left out. */
export function ProfileField({ catalogue, profile, onProfile, fault }: Props) {
  const change = (partial: Partial<Profile>) => onProfile({ ...profile, ...partial })
  const whole = (text: string) =>
    text.trim() === '' ? undefined : Math.round(Number(text)) || undefined
  const said = [
    profile.trainingAge,
    profile.daysAWeek,
    profile.minutes,
    profile.strongerSide,
    ...profile.habits,
    ...profile.likes,
    ...profile.dislikes,
    profile.notes || undefined,
  ].filter((x) => x !== undefined).length
  const liking = (id: string) =>
    profile.likes.includes(id) ? 'likes' : profile.dislikes.includes(id) ? 'dislikes' : ''
  const like = (id: string, how: string) =>
    change({
      likes: [...profile.likes.filter((text) => text !== id), ...(how === 'likes' ? [id] : [])],
      dislikes: [
        ...profile.dislikes.filter((dislike) => dislike !== id),
        ...(how === 'dislikes' ? [id] : []),
      ],
    })
  return (
    <details open={said > 0}>
      <summary className="border-b border-rule py-1 text-sm">
        Training, habits and likes{said > 0 ? ` (${said})` : ''}
      </summary>
      <div className="space-y-2 py-1">
        <Choice
          label="Has trained for"
          value={profile.trainingAge ?? null}
          onChange={(trainingAge) => change({ trainingAge })}
          options={[
            { value: 'WEEKS', label: 'weeks' },
            { value: 'MONTHS', label: 'months' },
            { value: 'YEARS', label: 'years' },
          ]}
        />
        <div className="grid grid-cols-2 gap-2">
          <Field
            label="Days a week"
            inputMode="numeric"
            value={profile.daysAWeek ?? ''}
            onChange={(event) => change({ daysAWeek: whole(event.target.value) })}
            fault={fault('daysAWeek')}
          />
          <Field
            label="Minutes a session"
            inputMode="numeric"
            value={profile.minutes ?? ''}
            onChange={(event) => change({ minutes: whole(event.target.value) })}
            fault={fault('minutes')}
          />
        </div>
        <Choice
          label="Stronger side"
          value={profile.strongerSide ?? null}
          onChange={(strongerSide) => change({ strongerSide })}
          options={[
            { value: 'LEFT', label: 'left' },
            { value: 'RIGHT', label: 'right' },
          ]}
        />
        <fieldset>
          <legend className="text-sm text-ink-2">Where it goes instead</legend>
          {catalogue.habits.map((habit) => (
            <Tick
              key={habit.id}
              label={habit.label}
              checked={profile.habits.includes(habit.id)}
              onChange={(on) =>
                change({
                  habits: on
                    ? [...profile.habits, habit.id]
                    : profile.habits.filter((otherHabit) => otherHabit !== habit.id),
                })
              }
            />
          ))}
        </fieldset>
        <label className="block text-sm">
          <span className="text-ink-2">Notes on comfort (only you see them)</span>
          <textarea
            className="mt-0.5 w-full border border-edge bg-paper px-2 py-1"
            rows={2}
            value={profile.notes}
            onChange={(event) => change({ notes: event.target.value })}
          />
        </label>
        <details>
          <summary className="py-1 text-sm">
            Likes and dislikes ({profile.likes.length + profile.dislikes.length})
          </summary>
          {catalogue.exercises.map((exercise) => (
            <label
              key={exercise.id}
              className="flex items-center justify-between gap-2 border-b border-rule/60 py-0.5 text-sm"
            >
              {exercise.name}
              <select
                aria-label={`How ${exercise.name} is liked`}
                className="border border-edge px-1 py-0.5"
                value={liking(exercise.id)}
                onChange={(event) => like(exercise.id, event.target.value)}
              >
                <option value="">–</option>
                <option value="likes">likes it</option>
                <option value="dislikes">does not</option>
              </select>
            </label>
          ))}
        </details>
      </div>
    </details>
  )
}
