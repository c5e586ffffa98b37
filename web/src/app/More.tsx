import { DropdownMenu } from 'radix-ui'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { useAccount } from '../api/queries'
import { withBrief } from '../features/brief/keptBrief'
import { EVIDENCE } from './rooms'
import { useIsUnsaved } from '../ui/unsaved'
import { useLengthUnit, useMassUnit } from '../quantity/units'

const ITEM =
  'block px-3 py-1.5 outline-none data-[disabled]:opacity-50 data-[highlighted]:bg-paper-2'

/** What lies one step behind the rooms: evidence, account, units, paper, keys. */
export function More({
  brief,
  dark,
  onPaper,
  onKeys,
}: {
  brief: string
  dark: boolean
  onPaper: () => void
  onKeys: () => void
}) {
  const account = useAccount()
  const [unit, setUnit] = useMassUnit()
  const [lengths, setLengths] = useLengthUnit()
  const unsaved = useIsUnsaved()
  const who = account.data?.signedIn ? account.data : undefined
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger className="min-h-6 text-ink-2 hover:text-ink">
        More
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={6}
          className="z-50 min-w-56 border border-ink bg-paper py-1 text-sm shadow-sm"
        >
          <Heading>What the rankings rest on</Heading>
          {EVIDENCE.map((screen) => (
            <DropdownMenu.Item key={screen.to} asChild>
              <Link className={ITEM} to={withBrief(screen.to, brief)}>
                {screen.label}
              </Link>
            </DropdownMenu.Item>
          ))}
          <DropdownMenu.Separator className="my-1 border-t border-rule" />
          <Heading>This device</Heading>
          {unsaved && (
            <p className="max-w-56 px-3 text-xs text-ink-2">
              Save or cancel what is typed here before you change units.
            </p>
          )}
          <DropdownMenu.Item
            className={ITEM}
            disabled={unsaved}
            onSelect={() => setUnit(unit === 'kg' ? 'lb' : 'kg')}
          >
            {unit === 'kg' ? 'Weights in pounds' : 'Weights in kilograms'}
          </DropdownMenu.Item>
          <DropdownMenu.Item
            className={ITEM}
            disabled={unsaved}
            onSelect={() => setLengths(lengths === 'cm' ? 'in' : 'cm')}
          >
            {lengths === 'cm' ? 'Lengths in inches' : 'Lengths in centimetres'}
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={onPaper}>
            {dark ? 'Light paper' : 'Dark paper'}
          </DropdownMenu.Item>
          <DropdownMenu.Item className={ITEM} onSelect={onKeys}>
            Keys <kbd className="font-sans text-ink-2">?</kbd>
          </DropdownMenu.Item>
          {who && (
            <>
              <DropdownMenu.Separator className="my-1 border-t border-rule" />
              <DropdownMenu.Item asChild>
                <Link className={ITEM} to="/account">
                  {who.demo ? 'Account: demo, signed in by itself' : `Account: ${who.name}`}
                </Link>
              </DropdownMenu.Item>
            </>
          )}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}

function Heading({ children }: { children: ReactNode }) {
  return (
    <DropdownMenu.Label className="px-3 pt-1 text-xs text-ink-2">{children}</DropdownMenu.Label>
  )
}
