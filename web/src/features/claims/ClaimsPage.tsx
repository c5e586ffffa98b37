import { useState, type ReactElement } from 'react'
import { Link, useLocation } from 'react-router'
import type { Claim, Finding, Practice } from '../../api/client'
import { useCatalogue, useClaims, usePractice, useStudies } from '../../api/queries'
import { useSize } from '../../chart/useSize'
import { Trouble, Waiting } from '../../ui/Notice'
import { WordMenu } from '../../ui/WordMenu'
import { writeSetup } from '../bench/address'
import { useBrief } from '../brief/brief'
import { regionWords } from '../brief/names'
import { StudyList } from './StudyList'
import { FindingLine } from './FindingLine'
import { useAddress } from '../../ui/useAddress'

const VERDICTS: Claim['verdict'][] = [
  'SUPPORTED',
  'LEANING',
  'NO_DIFFERENCE',
  'OTHERWISE',
  'CONTRADICTED',
  'UNTESTED',
]
const WORD: Record<Claim['verdict'], string> = {
  SUPPORTED: 'supported',
  LEANING: 'leaning',
  NO_DIFFERENCE: 'no difference to be seen',
  OTHERWISE: 'mechanics say otherwise',
  CONTRADICTED: 'contradicted',
  UNTESTED: 'untested',
}

/** What the trade says, each with its verdict; claims that say the opposite stand side by side. */
export function ClaimsPage() {
  const catalogue = useCatalogue()
  const studies = useStudies()
  const [brief, change] = useBrief()
  const claims = useClaims(brief.school)
  const practice = new Map((usePractice().data ?? []).map((p) => [p.claimId, p]))
  const [params, put] = useAddress()
  const topic = params.get('topic') ?? ''
  const verdict = params.get('verdict') ?? ''
  const words = params.get('words') ?? ''
  const studiesShown = params.get('show') === 'studies'
  const [open, setOpen] = useState<string | null>(params.get('claim'))
  const failed = [catalogue, claims, studies].find((q) => q.isError)
  if (failed) return <Trouble error={failed.error} retry={() => void failed.refetch()} />
  if (!catalogue.data || !claims.data || !studies.data)
    return <Waiting what="Weighing what the trade says" />
  const all = claims.data
  const findings = new Map(studies.data.map((study) => [study.id, study]))
  const school =
    catalogue.data.schools.find((otherSchool) => otherSchool.id === brief.school) ??
    catalogue.data.schools[0]!
  const topics = [...new Set(all.map((c) => c.topic))]
  const found = (claim: Claim) =>
    (!topic || claim.topic === topic) &&
    (!verdict || claim.verdict === verdict) &&
    claim.says.toLowerCase().includes(words.toLowerCase())
  const pairs = paired(all, found)
  const shown = pairs.flat().length
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      <h1 className="sr-only">Gym sayings, tested</h1>
      <p className="font-serif text-lg leading-relaxed">
        What the trade says about{' '}
        <WordMenu
          label="Topic"
          text={topic ? topic.toLowerCase() : 'everything'}
          value={topic}
          options={[
            { value: '', label: 'everything' },
            ...topics.map((text) => ({ value: text, label: text })),
          ]}
          onChange={(value) => put({ topic: value })}
        />
        , whatever the verdict:{' '}
        <WordMenu
          label="Verdict"
          text={verdict ? WORD[verdict as Claim['verdict']] : 'any'}
          value={verdict}
          options={[
            { value: '', label: 'any' },
            ...VERDICTS.map((v) => ({
              value: v,
              label: `${WORD[v]}: ${all.filter((c) => c.verdict === v).length}`,
            })),
          ]}
          onChange={(value) => put({ verdict: value })}
        />
        ; ranked{' '}
        <WordMenu
          label="Way of ranking"
          text={school.label}
          value={school.id}
          options={catalogue.data.schools
            .filter((otherSchool) => !otherSchool.retired)
            .map((otherSchool) => ({
              value: otherSchool.id,
              label: otherSchool.label,
              note: otherSchool.reason,
            }))}
          onChange={(id) => change({ school: id })}
        />
        .
      </p>
      <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1 text-sm lg:flex-nowrap">
        <label className="flex min-w-0 items-baseline gap-2 lg:shrink-0">
          with the words{' '}
          <input
            className="min-w-0 border border-edge px-2 py-1"
            type="search"
            value={words}
            onChange={(event) => put({ words: event.target.value })}
          />
        </label>
        <button
          type="button"
          className="shrink-0 border-b-2 border-dotted border-accent font-semibold hover:bg-paper-2"
          aria-pressed={studiesShown}
          onClick={() => put({ show: studiesShown ? null : 'studies' })}
        >
          {studiesShown ? 'back to the sayings' : 'the studies'}
        </button>
        <span className="text-ink-2" aria-live="polite">
          {studiesShown
            ? `${studies.data.length} findings, cited from memory; ${studies.data.filter((study) => !study.notUsed).length} move the order, the rest say why they do not.`
            : null}
          {!studiesShown && (
            <>
              {shown} of {all.length} sayings. On an average body; studies are cited from memory. A
              line shows how much more the first side gives than the second, with its 80 % interval:
              open for mechanics alone, filled with studies. What your own clients felt stands
              beside{' '}
              {practice.size === 0
                ? 'a claim once you have written it down'
                : `${practice.size} of them`}
              , and moves no verdict: feeling is no growth.
            </>
          )}
        </span>
      </div>
      {studiesShown ? (
        <StudyList findings={studies.data} words={words} />
      ) : (
        <ul
          className={`min-h-0 flex-1 divide-y divide-rule overflow-auto border-t border-ink pr-1 ${claims.isPlaceholderData ? 'opacity-60' : ''}`}
        >
          {pairs.map((pair) => (
            <li
              key={pair[0]!.id}
              className={pair.length === 2 ? 'grid gap-x-6 lg:grid-cols-2' : ''}
            >
              {pair.map((claim) => (
                <OneClaim
                  key={claim.id}
                  claim={claim}
                  practice={practice.get(claim.id)}
                  paired={pair.length === 2}
                  open={open !== null && pair.some((otherClaim) => otherClaim.id === open)}
                  onOpen={() =>
                    setOpen(
                      open !== null && pair.some((otherClaim) => otherClaim.id === open)
                        ? null
                        : claim.id,
                    )
                  }
                  findings={findings}
                  regions={regionWords(catalogue.data.regions, claim.regionIds)}
                />
              ))}
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}

/** Claims that were looked for, each beside the one that says the opposite. */
function paired(all: Claim[], found: (claim: Claim) => boolean): Claim[][] {
  const byId = new Map(all.map((c) => [c.id, c]))
  const pairs: Claim[][] = []
  const placed = new Set<string>()
  for (const c of all) {
    if (placed.has(c.id)) continue
    const other = c.against ? byId.get(c.against) : undefined
    const pair = other && !placed.has(other.id) ? [c, other] : [c]
    if (!pair.some(found)) continue
    pair.forEach((x) => placed.add(x.id))
    pairs.push(pair)
  }
  return pairs
}

const SPAN = Math.log(4)

/** How much more, on a scale of ratios from a quarter to four times. */
function Change({ claim }: { claim: Claim }) {
  const [take, { width }] = useSize<SVGSVGElement>({ width: 280, height: 36 })
  const middle = width / 2
  const x = (v: number) => middle + (middle * Math.max(-SPAN, Math.min(SPAN, v))) / SPAN
  const change = claim.mechanics
  const claimChange = claim.both
  if (!change || !claimChange) return <span className="text-xs text-ink-2">not computed</span>
  return (
    <svg
      ref={take}
      viewBox={`0 0 ${width} 36`}
      className="h-9 w-full max-w-72"
      role="img"
      aria-label={`mechanics ${percent(change.mean)}, with studies ${percent(claimChange.mean)}`}
    >
      <rect
        x={x(-claim.alike)}
        width={x(claim.alike) - x(-claim.alike)}
        y={0}
        height={18}
        fill="var(--paper-2)"
      />
      <line x1={middle} x2={middle} y1={0} y2={18} stroke="var(--ink-2)" />
      <line x1={x(change.low)} x2={x(change.high)} y1={5} y2={5} stroke="var(--ink-2)" />
      <circle cx={x(change.mean)} cy={5} r={3} fill="var(--paper)" stroke="var(--ink-2)" />
      <line
        x1={x(claimChange.low)}
        x2={x(claimChange.high)}
        y1={13}
        y2={13}
        stroke="var(--accent-2)"
        strokeWidth={2}
      />
      <circle cx={x(claimChange.mean)} cy={13} r={3.5} fill="var(--accent-2)" />
      <g fontSize={12} fill="var(--ink-2)">
        <text x={2} y={32}>
          a quarter
        </text>
        <text x={middle} y={32} textAnchor="middle">
          alike
        </text>
        <text x={width - 2} y={32} textAnchor="end">
          four times
        </text>
      </g>
    </svg>
  )
}

function percent(log: number): string {
  const p = Math.round(100 * (Math.exp(log) - 1))
  return `${p > 0 ? '+' : ''}${p} %`
}

function OneClaim({
  claim,
  practice,
  paired,
  open,
  onOpen,
  findings,
  regions,
}: {
  claim: Claim
  practice: Practice | undefined
  paired: boolean
  open: boolean
  onOpen: () => void
  findings: Map<string, Finding>
  regions: string
}) {
  return (
    <article className="py-2" data-claim={claim.id}>
      <div
        className={`grid items-center gap-x-4 gap-y-1 ${paired ? 'sm:grid-cols-[minmax(0,1fr)_12rem]' : 'sm:grid-cols-[minmax(0,1fr)_12rem_18rem]'}`}
      >
        <button
          type="button"
          aria-expanded={open}
          onClick={onOpen}
          className="text-left font-serif text-base hover:underline"
        >
          “{claim.says}”
          {practice?.difference && (
            <span className="ml-2 font-sans text-xs whitespace-nowrap text-ink-2">
              your clients: {share(practice.first)} against {share(practice.second)}
            </span>
          )}
        </button>
        <Verdict claim={claim} />
        <div className={paired ? 'sm:col-span-2' : ''}>
          <Change claim={claim} />
        </div>
      </div>
      {open && (
        <div className="mt-1 grid gap-2 border-l-2 border-rule pl-3 text-sm">
          <p>
            {claim.why} {claim.note && <span>{claim.note}</span>}
          </p>
          {claim.first && claim.second && (
            <p className="text-ink-2">
              For {regions}: <b className="font-medium text-ink">{claim.first.words}</b> against{' '}
              <b className="font-medium text-ink">{claim.second.words}</b>.{' '}
              <ToBench claim={claim} />
            </p>
          )}
          {practice && (
            <p data-testid="practice">
              <b>Your clients.</b> {practice.words}
            </p>
          )}
          <Findings title="for" ids={claim.supporting} findings={findings} />
          <Findings title="against" ids={claim.opposing} findings={findings} />
          <Findings title="bearing on it" ids={claim.bearing} findings={findings} />
        </div>
      )}
    </article>
  )
}

/** Sessions in which it was felt there, of those in which it was asked. */
function share(count: Practice['first']): string {
  return count.sessions === 0 ? 'not asked' : `${count.felt} of ${count.sessions}`
}

const MARK: Record<Claim['verdict'], ReactElement> = {
  SUPPORTED: <rect x={1} y={1} width={10} height={10} fill="var(--ink)" />,
  LEANING: <path d="M1 11V1h10Z" fill="var(--ink)" stroke="var(--ink)" />,
  NO_DIFFERENCE: <path d="M1 4h10M1 8h10" stroke="var(--ink)" strokeWidth={1.5} />,
  OTHERWISE: <path d="M2 10l8 -8" stroke="var(--ink)" strokeWidth={2} />,
  CONTRADICTED: <path d="M2 2l8 8M10 2l-8 8" stroke="var(--warn)" strokeWidth={2} />,
  UNTESTED: (
    <rect
      x={1}
      y={1}
      width={10}
      height={10}
      fill="none"
      stroke="var(--ink-2)"
      strokeDasharray="2 2"
    />
  ),
}
const TONE: Partial<Record<Claim['verdict'], string>> = {
  CONTRADICTED: 'text-warn',
  UNTESTED: 'text-ink-2',
}

/** The verdict as a word and a mark that reads without colour. */
function Verdict({ claim }: { claim: Claim }) {
  return (
    <span className="flex items-center gap-2 text-sm font-medium" data-testid="verdict">
      <svg viewBox="0 0 12 12" className="size-3 shrink-0" aria-hidden>
        {MARK[claim.verdict]}
      </svg>
      <span className={TONE[claim.verdict]}>{claim.word}</span>
    </span>
  )
}

/** Both set-ups on the bench, or, where they are two exercises, point by point. */
function ToBench({ claim }: { claim: Claim }) {
  const { search } = useLocation()
  const { first, second } = claim
  if (!first || !second) return null
  const params = new URLSearchParams(search)
  for (const key of ['topic', 'verdict', 'words', 'claim', 'show']) params.delete(key)
  if (first.candidateId.split('/')[0] === second.candidateId.split('/')[0]) {
    params.set('candidate', first.candidateId)
    params.set('pinned', writeSetup(second.setup))
    params.set('set', writeSetup(first.setup))
    return (
      <Link className="text-accent-2 underline" to={`/bench?${params}`}>
        Both set-ups
      </Link>
    )
  }
  params.set('with', `${first.candidateId}~${second.candidateId}`)
  params.set('set0', writeSetup(first.setup))
  params.set('set1', writeSetup(second.setup))
  return (
    <Link className="text-accent-2 underline" to={`/compare?${params}`}>
      Both point by point
    </Link>
  )
}

function Findings({
  title,
  ids,
  findings,
}: {
  title: string
  ids: string[]
  findings: Map<string, Finding>
}) {
  if (ids.length === 0) return null
  return (
    <div>
      <h3 className="text-sm">Studies {title}</h3>
      <ul className="space-y-0.5">
        {ids.map((id) => {
          const finding = findings.get(id)
          return finding ? (
            <li key={id}>
              {finding.citation}: <FindingLine finding={finding} />
            </li>
          ) : null
        })}
      </ul>
    </div>
  )
}
