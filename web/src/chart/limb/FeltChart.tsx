import { useId } from 'react'
import type { Walk } from '../../api/client'
import { GROUPS, Hatches, fill } from './Hatch'
import { HEIGHT, TERRITORIES, TOP, WIDTH, outline } from './territories'

type FeltRegion = Walk['regions'][number]

type Props = {
  regions: FeltRegion[]
  felt: string[]
  onFelt: (felt: string[]) => void
  className?: string
}

const NAME: Record<string, string> = {
  quads: 'Quads',
  hamstrings: 'Hamstrings',
  glutes: 'Glutes',
  adductors: 'Inner thigh',
  calves: 'Calves',
  shin: 'Shin',
  'hip-flexors': 'Hip flexors',
  'lower-back': 'Lower back',
}

/** Where a set was felt: the limb chart, tapped. Below it whole groups, for a thumb. */
export function FeltChart({ regions, felt, onFelt, className = '' }: Props) {
  const prefix = useId()
  const toggle = (ids: string[]) => {
    const all = ids.every((id) => felt.includes(id))
    onFelt(all ? felt.filter((id) => !ids.includes(id)) : [...new Set([...felt, ...ids])])
  }
  const groups = [...new Set(regions.map((region) => region.group))]
  return (
    <div className={className}>
      <svg
        viewBox={`-0.1 ${TOP - 0.6} ${WIDTH + 0.2} ${HEIGHT + 0.5}`}
        className="mx-auto h-[clamp(280px,46dvh,430px)] w-full"
        role="group"
        aria-label="Where it was felt"
      >
        <Hatches prefix={prefix} bold />
        {['front', 'outer', 'back', 'inner'].map((name, k) => (
          <text
            key={name}
            x={2 * k + 1}
            y={TOP - 0.12}
            textAnchor="middle"
            fontSize={0.46}
            fill="var(--ink-2)"
            aria-hidden
          >
            {name}
          </text>
        ))}
        {TERRITORIES.map((territory) => {
          const region = regions.find((floorRegion) => floorRegion.id === territory.id)
          const on = felt.includes(territory.id)
          const group = region?.group ?? 'shin'
          return (
            <path
              key={territory.id}
              role="checkbox"
              aria-checked={on}
              aria-label={region?.coachName ?? 'lower back'}
              tabIndex={0}
              data-region={territory.id}
              d={outline(territory.points)}
              fill={on ? fill(prefix, group, 5) : 'var(--paper)'}
              stroke={on ? (GROUPS[group]?.colour ?? 'var(--warn)') : 'var(--ink-2)'}
              strokeWidth={on ? 0.12 : 0.04}
              className="cursor-pointer outline-none focus-visible:[stroke:var(--focus)] focus-visible:[stroke-width:0.14]"
              onClick={() => toggle([territory.id])}
              onKeyDown={(event) => {
                if (event.key === ' ' || event.key === 'Enter') {
                  event.preventDefault()
                  toggle([territory.id])
                }
              }}
            />
          )
        })}
      </svg>
      <div className="mt-1 grid grid-cols-4 gap-1">
        {[
          ...groups.map((group) => ({
            id: group,
            name: NAME[group] ?? group,
            ids: main(regions, group),
          })),
        ].map((g) => {
          const on = g.ids.every((id) => felt.includes(id))
          return (
            <button
              key={g.id}
              type="button"
              aria-pressed={on}
              className={`min-h-[48px] border px-1 text-sm ${on ? 'border-ink bg-ink text-paper' : 'border-edge'}`}
              onClick={() => toggle(g.ids)}
            >
              {g.name}
            </button>
          )
        })}
      </div>
    </div>
  )
}

/** What stands for a group that is felt as a whole: its first, largest region. */
function main(regions: FeltRegion[], group: string): string[] {
  const largest: Record<string, string> = { glutes: 'GMAXM', adductors: 'AMA', calves: 'GASM' }
  return [largest[group] ?? regions.find((region) => region.group === group)?.id ?? group]
}
