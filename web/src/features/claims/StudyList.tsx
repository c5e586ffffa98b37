import type { Finding } from '../../api/client'
import { FindingLine } from './FindingLine'

/** Every finding by its study: what was compared, what was found, and what stands for it here. */
export function StudyList({ findings, words }: { findings: Finding[]; words: string }) {
  const wanted = words.toLowerCase()
  const found = findings.filter((finding) =>
    [finding.citation, finding.conditionA, finding.conditionB, finding.region, finding.note].some(
      (text) => text.toLowerCase().includes(wanted),
    ),
  )
  const studies = [...new Set(found.map((finding) => finding.citation))]
  if (studies.length === 0)
    return <p className="border-t border-ink py-3">No study has these words.</p>
  return (
    <ul className="min-h-0 flex-1 divide-y divide-rule overflow-auto border-t border-ink pr-1 text-sm">
      {studies.map((study) => (
        <li key={study} className="py-1.5">
          <h2 className="text-base">{study}</h2>
          <ul className="space-y-0.5">
            {found
              .filter((finding) => finding.citation === study)
              .map((finding) => (
                <li key={finding.id} className={finding.notUsed ? 'text-ink-2' : ''}>
                  <FindingLine finding={finding} />
                  {finding.setUpA && finding.setUpB && !finding.notUsed && (
                    <span className="block pl-3 text-xs text-ink-2">
                      Here: {finding.setUpA} against {finding.setUpB}
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
