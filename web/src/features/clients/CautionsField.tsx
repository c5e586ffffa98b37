import type { Catalogue, Client } from '../../api/client'
import { Button } from '../../ui/Button'
import { FaultText, Field, Tick } from '../../ui/Field'

type Caution = Client['cautions'][number]
type Restriction = Client['restrictions'][number]

type Props = {
  known: Catalogue['cautions']
  redFlags: string[]
  cautions: Caution[]
  restrictions: Restriction[]
  onCautions: (c: Caution[]) => void
  onRestrictions: (r: Restriction[]) => void
  fault: (field: string) => string | undefined
}

/** Cautions with their clearances, and a clinician's written restrictions, which go before everything. */
export function CautionsField({
  known,
  redFlags,
  cautions,
  restrictions,
  onCautions,
  onRestrictions,
  fault,
}: Props) {
  const change = (id: Caution['caution'], partial: Partial<Caution>) =>
    onCautions(
      cautions.map((caution) => (caution.caution === id ? { ...caution, ...partial } : caution)),
    )
  const changeRestriction = (k: number, partial: Partial<Restriction>) =>
    onRestrictions(
      restrictions.map((restriction, i) =>
        i === k ? { ...restriction, ...partial } : restriction,
      ),
    )
  return (
    <details open={cautions.length + restrictions.length > 0}>
      <summary className="border-b border-rule py-1 text-sm">
        Cautions and restrictions
        {cautions.length + restrictions.length > 0
          ? ` (${cautions.length + restrictions.length})`
          : ''}
      </summary>
      {redFlags.length > 0 && (
        <details
          className="my-1 border-l-2 border-warn pl-2 text-sm"
          open={cautions.some((caution) => caution.caution === 'RED_FLAG')}
        >
          <summary className="py-1">
            Red flags: any one of these, stop and send to a licensed clinician
          </summary>
          <ul className="list-disc pl-4">
            {redFlags.map((redFlag) => (
              <li key={redFlag}>{redFlag}</li>
            ))}
          </ul>
        </details>
      )}
      {known.map((caution) => {
        const mine = cautions.find((clientCaution) => clientCaution.caution === caution.id)
        return (
          <div key={caution.id}>
            <Tick
              label={caution.label}
              note={caution.reason || caution.advice}
              checked={mine !== undefined}
              onChange={(on) =>
                onCautions(
                  on
                    ? [...cautions, { caution: caution.id }]
                    : cautions.filter((clientCaution) => clientCaution.caution !== caution.id),
                )
              }
            />
            {mine && caution.asksClearance && (
              <div className="mb-1 ml-6 grid grid-cols-2 gap-2">
                <Field
                  label="Cleared by"
                  value={mine.clearedBy ?? ''}
                  onChange={(event) =>
                    change(caution.id, { clearedBy: event.target.value || undefined })
                  }
                />
                <Field
                  label="on"
                  type="date"
                  value={mine.clearedOn ?? ''}
                  onChange={(event) =>
                    change(caution.id, { clearedOn: event.target.value || undefined })
                  }
                />
              </div>
            )}
          </div>
        )
      })}
      <FaultText text={fault('cautions.clearance')} />
      <h3 className="mt-2 text-sm">Written restrictions of a clinician</h3>
      {restrictions.map((restriction, k) => (
        <fieldset key={k} className="mt-1 space-y-1 border-l-2 border-warn pl-2">
          <legend className="sr-only">Restriction {k + 1}</legend>
          <div className="grid grid-cols-2 gap-2">
            <Field
              label="Written by"
              value={restriction.by}
              onChange={(event) => changeRestriction(k, { by: event.target.value })}
              fault={fault('restrictions.by')}
            />
            <Field
              label="on"
              type="date"
              value={restriction.on}
              onChange={(event) => changeRestriction(k, { on: event.target.value })}
              fault={fault('restrictions.on')}
            />
          </div>
          <Field
            label="It says"
            value={restriction.text}
            onChange={(event) => changeRestriction(k, { text: event.target.value })}
            fault={fault('restrictions.text')}
          />
          <div className="grid grid-cols-2 gap-2">
            <Field
              label="Most knee bend"
              unit="°"
              inputMode="numeric"
              value={restriction.kneeMaxDeg ?? ''}
              onChange={(event) => changeRestriction(k, { kneeMaxDeg: number(event.target.value) })}
              fault={fault('restrictions.kneeMaxDeg')}
            />
            <Field
              label="Most hip bend"
              unit="°"
              inputMode="numeric"
              value={restriction.hipMaxDeg ?? ''}
              onChange={(event) => changeRestriction(k, { hipMaxDeg: number(event.target.value) })}
              fault={fault('restrictions.hipMaxDeg')}
            />
          </div>
          <Tick
            label="no load on the back"
            checked={restriction.noLoadedBack}
            onChange={(on) => changeRestriction(k, { noLoadedBack: on })}
          />
          <Button
            look="bare"
            className="!px-0"
            onClick={() => onRestrictions(restrictions.filter((_, i) => i !== k))}
          >
            Remove this restriction
          </Button>
        </fieldset>
      ))}
      <Button
        className="mt-1"
        onClick={() =>
          onRestrictions([...restrictions, { by: '', on: '', text: '', noLoadedBack: false }])
        }
      >
        Add a restriction
      </Button>
    </details>
  )
}

function number(text: string): number | undefined {
  const v = Number(text)
  return text.trim() === '' || !Number.isFinite(v) ? undefined : v
}
