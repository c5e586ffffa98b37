import { useMutation, useQueryClient } from '@tanstack/react-query'
import { AlertDialog } from 'radix-ui'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { answer, api } from '../../api/client'
import type { Client } from '../../api/client'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Trouble } from '../../ui/Notice'

/** What belongs to the client: everything as one file, or everything erased. */
export function OwnData({ client, onErased }: { client: Client; onErased?: () => void }) {
  const navigate = useNavigate()
  const queries = useQueryClient()
  const [name, setName] = useState('')
  const erase = useMutation({
    mutationFn: () =>
      answer(
        api.DELETE('/api/clients/{id}', { params: { path: { id: client.id }, query: { name } } }),
      ),
    onSuccess: () => {
      queries.clear()
      if (onErased) onErased()
      else void navigate('/clients')
    },
  })
  return (
    <div className="flex flex-wrap items-center gap-3 border-t border-rule pt-2 text-sm">
      <a className="text-accent-2 underline" href={`/api/clients/${client.id}/file`} download>
        Take everything out as a file
      </a>
      <a className="text-accent-2 underline" href={`/api/clients/${client.id}/record.csv`} download>
        Sets as a spreadsheet
      </a>
      <Link className="text-accent-2 underline" to={`/clients/${client.id}/bring`}>
        Bring in sets from a spreadsheet
      </Link>
      <AlertDialog.Root>
        <AlertDialog.Trigger className="text-warn underline">Erase for good</AlertDialog.Trigger>
        <AlertDialog.Portal>
          <AlertDialog.Overlay className="fixed inset-0 z-40 bg-black/30" />
          <AlertDialog.Content className="fixed top-24 left-1/2 z-50 w-[28rem] max-w-[calc(100vw-2rem)] -translate-x-1/2 space-y-3 border border-warn bg-paper p-4">
            <AlertDialog.Title className="text-lg">Erase {client.name} for good?</AlertDialog.Title>
            <AlertDialog.Description className="text-sm">
              Intake, cautions, measurements, sessions and every set go. This cannot be undone; take
              the file out first if it may be needed.
            </AlertDialog.Description>
            <Field
              label={`Write the name, ${client.name}, to erase`}
              value={name}
              onChange={(event) => setName(event.target.value)}
            />
            {erase.isError && <Trouble error={erase.error} />}
            <div className="flex gap-2">
              <Button
                look="ink"
                disabled={name !== client.name || erase.isPending}
                onClick={() => erase.mutate()}
              >
                Erase for good
              </Button>
              <AlertDialog.Cancel className="border border-edge px-3 py-1 text-sm">
                Keep
              </AlertDialog.Cancel>
            </div>
          </AlertDialog.Content>
        </AlertDialog.Portal>
      </AlertDialog.Root>
    </div>
  )
}
