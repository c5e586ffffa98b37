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
  const change = (id: Caution['caution'], c: Partial<Caution>) =>
    onCautions(cautions.map((x) => (x.caution === id ? { ...x, ...c } : x)))
  const changeRestriction = (k: number, r: Partial<Restriction>) =>
    onRestrictions(restrictions.map((x, i) => (i === k ? { ...x, ...r } : x)))
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
          open={cautions.some((c) => c.caution === 'RED_FLAG')}
        >
          <summary className="py-1">
            Red flags: any one of these, stop and send to a licensed clinician
          </summary>
          <ul className="list-disc pl-4">
            {redFlags.map((f) => (
              <li key={f}>{f}</li>
            ))}
          </ul>
        </details>
      )}
      {known.map((k) => {
        const mine = cautions.find((c) => c.caution === k.id)
        return (
          <div key={k.id}>
            <Tick
              label={k.label}
              note={k.reason || k.advice}
              checked={mine !== undefined}
              onChange={(on) =>
                onCautions(
                  on
                    ? [...cautions, { caution: k.id }]
                    : cautions.filter((c) => c.caution !== k.id),
                )
              }
            />
            {mine && k.asksClearance && (
              <div className="mb-1 ml-6 grid grid-cols-2 gap-2">
                <Field
                  label="Cleared by"
                  value={mine.clearedBy ?? ''}
                  onChange={(e) => change(k.id, { clearedBy: e.target.value || undefined })}
                />
                <Field
                  label="on"
                  type="date"
                  value={mine.clearedOn ?? ''}
                  onChange={(e) => change(k.id, { clearedOn: e.target.value || undefined })}
                />
              </div>
            )}
          </div>
        )
      })}
      <FaultText text={fault('cautions.clearance')} />
      <h3 className="mt-2 text-sm">Written restrictions of a clinician</h3>
      {restrictions.map((r, k) => (
        <fieldset key={k} className="mt-1 space-y-1 border-l-2 border-warn pl-2">
          <legend className="sr-only">Restriction {k + 1}</legend>
          <div className="grid grid-cols-2 gap-2">
            <Field
              label="Written by"
              value={r.by}
              onChange={(e) => changeRestriction(k, { by: e.target.value })}
              fault={fault('restrictions.by')}
            />
            <Field
              label="on"
              type="date"
              value={r.on}
              onChange={(e) => changeRestriction(k, { on: e.target.value })}
              fault={fault('restrictions.on')}
            />
          </div>
          <Field
            label="It says"
            value={r.text}
            onChange={(e) => changeRestriction(k, { text: e.target.value })}
            fault={fault('restrictions.text')}
          />
          <div className="grid grid-cols-2 gap-2">
            <Field
              label="Most knee bend"
              unit="°"
              inputMode="numeric"
              value={r.kneeMaxDeg ?? ''}
              onChange={(e) => changeRestriction(k, { kneeMaxDeg: number(e.target.value) })}
              fault={fault('restrictions.kneeMaxDeg')}
            />
            <Field
              label="Most hip bend"
              unit="°"
              inputMode="numeric"
              value={r.hipMaxDeg ?? ''}
              onChange={(e) => changeRestriction(k, { hipMaxDeg: number(e.target.value) })}
              fault={fault('restrictions.hipMaxDeg')}
            />
          </div>
          <Tick
            label="no load on the back"
            checked={r.noLoadedBack}
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
