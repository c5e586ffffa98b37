import { useMutation, useQueryClient } from '@tanstack/react-query'
import { z } from 'zod/mini'
import { answer, api } from '../../api/client'
import { keys } from '../../api/queries'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Trouble } from '../../ui/Notice'
import { useSavedForm } from '../../ui/forms'

const NAME = z.object({ name: z.string() })

/** Keeps the set-up on the bench under a name of the coach's own; it is then listed and ordered like any other. */
export function KeepVariant({
  exerciseId,
  setup,
  clientId,
  onKept,
}: {
  exerciseId: string
  setup: Record<string, number>
  clientId: string
  onKept: (candidateId: string) => void
}) {
  const queries = useQueryClient()
  const form = useSavedForm({
    reads: NAME,
    begins: { name: '' },
    save: ({ name }) =>
      answer(api.POST('/api/variants', { body: { exerciseId, name, setup, clientId } })),
    onSaved: async (kept) => {
      await changed(queries)
      onKept(kept.id)
    },
  })
  return (
    <details className="mb-2 border-b border-rule pb-2 text-sm">
      <summary className="py-1">Keep this as a variant of your own</summary>
      <form className="mt-1 flex items-end gap-2" onSubmit={form.submit}>
        <Field label="Name" className="min-w-0 flex-1" {...form.box('name')} />
        <Button type="submit" disabled={form.saving}>
          Keep
        </Button>
      </form>
      {form.error && !form.fault('name') && <Trouble error={form.error} />}
      <p className="mt-1 text-ink-2">
        Other clients get it in proportion to their own legs and mass. Only you see it.
      </p>
    </details>
  )
}

/** Takes an own variant out of lists and orders, and puts it back. */
export function OwnVariant({ candidateId, retired }: { candidateId: string; retired: boolean }) {
  const queries = useQueryClient()
  const turn = useMutation({
    mutationFn: () => {
      const [exerciseId, variant] = candidateId.split('/') as [string, string]
      const way = { params: { path: { exerciseId, variant } } }
      return answer(
        retired
          ? api.PUT('/api/variants/{exerciseId}/{variant}', way)
          : api.DELETE('/api/variants/{exerciseId}/{variant}', way),
      )
    },
    onSuccess: () => changed(queries),
  })
  return (
    <div className="mb-2 border-b border-rule pb-2 text-sm">
      <p className="flex flex-wrap items-center gap-2">
        {retired ? 'A variant of your own, out of lists and orders.' : 'A variant of your own.'}
        <Button disabled={turn.isPending} onClick={() => turn.mutate()}>
          {retired ? 'Put it back' : 'Take it out'}
        </Button>
      </p>
      {!retired && <p className="mt-1 text-ink-2">Sessions that have it keep it.</p>}
      {turn.isError && <Trouble error={turn.error} />}
    </div>
  )
}

async function changed(queries: ReturnType<typeof useQueryClient>) {
  await queries.invalidateQueries({ queryKey: keys.catalogue })
  void queries.invalidateQueries({ queryKey: ['order'] })
}
