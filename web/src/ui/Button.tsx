import type { ComponentProps } from 'react'

const LOOKS = {
  ink: 'border-ink bg-ink text-paper hover:opacity-90',
  line: 'border-edge bg-paper text-ink hover:border-ink',
  bare: 'border-transparent text-accent-2 underline underline-offset-2 hover:text-ink',
}

export function Button({
  look = 'line',
  className = '',
  ...rest
}: ComponentProps<'button'> & { look?: keyof typeof LOOKS }) {
  return (
    <button
      type="button"
      className={`inline-flex min-h-8 items-center justify-center gap-1 border px-3 py-1 text-sm font-medium disabled:opacity-50 ${LOOKS[look]} ${className}`}
      {...rest}
    />
  )
}
