import { useState } from 'react'
import type { Catalogue, Client, Gym } from '../../api/client'
import { WordMenu, WordToggle } from '../../ui/WordMenu'
import { DEFAULT_PRESET, DEFAULT_SCHOOL } from './brief'
import type { Brief } from './brief'
import { groupWord, regionWords } from './names'

/** weighed: whether the screen orders anything, so that weights do something */
type Props = {
  brief: Brief
  change: (c: Partial<Brief>) => void
  catalogue: Catalogue
  clients: Client[]
  gyms: Gym[]
  weighed?: boolean
}

/** The whole context as one sentence whose underlined words are controls. */
export function BriefLine({ brief, change, catalogue, clients, gyms, weighed = false }: Props) {
  const client = clients.find((listed) => listed.id === brief.client)
  const gym = gyms.find((listed) => listed.id === brief.gym)
  const groups = [...new Set(catalogue.regions.map((region) => region.group))]
  const [more, setMore] = useState(false)
  const school =
    catalogue.schools.find((otherSchool) => otherSchool.id === brief.school) ??
    catalogue.schools[0]!
  const preset =
    catalogue.presets.find((otherPreset) => otherPreset.id === brief.preset) ??
    catalogue.presets[0]!
  // what is not as usual is always told
  const expert =
    more ||
    brief.school !== DEFAULT_SCHOOL ||
    brief.preset !== DEFAULT_PRESET ||
    Object.keys(brief.weights).length > 0
  const ofGroup = (group: string) =>
    catalogue.regions.filter((region) => region.group === group).map((region) => region.id)
  const aimGroup = (group: string) =>
    change(
      group === ''
        ? { aim: {} }
        : {
            aim: Object.fromEntries(ofGroup(group).map((id) => [id, 2])),
            keepOut: brief.keepOut.filter((id) => !ofGroup(group).includes(id)),
          },
    )
  const keepGroup = (group: string) => {
    if (group === '') return change({ keepOut: [] })
    const ids = ofGroup(group)
    change({
      keepOut: [...new Set([...brief.keepOut, ...ids])],
      aim: Object.fromEntries(Object.entries(brief.aim).filter(([id]) => !ids.includes(id))),
    })
  }
  return (
    <p className="font-serif text-lg leading-relaxed" data-testid="brief">
      For{' '}
      <WordMenu
        label="Client"
        text={client?.name ?? 'a client'}
        value={brief.client ?? ''}
        options={clients.map((listed) => ({ value: listed.id, label: listed.name }))}
        onChange={(id) => change({ client: id })}
      />{' '}
      at{' '}
      <WordMenu
        label="Gym"
        text={gym?.name ?? 'a gym'}
        value={brief.gym ?? ''}
        options={gyms.map((listed) => ({ value: listed.id, label: listed.name }))}
        onChange={(id) => change({ gym: id })}
      />
      : target{' '}
      <WordMenu
        label="Target"
        text={regionWords(catalogue.regions, Object.keys(brief.aim))}
        options={[
          ...groups.map((group) => ({ value: group, label: groupWord(catalogue.regions, group) })),
          { value: '', label: 'nothing yet', note: 'then paint single regions on the chart' },
        ]}
        onChange={aimGroup}
      />
      ; avoid{' '}
      <WordMenu
        label="Avoid"
        text={
          brief.keepOut.length === 0 ? 'nothing' : regionWords(catalogue.regions, brief.keepOut)
        }
        options={[
          ...groups.map((group) => ({ value: group, label: groupWord(catalogue.regions, group) })),
          { value: '', label: 'nothing' },
        ]}
        onChange={keepGroup}
      />
      ;{' '}
      <WordToggle
        label="Today"
        text={brief.stiff ? 'stiff today' : 'moving normally'}
        note="Less ankle and hip, for this session only"
        on={brief.stiff}
        onChange={(stiff) => change({ stiff })}
      />
      {expert ? (
        <>
          ; ranked{' '}
          <WordMenu
            label="Way of ranking"
            text={school.label}
            value={school.id}
            options={catalogue.schools
              .filter((otherSchool) => !otherSchool.retired)
              .map((otherSchool) => ({
                value: otherSchool.id,
                label: otherSchool.label,
                note: otherSchool.reason,
              }))}
            onChange={(id) => change({ school: id })}
          />
          {weighed && (
            <>
              {' '}
              for{' '}
              <WordMenu
                label="Weighed for"
                text={preset.label + (Object.keys(brief.weights).length > 0 ? ', own weights' : '')}
                value={preset.id}
                options={catalogue.presets.map((otherPreset) => ({
                  value: otherPreset.id,
                  label: otherPreset.label,
                  note: otherPreset.reason,
                }))}
                onChange={(id) => change({ preset: id, weights: {} })}
              />
            </>
          )}
          .
        </>
      ) : (
        <>
          .{' '}
          <button
            type="button"
            className="font-sans text-sm text-accent-2 underline"
            title="How exercises are ranked, and for what"
            onClick={() => setMore(true)}
          >
            more
          </button>
        </>
      )}
    </p>
  )
}

/** The same sentence to read and to print. */
export function BriefWords({
  catalogue,
  clientName,
  gymName,
  brief,
}: {
  catalogue: Catalogue
  clientName: string
  gymName: string
  brief: { aim: Record<string, number>; keepOut: string[]; school: string; stiffToday: boolean }
}) {
  const school = catalogue.schools.find((otherSchool) => otherSchool.id === brief.school)
  return (
    <p className="font-serif text-lg leading-relaxed">
      For <b>{clientName}</b> at <b>{gymName}</b>: target{' '}
      <b>{regionWords(catalogue.regions, Object.keys(brief.aim))}</b>; avoid{' '}
      <b>
        {brief.keepOut.length === 0 ? 'nothing' : regionWords(catalogue.regions, brief.keepOut)}
      </b>
      ; ranked <b>{school?.label}</b>
      {brief.stiffToday && (
        <>
          ; <b>stiff today</b>
        </>
      )}
      .
    </p>
  )
}
