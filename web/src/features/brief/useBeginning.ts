import { useEffect } from 'react'
import type { Client, Gym } from '../../api/client'
import { fetchSession, fetchSessions } from '../../api/queries'
import type { Brief } from './brief'

/** A bare address begins where the newest session was; without one, with the first client and gym. What the address does say stays. */
export function useBeginning(
  brief: Brief,
  change: (c: Partial<Brief>, replace?: boolean) => void,
  clients?: Client[],
  gyms?: Gym[],
) {
  const bare = !brief.client && !brief.gym
  const aimed = Object.keys(brief.aim).length > 0 || brief.keepOut.length > 0
  useEffect(() => {
    if (!bare || !clients?.length || !gyms?.length) return
    let current = true
    const first = { client: clients[0]!.id, gym: gyms[0]!.id }
    const begin = async () => {
      const newest = (await fetchSessions())[0]
      const session = newest && (await fetchSession(newest.id))
      if (!current) return
      const place = session ? { client: session.clientId, gym: session.gymId } : first
      change(
        session && !aimed
          ? {
              ...place,
              aim: session.brief.aim,
              keepOut: session.brief.keepOut,
              school: session.brief.school,
            }
          : place,
        true,
      )
    }
    begin().catch(() => current && change(first, true))
    return () => {
      current = false
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, when there is something to begin with
  }, [bare, clients, gyms])
}
