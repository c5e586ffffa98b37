import type { Change, ChangeResult, FloorSet } from '../../api/client'
import { figures } from './sample'
import type { Figures } from './store'

/** For tests: a server that judges sets as Istmo's does (conformance.test.ts holds it to the core), with a network that may lose the request or the answer. */
export class Server {
  sets = new Map<
    string,
    {
      revision: number
      removed: boolean
      device: string
      figures: string
      seen: Record<string, number>
      taken: number
    }
  >()
  other: Change[] = []
  requests = 0
  network: () => 'ok' | 'lost' | 'answer lost' | 'half' = () => 'ok'

  async fetch(request: Request): Promise<Response> {
    this.requests++
    const fate = this.network()
    if (fate === 'lost') throw new TypeError('no network')
    const body = (await request.json()) as { device: string; changes: Change[] }
    const results: ChangeResult[] = []
    for (const [k, change] of body.changes.entries()) {
      if (fate === 'half' && k >= body.changes.length / 2) throw new TypeError('the server died')
      results.push(this.take(body.device, change))
    }
    if (fate === 'answer lost') throw new TypeError('no answer')
    return new Response(JSON.stringify({ results }), {
      status: 200,
      headers: { 'content-type': 'application/json' },
    })
  }

  private take(device: string, change: Change): ChangeResult {
    if (!change.set) {
      if (!this.other.some((otherChange) => JSON.stringify(otherChange) === JSON.stringify(change)))
        this.other.push(change)
      return { outcome: 'STORED', detail: '' }
    }
    const {
      setId,
      revision,
      base,
      removed,
      sessionId: _s,
      itemId: _i,
      performedAt: _p,
      ...rest
    } = change.set as typeof change.set & { setId: string; revision: number; base: number }
    const said = JSON.stringify(Object.entries(rest).sort())
    const now = this.sets.get(setId)
    const store = () => {
      this.sets.set(setId, {
        revision,
        removed: removed ?? false,
        device,
        figures: said,
        seen: { ...now?.seen, [device]: Math.max(revision, now?.seen[device] ?? 0) },
        taken: (now?.taken ?? 0) + 1,
      })
      return { outcome: 'STORED' as const, detail: '', stored: this.stored(setId) }
    }
    if (!now) return store()
    const same = now.removed === (removed ?? false) && now.figures === said
    if (revision <= (now.seen[device] ?? 0))
      return { outcome: same ? 'SAME' : 'STALE', detail: '', stored: this.stored(setId) }
    if (device === now.device || base >= now.revision) return store()
    return { outcome: same ? 'SAME' : 'CONFLICT', detail: '', stored: this.stored(setId) }
  }

  stored(id: string): FloorSet {
    const s = this.sets.get(id)!
    return {
      id,
      revision: s.revision,
      removed: s.removed,
      performedAt: '',
      ...(Object.fromEntries(JSON.parse(s.figures) as [string, unknown][]) as Figures),
    }
  }

  /** Another device changes a set. */
  elsewhere(id: string, to: number): void {
    const now = this.sets.get(id)!
    this.sets.set(id, {
      ...now,
      device: 'other',
      revision: now.revision + 1,
      figures: JSON.stringify(Object.entries(figures(to)).sort()),
      seen: { ...now.seen, other: now.revision + 1 },
    })
  }
}
