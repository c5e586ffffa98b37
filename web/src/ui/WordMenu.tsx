import { DropdownMenu } from 'radix-ui'

export type WordOption = { value: string; label: string; note?: string }

const WORD = 'border-b-2 border-dotted border-accent font-semibold text-ink hover:bg-paper-2'

/** A word of a sentence that one tap turns over. */
export function WordToggle({
  label,
  text,
  note,
  on,
  onChange,
}: {
  label: string
  text: string
  note: string
  on: boolean
  onChange: (on: boolean) => void
}) {
  return (
    <button
      type="button"
      aria-label={`${label}: ${text}`}
      aria-pressed={on}
      title={note}
      className={WORD}
      onClick={() => onChange(!on)}
    >
      {text}
    </button>
  )
}

/** A word of a sentence that is a control: underlined, opens a menu. */
export function WordMenu({
  label,
  text,
  options,
  value,
  onChange,
}: {
  label: string
  text: string
  options: WordOption[]
  value?: string
  onChange: (value: string) => void
}) {
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger
        aria-label={`${label}: ${text}`}
        className={`${WORD} data-[state=open]:bg-paper-2`}
      >
        {text}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          sideOffset={6}
          className="z-50 max-h-96 min-w-48 overflow-auto border border-ink bg-paper py-1 text-sm shadow-sm"
        >
          {options.map((option) => (
            <DropdownMenu.Item
              key={option.value}
              onSelect={() => onChange(option.value)}
              className="max-w-80 px-3 py-1.5 outline-none data-[highlighted]:bg-paper-2"
            >
              <span className={option.value === value ? 'font-semibold' : ''}>{option.label}</span>
              {option.note && <span className="block text-xs text-ink-2">{option.note}</span>}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}
