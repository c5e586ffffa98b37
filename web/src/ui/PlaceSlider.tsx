/** Places of a repetition that are shown, from the top (0) to the bottom. */
export const LAST_PLACE = 20

/** Where in the repetition the pictures stand. */
export function PlaceSlider({ at, onAt }: { at: number; onAt: (at: number) => void }) {
  return (
    <label className="flex min-w-40 flex-1 items-center gap-3 text-sm">
      <span>top</span>
      <input
        type="range"
        aria-label="Place in the repetition"
        min={0}
        max={LAST_PLACE}
        value={at}
        onChange={(event) => onAt(Number(event.target.value))}
        className="h-6 flex-1 accent-[var(--accent)]"
        aria-valuetext={`${Math.round((at / LAST_PLACE) * 100)} % of the way down`}
      />
      <span>bottom</span>
    </label>
  )
}
