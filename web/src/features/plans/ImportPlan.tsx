import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useNavigate } from 'react-router'
import { Problem, answer, api } from '../../api/client'
import { keys } from '../../api/queries'
import { Trouble } from '../../ui/Notice'

/** A plan from a file, JSON or CSV: all of it or nothing, with every fault named. */
export function ImportPlan({ clientId, gymId }: { clientId: string; gymId: string }) {
  const queries = useQueryClient()
  const navigate = useNavigate()
  const bring = useMutation({
    mutationFn: async (file: File) =>
      answer(
        api.POST('/api/weeks/imports', { body: { clientId, gymId, text: await file.text() } }),
      ),
    onSuccess: (w) => {
      queries.setQueryData(keys.week(w.id), w)
      void queries.invalidateQueries({ queryKey: ['weeks'] })
      void navigate(`/weeks/${w.id}`)
    },
  })
  const faults = bring.error instanceof Problem ? bring.error.faults : []
  return (
    <div className="mt-2 text-sm">
      <label>
        Or bring in a plan from a file (JSON or CSV of Istmo):{' '}
        <input
          type="file"
          accept=".json,.csv"
          onChange={(event) => {
            const file = event.target.files?.[0]
            if (file) bring.mutate(file)
            event.target.value = ''
          }}
        />
      </label>
      {bring.isError && <Trouble error={bring.error} />}
      {faults.length > 0 && (
        <ul className="list-disc pl-5">
          {faults.map((fault) => (
            <li key={fault.field + fault.message}>
              <b>{fault.field}</b> {fault.message}
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}
