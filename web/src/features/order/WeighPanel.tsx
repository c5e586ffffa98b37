import type { Catalogue } from '../../api/client'
import { Button } from '../../ui/Button'
import type { Brief } from '../brief/brief'

/** What counts how much: the preset's weights, and sliders to set others; asked: what this brief can be weighed by. */
export function WeighPanel({
  brief,
  change,
  catalogue,
  asked,
}: {
  brief: Brief
  change: (c: Partial<Brief>, replace?: boolean) => void
  catalogue: Catalogue
  asked: string[]
}) {
  const preset =
    catalogue.presets.find((otherPreset) => otherPreset.id === brief.preset) ??
    catalogue.presets[0]!
  const own = Object.keys(brief.weights).length
  return (
    <details className="mt-4 border-t border-rule pt-1 text-sm">
      <summary className="py-1">
        What counts how much{own > 0 ? `: ${own} set by hand` : ''}
      </summary>
      <p className="text-ink-2">
        Weighed for {preset.label}. {preset.reason}
      </p>
      <ul className="mt-1 space-y-1">
        {catalogue.criteria
          .filter((criterion) => asked.includes(criterion.id))
          .map((criterion) => {
            const value = brief.weights[criterion.id] ?? preset.weights[criterion.id] ?? 0
            return (
              <li
                key={criterion.id}
                className="grid grid-cols-[minmax(0,1fr)_6rem_2rem] items-center gap-2"
              >
                <label
                  htmlFor={`weight-${criterion.id}`}
                  title={criterion.asks}
                  className={criterion.id in brief.weights ? 'font-semibold' : ''}
                >
                  {criterion.label}
                </label>
                <input
                  id={`weight-${criterion.id}`}
                  type="range"
                  min={0}
                  max={10}
                  step={0.1}
                  value={value}
                  title={criterion.asks}
                  className="h-6 accent-[var(--accent)]"
                  onChange={(event) =>
                    change(
                      { weights: { ...brief.weights, [criterion.id]: Number(event.target.value) } },
                      true,
                    )
                  }
                />
                <span className="text-right">{value.toFixed(1)}</span>
              </li>
            )
          })}
      </ul>
      {own > 0 && (
        <Button className="mt-1" onClick={() => change({ weights: {} })}>
          Back to the preset
        </Button>
      )}
    </details>
  )
}
