import { useEffect, useRef } from 'react'
import type { Client, Gym } from '../../api/client'
import { fetchSession, fetchSessions } from '../../api/queries'
import type { Brief } from './brief'

/**
 * A bare address begins where the newest session was; without one, with the first client and gym. A
 * client without a gym stands where they trained last, with what they aimed at then.
 * What the address does say stays, and so does what the coach chooses while the session is fetched.
 */
export function useBeginning(
  brief: Brief,
  change: (c: Partial<Brief>, replace?: boolean) => void,
  clients?: Client[],
  gyms?: Gym[],
) {
  const lacking = !brief.client || !brief.gym
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
    if (!lacking || !clients?.length || !gyms?.length || beginning.current) return
    const first = { client: clients[0]!.id, gym: gyms[0]!.id }
    beginning.current = true
    void newestBeginning(first, gyms, brief.client)
      .catch(() => first)
      .then((begin) => {
        beginning.current = false
        if (alive.current) latest.current.change(missingOf(latest.current.brief, begin), true)
      })
  }, [lacking, brief.client, clients, gyms])
}

type Beginning = Partial<Brief> & { client: string; gym: string }

async function newestBeginning(
  first: Beginning,
  gyms: Gym[],
  client: string | null,
): Promise<Beginning> {
  const newest =
    (client ? (await fetchSessions(client))[0] : undefined) ?? (await fetchSessions())[0]
  if (!newest) return first
  const session = await fetchSession(newest.id)
  return {
    client: session.clientId,
    gym: gyms.some((gym) => gym.id === session.gymId) ? session.gymId : first.gym,
    aim: session.brief.aim,
    keepOut: session.brief.keepOut,
    school: session.brief.school,
  }
}

/** What of a beginning the brief does not say itself; an aim is of the client for whom it was. */
function missingOf(brief: Brief, begin: Beginning): Partial<Brief> {
  const { client, gym, ...aimed } = begin
  const theirs = !brief.client || brief.client === client
  const untouched = theirs && Object.keys(brief.aim).length === 0 && !brief.keepOut.length
  return {
    client: brief.client ?? client,
    gym: brief.gym ?? gym,
    ...(untouched ? aimed : {}),
  }
}
