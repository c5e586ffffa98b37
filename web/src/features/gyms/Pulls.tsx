import { Button } from '../../ui/Button'
import { FaultText } from '../../ui/Field'
import { Trouble } from '../../ui/Notice'
import { AddPull } from './AddPull'
import { FitWords, PullTable } from './FittedPulls'
import { usePulls } from './usePulls'
import type { Measuring } from './usePulls'

/** Measuring the resistance with a hanging scale: pulls, the fit beside the generic type, and what it does to the order. */
export function Pulls(measuring: Measuring) {
  const { gymId, machine } = measuring
  const { rows, change, changed, fit, effect, save, problem, shown } = usePulls(measuring)
  const lever = machine.travel === 'LEVER'
  return (
    <section aria-label="Measure the resistance" className="mt-5">
      <div className="flex flex-wrap items-baseline justify-between gap-2 border-b border-ink pb-1">
        <h3 className="text-lg">Measure the resistance</h3>
        <Button
          look="ink"
          disabled={save.isPending || !changed || (rows.length > 0 && !fit.isSuccess)}
          onClick={() => save.mutate()}
        >
          {rows.length === 0 && machine.pulls.length > 0
            ? 'Take the measurement away'
            : 'Keep this measurement'}
        </Button>
      </div>
      <p className="py-1 text-sm text-ink-2">
        {lever
          ? 'Hang the scale on the roller, square to the lever. Read it while the lever goes up slowly, and again while it goes down, at three angles at least: near straight, in the middle, well bent. A middle pin; the lever arm is from the pivot to where the scale pulls.'
          : 'Hang the scale on the sled or bar, along its track. Read it while it goes up slowly, and again while it goes down. Empty is best.'}
      </p>
      <AddPull gymId={gymId} machine={machine} onAdd={(pull) => change([...rows, pull])} />
      {rows.length > 0 && (
        <PullTable
          lever={lever}
          rows={rows}
          fit={shown}
          problem={problem}
          onRemove={(index) => change(rows.filter((_, i) => i !== index))}
        />
      )}
      {problem && (
        <FaultText
          text={['pulls', 'pulls.lever', 'pulls.friction', 'pulls.curve', 'pulls.mass']
            .map((field) => problem.fault(field))
            .find(Boolean)}
        />
      )}
      {fit.isError && (problem?.faults.length ?? 0) === 0 && <Trouble error={fit.error} />}
      {save.isError && <Trouble error={save.error} />}
      {shown && <FitWords machine={machine} fit={shown} effect={effect} />}
    </section>
  )
}
