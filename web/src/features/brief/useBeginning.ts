import { useEffect, useRef } from 'react'
import type { Client, Gym } from '../../api/client'
import { fetchSession, fetchSessions } from '../../api/queries'
import type { Brief } from './brief'

/**
 * A bare address begins where the newest session was; without one, with the first client and gym.
 * What the address does say stays, and so does what the coach chooses while the session is fetched.
 */
export function useBeginning(
  brief: Brief,
  change: (c: Partial<Brief>, replace?: boolean) => void,
  clients?: Client[],
  gyms?: Gym[],
) {
  const bare = !brief.client && !brief.gym
  const latest = useRef({ brief, change })
  const alive = useRef(false)
  const beginning = useRef(false)

  useEffect(() => {
    latest.current = { brief, change }
  })

  useEffect(() => {
    alive.current = true
    return () => {
      alive.current = false
    }
  }, [])

  useEffect(() => {
    if (!bare || !clients?.length || !gyms?.length || beginning.current) return
    const first = { client: clients[0]!.id, gym: gyms[0]!.id }
    beginning.current = true
    void newestBeginning(first)
      .catch(() => first)
      .then((begin) => {
        beginning.current = false
        if (alive.current) latest.current.change(missingOf(latest.current.brief, begin), true)
      })
  }, [bare, clients, gyms])
}

type Beginning = Partial<Brief> & { client: string; gym: string }

async function newestBeginning(first: Beginning): Promise<Beginning> {
  const newest = (await fetchSessions())[0]
  if (!newest) return first
  const session = await fetchSession(newest.id)
  return {
    client: session.clientId,
    gym: session.gymId,
    aim: session.brief.aim,
    keepOut: session.brief.keepOut,
    school: session.brief.school,
  }
}

/** What of a beginning the brief does not say itself; an aim is of the client for whom it was. */
function missingOf(brief: Brief, begin: Beginning): Partial<Brief> {
  const { client, gym, ...aimed } = begin
  const untouched = !brief.client && Object.keys(brief.aim).length === 0 && !brief.keepOut.length
  return {
    client: brief.client ?? client,
    gym: brief.gym ?? gym,
    ...(untouched ? aimed : {}),
  }
}
