import { useId } from 'react'
import type { Planning, Prescription } from '../../api/client'
import { Count } from './Count'

/** Of what comes off at a drop, per cent: nothing off is an easier set-up. */
const SMALLEST_STEP = 5

/** Rest between the legs, and the drops where the sets have them. */
export function Stringing({
  p,
  oneLeg,
  easier,
  limits,
  change,
}: {
  p: Prescription
  oneLeg: boolean
  /** Names of set-ups in which a set can go on at the same load. */
  easier: string[]
  limits: Planning['limits']
  change: (what: string, c: Partial<Prescription>) => void
}) {
  const { drops } = p
  const offered = useId()
  const drop = (what: string, partial: Partial<NonNullable<Prescription['drops']>>) =>
    drops && change(what, { drops: { ...drops, ...partial } })
  if (!oneLeg && !drops) return null
  return (
    <div className="grid grid-cols-3 items-end gap-x-3 gap-y-1">
      {oneLeg && (
        <Count
          label="Between legs"
          value={p.sideRestS ?? 0}
          shown={`${p.sideRestS} s`}
          least={limits.sideRestS.min}
          most={limits.sideRestS.max}
          step={10}
          onChange={(sideRestS) => change(`${sideRestS} s between legs`, { sideRestS })}
        />
      )}
      {drops && (
        <>
          <Count
            label="Drops"
            value={drops.number}
            shown={String(drops.number)}
            least={limits.drops.min}
            most={limits.drops.max}
            onChange={(number) => drop(`${number} drops`, { number })}
          />
          {drops.less > 0 && (
            <Count
              label="Less each time"
              value={Math.round(100 * drops.less)}
              shown={`${Math.round(100 * drops.less)} %`}
              least={SMALLEST_STEP}
              most={100 * limits.dropsLess.max}
              step={SMALLEST_STEP}
              onChange={(v) => drop(`${v} % less each time`, { less: v / 100 })}
            />
          )}
          <label className="flex min-h-7 items-center gap-1">
            <input
              type="checkbox"
              checked={drops.everySet}
              onChange={(event) =>
                drop(event.target.checked ? 'drops after every set' : 'drops after the last set', {
                  everySet: event.target.checked,
                })
              }
            />
            after every set
          </label>
          <label className="col-span-3">
            <span className="text-xs text-ink-2">What gets easier</span>
            <input
              className="w-full border border-edge bg-paper px-1 py-0.5"
              placeholder={
                drops.less > 0 ? 'only the load' : (easier[0] ?? 'flat instead of propped')
              }
              list={offered}
              maxLength={limits.easierLetters}
              key={drops.easier}
              defaultValue={drops.easier}
              onBlur={(event) => {
                const said = event.target.value.trim()
                if (said !== (drops.easier ?? ''))
                  drop(`easier: ${said || 'not said'}`, { easier: said })
              }}
            />
            <datalist id={offered}>
              {easier.map((name) => (
                <option key={name} value={name} />
              ))}
            </datalist>
          </label>
        </>
      )}
    </div>
  )
}
