/** A picture or a film from this device; on a telephone the camera offers itself. */
export function ChooseFile({
  label,
  first = false,
  onChoose,
}: {
  label: string
  first?: boolean
  onChoose: (file: File) => void
}) {
  return (
    <label
      className={`inline-flex min-h-10 cursor-pointer items-center border px-4 text-sm font-medium ${first ? 'border-ink bg-ink text-paper' : 'border-edge hover:border-ink'} has-focus-visible:outline-2 has-focus-visible:outline-[var(--focus)]`}
    >
      {label}
      <input
        type="file"
        accept="image/*,video/*"
        className="sr-only"
        onChange={(event) => {
          const file = event.target.files?.[0]
          if (file) onChoose(file)
        }}
      />
    </label>
  )
}
