import { openDB } from 'idb'
import type { DBSchema, IDBPDatabase } from 'idb'
import type { Change, FloorSet, Walk } from '../../api/client'

/** A set as this device has it. `acked` is the newest revision that the server has answered for; what is above it is still to be sent. */
export type KeptSet = {
  id: string
  coachId: string
  sessionId: string
  itemId: string
  figures: Figures
  removed: boolean
  performedAt: string
  revision: number
  acked: number
  /** when the server answered for it, by this device's clock */
  ackedAt?: number
  /** order in which sets were made here */
  made: number
  /** what the server has instead, when another device changed it meanwhile */
  conflict?: FloorSet
  /** why the server cannot take it */
  refused?: string
}

/** Everything that is written down of a set. */
export type Figures = Pick<
  FloorSet,
  | 'kind'
  | 'number'
  | 'side'
  | 'loadKg'
  | 'repetitions'
  | 'reserve'
  | 'range'
  | 'tempoKept'
  | 'felt'
  | 'pain'
>

/** A message about something other than a set, in the order in which it has to go. */
export type KeptMessage = {
  seq?: number
  coachId: string
  sessionId: string
  message: Change
  last: boolean
  refused?: string
}

/** Where a session stands on this device: steps passed without a record, ends of rests, and which exercise was chosen. */
export type Progress = {
  sessionId: string
  passed: string[]
  restFrom?: number
  restUntil?: number
  ownEnd: Record<string, number>
  chosen?: string
  lastSet?: string
  /** sets beyond those asked, by exercise */ extra?: Record<string, number>
}

export type KeptWalk = { sessionId: string; coachId: string; walk: Walk }

interface Schema extends DBSchema {
  walks: { key: string; value: KeptWalk; indexes: { coach: string } }
  sets: { key: string; value: KeptSet; indexes: { session: string; coach: string } }
  messages: { key: number; value: KeptMessage; indexes: { coach: string } }
  progress: { key: string; value: Progress }
  meta: { key: string; value: string }
}

const NAME = 'istmo-floor'

let opened: Promise<IDBPDatabase<Schema>> | undefined

/** The device's own database. A transaction that is awaited is on the disk: only then may the screen say that something is kept. */
export function database(): Promise<IDBPDatabase<Schema>> {
  opened ??= openDB<Schema>(NAME, 1, {
    upgrade(db) {
      db.createObjectStore('walks', { keyPath: 'sessionId' }).createIndex('coach', 'coachId')
      const sets = db.createObjectStore('sets', { keyPath: 'id' })
      sets.createIndex('session', 'sessionId')
      sets.createIndex('coach', 'coachId')
      db.createObjectStore('messages', { keyPath: 'seq', autoIncrement: true }).createIndex(
        'coach',
        'coachId',
      )
      db.createObjectStore('progress', { keyPath: 'sessionId' })
      db.createObjectStore('meta')
    },
    terminated() {
      opened = undefined
    },
  })
  return opened
}

/** For tests: the database is opened anew, as after a crash. */
export async function closeDatabase(): Promise<void> {
  if (opened) (await opened).close()
  opened = undefined
}

const DAY_MS = 24 * 3600e3

const STRICT = { durability: 'strict' } as const

const listeners = new Set<() => void>()
const channel =
  typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('istmo-floor')
if (channel) channel.onmessage = () => listeners.forEach((listener) => listener())

/** Told whenever something kept here changes, in this tab or another. */
export function onChange(listener: () => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

export function changed(): void {
  listeners.forEach((listener) => listener())
  channel?.postMessage(0)
}

/** The name under which this device sends; made once. */
export async function deviceName(): Promise<string> {
  const db = await database()
  const tx = db.transaction('meta', 'readwrite', STRICT)
  let name = await tx.store.get('device')
  if (!name) {
    name = crypto.randomUUID()
    await tx.store.put(name, 'device')
  }
  await tx.done
  return name
}

/** Who was signed in on this device last: what is kept of somebody else is neither shown nor sent. */
export async function lastCoach(): Promise<string | undefined> {
  return (await database()).get('meta', 'coach')
}

export async function rememberCoach(coachId: string): Promise<void> {
  await (await database()).put('meta', coachId, 'coach')
}

/**
 * Keeps a walk, unless this device has said something of the session that may not be in it yet: a swap or an end that waits, or was settled after the walk was asked for. Answers whether it was kept.
 *
 * @param askedAt when the walk was asked for, by this device's clock
 */
export async function keepWalk(coachId: string, walk: Walk, askedAt: number): Promise<boolean> {
  const db = await database()
  const tx = db.transaction(['walks', 'sets', 'messages', 'meta'], 'readwrite', STRICT)
  const waits = (await tx.objectStore('messages').getAll()).some(
    (message) => message.sessionId === walk.sessionId && !message.refused,
  )
  const settled = Number((await tx.objectStore('meta').get(`settled ${walk.sessionId}`)) ?? 0)
  if (waits || settled >= askedAt) {
    await tx.done
    return false
  }
  await tx.objectStore('walks').put({ sessionId: walk.sessionId, coachId, walk })
  // what the server has in the state that this device knows need not be kept twice
  const known = new Map(
    walk.items.flatMap((item) => item.sets).map((set) => [set.id, set.revision]),
  )
  for (const set of await tx.objectStore('sets').index('session').getAll(walk.sessionId)) {
    const settled =
      set.acked === set.revision && !set.conflict && !set.refused && (set.ackedAt ?? 0) < askedAt
    if (settled && (set.removed || known.has(set.id))) await tx.objectStore('sets').delete(set.id)
  }
  await tx.done
  changed()
  return true
}

export async function walkOf(sessionId: string): Promise<KeptWalk | undefined> {
  return (await database()).get('walks', sessionId)
}

export async function walksOf(coachId: string): Promise<KeptWalk[]> {
  return (await database()).getAllFromIndex('walks', 'coach', coachId)
}

export async function setsOf(sessionId: string): Promise<KeptSet[]> {
  return (await database()).getAllFromIndex('sets', 'session', sessionId)
}

export async function progressOf(sessionId: string): Promise<Progress> {
  return (
    (await (await database()).get('progress', sessionId)) ?? { sessionId, passed: [], ownEnd: {} }
  )
}

export async function keepProgress(progress: Progress): Promise<void> {
  await (await database()).put('progress', progress)
  changed()
}

/** Keeps a set that was just done, with where the session stands after it, in one step. When this returns it is on the disk. */
export async function keepSet(
  set: Omit<KeptSet, 'revision' | 'acked' | 'made' | 'removed'>,
  progress: Progress,
): Promise<KeptSet> {
  const db = await database()
  const tx = db.transaction(['sets', 'progress'], 'readwrite', STRICT)
  const made = (await tx.objectStore('sets').count()) + Date.now()
  const kept: KeptSet = { ...set, removed: false, revision: 1, acked: 0, made }
  await tx.objectStore('sets').add(kept)
  await tx.objectStore('progress').put(progress)
  await tx.done
  changed()
  return kept
}

/** Changes a set of this device, or one that so far only the server had. */
export async function changeSet(
  base: KeptSet,
  figures: Figures,
  removed: boolean,
): Promise<KeptSet> {
  const db = await database()
  const tx = db.transaction('sets', 'readwrite', STRICT)
  const now = (await tx.store.get(base.id)) ?? base
  const { refused: _gone, ...rest } = now
  const next: KeptSet = { ...rest, figures, removed, revision: now.revision + 1 }
  await tx.store.put(next)
  await tx.done
  changed()
  return next
}

/** Decides a conflict: this device's figures become the newest, or the server's are taken. */
export async function decide(id: string, mine: boolean): Promise<void> {
  const db = await database()
  const tx = db.transaction('sets', 'readwrite', STRICT)
  const set = await tx.store.get(id)
  if (set?.conflict) {
    const { conflict, ...rest } = set
    await tx.store.put(
      mine
        ? {
            ...rest,
            acked: conflict.revision,
            revision: Math.max(set.revision, conflict.revision) + 1,
          }
        : {
            ...rest,
            figures: figuresOf(conflict),
            removed: conflict.removed,
            revision: conflict.revision,
            acked: conflict.revision,
          },
    )
  }
  await tx.done
  changed()
}

export function figuresOf(set: FloorSet): Figures {
  return {
    kind: set.kind,
    side: set.side,
    loadKg: set.loadKg,
    repetitions: set.repetitions,
    reserve: set.reserve,
    felt: set.felt,
    ...(set.number === undefined ? {} : { number: set.number }),
    ...(set.range === undefined ? {} : { range: set.range }),
    ...(set.tempoKept === undefined ? {} : { tempoKept: set.tempoKept }),
    ...(set.pain === undefined ? {} : { pain: set.pain }),
  }
}

/** Keeps a message, and what it changes of the session as this device shows it. */
export async function keepMessage(
  message: Omit<KeptMessage, 'seq' | 'last'>,
  patch?: (w: Walk) => Walk,
): Promise<void> {
  const db = await database()
  const tx = db.transaction(['messages', 'walks'], 'readwrite', STRICT)
  await tx.objectStore('messages').add({ ...message, last: message.message.finish !== undefined })
  const kept = patch && (await tx.objectStore('walks').get(message.sessionId))
  if (kept) await tx.objectStore('walks').put({ ...kept, walk: patch(kept.walk) })
  await tx.done
  changed()
}

export async function messagesOf(coachId: string): Promise<KeptMessage[]> {
  return (await database()).getAllFromIndex('messages', 'coach', coachId)
}

export async function pendingSets(coachId: string): Promise<KeptSet[]> {
  return (await (await database()).getAllFromIndex('sets', 'coach', coachId))
    .filter((set) => set.acked < set.revision && !set.conflict && !set.refused)
    .sort((first, second) => first.made - second.made)
}

/** What still has to reach the server, or needs the coach. */
export async function waiting(
  coachId: string,
): Promise<{ toSend: number; conflicts: KeptSet[]; refused: (KeptSet | KeptMessage)[] }> {
  const db = await database()
  const sets = await db.getAllFromIndex('sets', 'coach', coachId)
  const messages = await messagesOf(coachId)
  return {
    toSend:
      sets.filter((set) => set.acked < set.revision && !set.conflict && !set.refused).length +
      messages.filter((message) => !message.refused).length,
    conflicts: sets.filter((set) => set.conflict),
    refused: [
      ...sets.filter((set) => set.refused),
      ...messages.filter((message) => message.refused),
    ],
  }
}

/** Takes what was refused off this device: the coach has seen it. */
export async function letGo(of: KeptSet | KeptMessage): Promise<void> {
  const db = await database()
  if ('figures' in of) await db.delete('sets', of.id)
  else if (of.seq !== undefined) await db.delete('messages', of.seq)
  changed()
}

/** Sessions that ended a day ago leave this device, once everything of them has reached the server: health notes stay no longer than they are needed. */
export async function forgetEnded(coachId: string, now: number): Promise<void> {
  const db = await database()
  const tx = db.transaction(['walks', 'sets', 'messages', 'progress', 'meta'], 'readwrite', STRICT)
  const waits = new Set(
    (await tx.objectStore('messages').index('coach').getAll(coachId)).map(
      (message) => message.sessionId,
    ),
  )
  let gone = 0
  for (const walk of await tx.objectStore('walks').index('coach').getAll(coachId)) {
    const sets = await tx.objectStore('sets').index('session').getAll(walk.sessionId)
    const ended =
      walk.walk.finishedAt !== undefined && now - new Date(walk.walk.finishedAt).getTime() > DAY_MS
    if (
      ended &&
      !waits.has(walk.sessionId) &&
      sets.every((set) => set.acked === set.revision && !set.conflict && !set.refused)
    ) {
      gone++
      for (const set of sets) await tx.objectStore('sets').delete(set.id)
      await tx.objectStore('walks').delete(walk.sessionId)
      await tx.objectStore('progress').delete(walk.sessionId)
      await tx.objectStore('meta').delete(`settled ${walk.sessionId}`)
    }
  }
  await tx.done
  if (gone > 0) changed()
}

/** What was taken along leaves this device on signing out; what was not sent yet stays until its coach is back. */
export async function forgetWalks(): Promise<void> {
  const db = await database()
  const tx = db.transaction(['walks', 'sets', 'progress', 'meta'], 'readwrite', STRICT)
  await tx.objectStore('walks').clear()
  await tx.objectStore('progress').clear()
  for (const set of await tx.objectStore('sets').getAll()) {
    if (set.acked === set.revision && !set.conflict && !set.refused)
      await tx.objectStore('sets').delete(set.id)
  }
  await tx.objectStore('meta').delete('coach')
  await tx.done
  changed()
}
