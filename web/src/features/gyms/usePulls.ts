import { useMutation } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { Problem, answer, api } from '../../api/client'
import type { Fit, Machine, Machines, Schemas } from '../../api/client'
import { detailUnit, coachUnit, scaleUnit, typedOf } from '../../quantity/format'
import { readNumber, stored } from '../../quantity/typed'
import type { TypedPull } from './AddPull'
import { trim } from '../../quantity/number'

/** What is measured of one machine, for the order at hand where there is one. */
export type Measuring = {
  gymId: string
  version: number
  machine: Machine
  brief: Schemas['BriefInput'] | null
  onSaved: (m: Machines) => void
}

/** The readings of a machine: each change is fitted at once, and nothing is kept until it is asked for. */
export function usePulls({ gymId, version, machine, brief, onSaved }: Measuring) {
  const lever = machine.travel === 'LEVER'
  const at = detailUnit(lever ? 'deg' : 'm')
  const [rows, setRows] = useState<TypedPull[]>(() =>
    machine.pulls.map((pull) => ({
      at: trim(pull.at * at.perStored, 1),
      force: typedOf(pull.forceN, scaleUnit()),
      lever: typedOf(pull.leverM, coachUnit('m')),
      load: typedOf(pull.loadKg, coachUnit('kg')),
      direction: pull.direction,
    })),
  )
  const [changed, setChanged] = useState(false)
  const body = (list: TypedPull[]) => ({
    pulls: list.map((row) => ({
      at: stored(readNumber(row.at), at.perStored),
      forceN: stored(readNumber(row.force), scaleUnit().perStored),
      loadKg: stored(readNumber(row.load), coachUnit('kg').perStored),
      direction: row.direction,
      ...(lever ? { leverM: stored(readNumber(row.lever), coachUnit('m').perStored) } : {}),
    })),
  })
  const path = { gymId, item: machine.item }
  const [effect, setEffect] = useState<Schemas['OrderChangeView'] | null>(null)
  const fit = useMutation({
    mutationFn: async ({ list, isNew }: { list: TypedPull[]; isNew: boolean }) => {
      const fitted: Fit = await answer(
        api.POST('/api/gyms/{gymId}/machines/{item}/fit', { params: { path }, body: body(list) }),
      )
      setEffect(
        brief && isNew
          ? await answer(
              api.POST('/api/orders/with-machine', {
                body: { brief, item: machine.item, measured: fitted.values },
              }),
            )
          : null,
      )
      return fitted
    },
  })
  const { mutate } = fit
  useEffect(() => {
    if (machine.pulls.length > 0) mutate({ list: rows, isNew: false })
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once: what was kept is shown with its fit
  }, [])
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/gyms/{gymId}/machines/{item}/pulls', {
          params: { path },
          body: { version, ...body(rows) },
        }),
      ),
    onSuccess: (r) => onSaved(r.machines),
  })
  const change = (list: TypedPull[]) => {
    setRows(list)
    setChanged(true)
    if (list.length > 0) fit.mutate({ list, isNew: true })
  }
  const problem = fit.error instanceof Problem ? fit.error : null
  const shown = rows.length > 0 ? fit.data : undefined
  return { rows, change, changed, fit, effect, save, problem, shown }
}
