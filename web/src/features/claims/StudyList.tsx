import type { Finding } from '../../api/client'
import { FindingLine } from './FindingLine'

/** Every finding by its study: what was compared, what was found, and what stands for it here. */
export function StudyList({ findings, words }: { findings: Finding[]; words: string }) {
  const wanted = words.toLowerCase()
  const found = findings.filter((f) =>
    [f.citation, f.conditionA, f.conditionB, f.region, f.note].some((t) =>
      t.toLowerCase().includes(wanted),
    ),
  )
  const studies = [...new Set(found.map((f) => f.citation))]
  if (studies.length === 0)
    return <p className="border-t border-ink py-3">No study has these words.</p>
  return (
    <ul className="min-h-0 flex-1 divide-y divide-rule overflow-auto border-t border-ink pr-1 text-sm">
      {studies.map((s) => (
        <li key={s} className="py-1.5">
          <h2 className="text-base">{s}</h2>
          <ul className="space-y-0.5">
            {found
              .filter((f) => f.citation === s)
              .map((f) => (
                <li key={f.id} className={f.notUsed ? 'text-ink-2' : ''}>
                  <FindingLine finding={f} />
                  {f.setUpA && f.setUpB && !f.notUsed && (
                    <span className="block pl-3 text-xs text-ink-2">
                      Here: {f.setUpA} against {f.setUpB}
                    </span>
                  )}
                </li>
              ))}
          </ul>
        </li>
      ))}
    </ul>
  )
}
