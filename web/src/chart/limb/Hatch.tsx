/** Groups are told by hue and by the direction of their lines, amounts by how close the lines lie. */
export const GROUPS: Record<string, { colour: string; angle: number }> = {
  quads: { colour: 'var(--quads)', angle: 45 },
  hamstrings: { colour: 'var(--hamstrings)', angle: -45 },
  glutes: { colour: 'var(--glutes)', angle: 0 },
  adductors: { colour: 'var(--adductors)', angle: 90 },
  calves: { colour: 'var(--calves)', angle: 22 },
  shin: { colour: 'var(--shin)', angle: -68 },
  'hip-flexors': { colour: 'var(--hip-flexors)', angle: 68 },
  'lower-back': { colour: 'var(--lower-back)', angle: -22 },
}

export const LEVELS = 6
/** Distance of hatch lines for each level, in map units; level 0 is empty. */
const SPACING = [0, 0.36, 0.24, 0.165, 0.115, 0.078]

/**
 * @param bold thicker lines further apart, for the small chart
 * @param unit one unit of the map in the units of the drawing
 */
export function Hatches({
  prefix,
  bold = false,
  unit = 1,
}: {
  prefix: string
  bold?: boolean
  unit?: number
}) {
  const scale = unit * (bold ? 2.1 : 1)
  return (
    <defs>
      {Object.entries(GROUPS).flatMap(([group, { colour, angle }]) =>
        SPACING.slice(1).map((spacing, k) => (
          <pattern
            key={`${group}${k}`}
            id={`${prefix}-${group}-${k + 1}`}
            width={spacing * scale}
            height={spacing * scale}
            patternUnits="userSpaceOnUse"
            patternTransform={`rotate(${angle})`}
          >
            <line
              x1={0}
              y1={0}
              x2={spacing * scale}
              y2={0}
              stroke={colour}
              strokeWidth={0.075 * scale * (bold ? 1.25 : 1)}
            />
          </pattern>
        )),
      )}
      <pattern
        id={`${prefix}-out`}
        width={0.2}
        height={0.2}
        patternUnits="userSpaceOnUse"
        patternTransform={`scale(${unit})`}
      >
        <path d="M0 0L.2 .2M.2 0L0 .2" stroke="var(--warn)" strokeWidth={0.035} />
      </pattern>
    </defs>
  )
}

/** The fill of a group at a level, 0 to 5. */
export function fill(prefix: string, group: string, level: number): string {
  return level <= 0 ? 'transparent' : `url(#${prefix}-${group}-${Math.min(LEVELS - 1, level)})`
}
