import { useId, useRef, useState } from 'react'
import type { ReactNode } from 'react'
import type { Hit } from '../../api/client'
import { Trouble } from '../../ui/Notice'
import { KIND } from './hits'
import { useAnswerTo, useSearch } from './useSearch'
import { Thumb } from '../../chart/stage/Thumb'

/** Something that can be picked: a hit of the server, or one that the screen itself knows. */
export type Pickable = Pick<Hit, 'id' | 'name' | 'by' | 'note'> & {
  kind: Hit['kind'] | 'SCREEN'
}

/** A field and what fits it: arrows go up and down, Enter picks. */
export function HitPicker({
  label,
  kinds,
  known = () => [],
  onPick,
  nothing,
}: {
  label: string
  /** which kinds of hits are wanted; all where nothing is said */
  kinds?: Hit['kind'][]
  /** what the screen itself knows of a text; it comes first */
  known?: (text: string) => Pickable[]
  onPick: (hit: Pickable) => void
  /** what to say where nothing fits */
  nothing: (text: string) => ReactNode
}) {
  const list = useId()
  const [text, setText] = useState('')
  const [active, setActive] = useState(0)
  const newest = useRef('')
  const words = text.trim()
  const search = useSearch(words)
  const answerTo = useAnswerTo()
  const current = words !== '' && search.isSuccess && !search.isPlaceholderData
  const wanted = (found: Hit[], asked: string): Pickable[] => [
    ...known(asked),
    ...found.filter((hit) => !kinds || kinds.includes(hit.kind)),
  ]
  const hits = words === '' ? [] : wanted(search.data ?? [], words)
  const at = Math.min(active, Math.max(0, hits.length - 1))
  const pickFirstOf = async (asked: string) => {
    const first = wanted(await answerTo(asked), asked)[0]
    if (first && newest.current === asked) onPick(first)
  }
  return (
    <>
      <label className="block text-sm text-ink-2">
        {label}
        <input
          autoFocus
          role="combobox"
          aria-expanded={hits.length > 0}
          aria-controls={list}
          aria-autocomplete="list"
          aria-activedescendant={hits[at] ? `${list}-${at}` : undefined}
          className="mt-0.5 block w-full border border-edge px-2 py-1.5 text-lg text-ink"
          value={text}
          onChange={(event) => {
            setText(event.target.value)
            setActive(0)
            newest.current = event.target.value.trim()
          }}
          onKeyDown={(event) => {
            if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
              event.preventDefault()
              const step = event.key === 'ArrowDown' ? 1 : -1
              setActive(Math.max(0, Math.min(hits.length - 1, at + step)))
            }
            if (event.key === 'Enter' && words !== '') {
              event.preventDefault()
              if (current && hits[at]) onPick(hits[at])
              else if (!current) void pickFirstOf(words)
            }
          }}
        />
      </label>
      {search.isError && <Trouble error={search.error} />}
      <ul id={list} role="listbox" aria-label="Found" className="mt-2 min-h-0 flex-1 overflow-auto">
        {hits.map((hit, k) => (
          // eslint-disable-next-line jsx-a11y-x/click-events-have-key-events -- the field has the keys
          <li
            key={`${hit.kind} ${hit.id}`}
            id={`${list}-${k}`}
            role="option"
            aria-selected={k === at}
            className={`flex cursor-pointer items-center gap-2 border-b border-rule/60 px-2 py-1 ${k === at ? 'bg-paper-2' : ''}`}
            onMouseMove={() => setActive(k)}
            onClick={() => onPick(hit)}
          >
            {hit.kind === 'EXERCISE' && <Thumb candidateId={hit.id} className="size-9" />}
            <span className="min-w-0 flex-1">
              <span className="font-medium">{hit.name}</span>
              {hit.by !== hit.name && <span className="text-ink-2"> · {hit.by}</span>}
              {hit.note && <span className="block text-sm text-ink-2">{hit.note}</span>}
            </span>
            <span className="self-start text-sm text-ink-2">
              {hit.kind === 'SCREEN' ? 'screen' : KIND[hit.kind]}
            </span>
          </li>
        ))}
      </ul>
      {current && hits.length === 0 && (
        <div className="py-2 text-sm" role="status">
          {nothing(words)}
        </div>
      )}
    </>
  )
}
