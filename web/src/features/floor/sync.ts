import { Problem, answer, api } from '../../api/client'
import type { Change, ChangeResult } from '../../api/client'
import {
  changed,
  database,
  deviceName,
  forgetEnded,
  messagesOf,
  onChange,
  pendingSets,
} from './store'
import type { KeptMessage, KeptSet } from './store'

const MOST_AT_ONCE = 200
const FIRST_PAUSE_MS = 2_000
const LONGEST_PAUSE_MS = 60_000

export type SyncState = 'idle' | 'sending' | 'offline' | 'signed-out'

type Sent = { set: KeptSet } | { message: KeptMessage }

/** What goes to the server, in order: exercises and marks, then sets as they were done, then ends of sessions. */
async function outgoing(coachId: string): Promise<Sent[]> {
  // Sets are read first: an exercise is kept before its first set, so none is sent without it.
  const sets = await pendingSets(coachId)
  const messages = (await messagesOf(coachId)).filter((message) => !message.refused)
  const unsent = new Set(sets.map((set) => set.sessionId))
  const first = messages.filter((message) => !message.last).map((message) => ({ message }))
  const last = messages
    .filter(
      (message) => message.last && (sets.length <= MOST_AT_ONCE || !unsent.has(message.sessionId)),
    )
    .map((message) => ({ message }))
  return [...first, ...sets.slice(0, MOST_AT_ONCE).map((set) => ({ set })), ...last]
}

function change(sent: Sent): Change {
  if ('message' in sent) return sent.message.message
  const { set } = sent
  return {
    set: {
      sessionId: set.sessionId,
      itemId: set.itemId,
      setId: set.id,
      revision: set.revision,
      base: set.acked,
      removed: set.removed,
      performedAt: set.performedAt,
      ...set.figures,
    },
  }
}

/** Takes an answer in. What the coach changed while it was under way stays the newest. */
async function settle(sent: Sent, result: ChangeResult): Promise<void> {
  if (result.outcome === 'AGAIN') return
  const db = await database()
  const tx = db.transaction(['sets', 'messages', 'meta'], 'readwrite', { durability: 'strict' })
  if ('message' in sent) {
    const { message } = sent
    if (result.outcome === 'REFUSED')
      await tx.objectStore('messages').put({ ...message, refused: result.detail })
    else await tx.objectStore('messages').delete(message.seq!)
    await tx.objectStore('meta').put(String(Date.now()), `settled ${message.sessionId}`)
  } else {
    const now = await tx.objectStore('sets').get(sent.set.id)
    if (now) {
      const stored = result.stored
      if (result.outcome === 'REFUSED')
        await tx.objectStore('sets').put({ ...now, refused: result.detail })
      else if (result.outcome === 'CONFLICT' && stored)
        await tx.objectStore('sets').put({ ...now, conflict: stored })
      else if (result.outcome === 'STALE' && stored && now.revision === sent.set.revision)
        await tx.objectStore('sets').put({ ...now, conflict: stored })
      else {
        const acked = Math.max(
          now.acked,
          result.outcome === 'SAME' && stored ? stored.revision : sent.set.revision,
        )
        await tx
          .objectStore('sets')
          .put({ ...now, acked, ackedAt: Date.now(), revision: Math.max(now.revision, acked) })
      }
    }
  }
  await tx.done
}

/** One round: sends everything that waits. Throws what the network throws; then nothing is lost, it goes with the next round. */
export async function sendOnce(coachId: string): Promise<number> {
  const sent = await outgoing(coachId)
  if (sent.length === 0) return 0
  const device = await deviceName()
  const result = await answer(
    api.POST('/api/floor/changes', {
      body: { device, sentAt: new Date().toISOString(), changes: sent.map(change) },
    }),
  )
  for (let k = 0; k < sent.length; k++) {
    const r = result.results[k]
    if (r) await settle(sent[k]!, r)
  }
  changed()
  return sent.length
}

/** One tab at a time sends. */
async function alone<T>(work: () => Promise<T>): Promise<T | undefined> {
  if (typeof navigator === 'undefined' || !navigator.locks) return work()
  return navigator.locks.request('istmo-floor-send', { ifAvailable: true }, (lock) =>
    lock ? work() : undefined,
  )
}

/** Keeps sending for a coach until it is stopped: at once when something is kept, and again with growing pauses while the server does not answer. */
export function startSync(coachId: string, onState: (s: SyncState) => void): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined
  let pause = FIRST_PAUSE_MS
  let stopped = false
  let running = false
  let again = false
  const round = async () => {
    if (running) {
      again = true
      return
    }
    running = true
    clearTimeout(timer)
    try {
      do {
        again = false
        onState('sending')
        const n = (await alone(() => sendOnce(coachId))) ?? 0
        if (n > 0) again = true
      } while (again && !stopped)
      await forgetEnded(coachId, Date.now())
      pause = FIRST_PAUSE_MS
      onState('idle')
      if (!stopped) timer = setTimeout(() => void round(), LONGEST_PAUSE_MS)
    } catch (e) {
      const out = e instanceof Problem && (e.status === 401 || e.status === 403)
      onState(out ? 'signed-out' : 'offline')
      if (!stopped) timer = setTimeout(() => void round(), pause)
      pause = Math.min(LONGEST_PAUSE_MS, 2 * pause)
    } finally {
      running = false
    }
  }
  const nudge = () => {
    pause = FIRST_PAUSE_MS
    void round()
  }
  const off = onChange(() => void round())
  window.addEventListener('online', nudge)
  document.addEventListener('visibilitychange', nudge)
  void round()
  return () => {
    stopped = true
    off()
    clearTimeout(timer)
    window.removeEventListener('online', nudge)
    document.removeEventListener('visibilitychange', nudge)
  }
}
