import type { CSSProperties } from 'react'

/** Columns of a comparison: a member each, behind their label where the screen is wide. */
export const COLUMNS = 'grid gap-x-3 grid-cols-(--members) sm:grid-cols-(--columns)'

/** Widths of the columns of so many members. */
export function columnsOf(members: number): CSSProperties {
  return {
    '--members': `repeat(${members}, minmax(0, 1fr))`,
    '--columns': `9rem repeat(${members}, minmax(0, 1fr))`,
  } as CSSProperties
}
