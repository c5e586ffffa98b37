import type { ReactNode } from 'react'

/** A number with a button on either side. */
export function Count({
  label,
  value,
  shown,
  least,
  most,
  step = 1,
  onChange,
}: {
  label: string
  value: number
  shown: string
  least: number
  most: number
  step?: number
  onChange: (v: number) => void
}) {
  const move = (by: number) => onChange(Math.max(least, Math.min(most, value + by)))
  const button = (by: number, sign: ReactNode, word: string, end: boolean) => (
    <button
      type="button"
      aria-label={`${label}: ${word}`}
      disabled={end}
      className="min-h-7 min-w-7 border border-edge leading-none hover:border-ink disabled:opacity-40"
      onClick={() => move(by)}
    >
      {sign}
    </button>
  )
  return (
    <div role="group" aria-label={label}>
      <span className="text-xs text-ink-2">{label}</span>
      <span className="flex items-center">
        {button(-step, '−', 'less', value <= least)}
        <span className="flex-1 text-center font-semibold whitespace-nowrap">{shown}</span>
        {button(step, '+', 'more', value >= most)}
      </span>
    </div>
  )
}
