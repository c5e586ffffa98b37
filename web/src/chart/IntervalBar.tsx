/** A value with its interval on a line from 0 to 100; what the figure says stands beside it in words. */
export function IntervalBar({ low, value, high }: { low: number; value: number; high: number }) {
  const line = (x1: number, x2: number, stroke: string, strokeWidth: number, half = 0) => (
    <line
      x1={x1}
      x2={x2}
      y1={7 - half}
      y2={7 + half}
      stroke={stroke}
      strokeWidth={strokeWidth}
      vectorEffect="non-scaling-stroke"
    />
  )
  return (
    <svg viewBox="0 0 100 14" preserveAspectRatio="none" className="h-3.5 w-full" aria-hidden>
      {line(0, 100, 'var(--rule)', 1)}
      {line(low, high, 'var(--accent-2)', 3)}
      {line(value, value, 'var(--ink)', 2.5, 6)}
    </svg>
  )
}
