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
  const preset = catalogue.presets.find((p) => p.id === brief.preset) ?? catalogue.presets[0]!
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
          .filter((c) => asked.includes(c.id))
          .map((c) => {
            const value = brief.weights[c.id] ?? preset.weights[c.id] ?? 0
            return (
              <li
                key={c.id}
                className="grid grid-cols-[minmax(0,1fr)_6rem_2rem] items-center gap-2"
              >
                <label
                  htmlFor={`weight-${c.id}`}
                  title={c.asks}
                  className={c.id in brief.weights ? 'font-semibold' : ''}
                >
                  {c.label}
                </label>
                <input
                  id={`weight-${c.id}`}
                  type="range"
                  min={0}
                  max={10}
                  step={0.1}
                  value={value}
                  title={c.asks}
                  className="h-6 accent-[var(--accent)]"
                  onChange={(e) =>
                    change({ weights: { ...brief.weights, [c.id]: Number(e.target.value) } }, true)
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
