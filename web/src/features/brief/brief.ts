import { useMemo } from 'react'
import { useSearchParams } from 'react-router'
import type { Schemas } from '../../api/client'
import type { Paint } from '../../chart/limb/LimbChart'

/** The whole context of an order. It lives in the address, so back, reload and a sent link keep it. */
export type Brief = {
  client: string | null
  gym: string | null
  aim: Record<string, number>
  keepOut: string[]
  school: string
  /** what the order is weighed for */
  preset: string
  /** criterion id to the weight that the coach has set */
  weights: Record<string, number>
  /** this client is stiff today: less range, for this session only */
  stiff: boolean
}

export const DEFAULT_SCHOOL = 'stretch'
export const DEFAULT_PRESET = 'growth'

export function parseBrief(params: URLSearchParams): Brief {
  const aim: Record<string, number> = {}
  for (const part of (params.get('aim') ?? '').split('~')) {
    const [id, weight] = part.split('.')
    const w = Number(weight)
    if (id && w >= 1 && w <= 3 && Number.isInteger(w)) aim[id] = w
  }
  const weights: Record<string, number> = {}
  for (const part of (params.get('w') ?? '').split('~')) {
    const at = part.indexOf('.')
    const w = Number(part.slice(at + 1))
    if (at > 0 && w >= 0 && w <= 10) weights[part.slice(0, at)] = w
  }
  return {
    client: params.get('client'),
    gym: params.get('gym'),
    aim,
    keepOut: (params.get('out') ?? '').split('~').filter(Boolean),
    school: params.get('school') ?? DEFAULT_SCHOOL,
    preset: params.get('for') ?? DEFAULT_PRESET,
    weights,
    stiff: params.get('stiff') === '1',
  }
}

/** Writes a brief into search parameters, leaving others as they are. */
export function writeBrief(brief: Brief, into: URLSearchParams): URLSearchParams {
  const params = new URLSearchParams(into)
  const put = (key: string, value: string | null) =>
    value ? params.set(key, value) : params.delete(key)
  put('client', brief.client)
  put('gym', brief.gym)
  put(
    'aim',
    Object.entries(brief.aim)
      .map(([id, w]) => `${id}.${w}`)
      .sort()
      .join('~'),
  )
  put('out', [...brief.keepOut].sort().join('~'))
  put('school', brief.school === DEFAULT_SCHOOL ? null : brief.school)
  put('for', brief.preset === DEFAULT_PRESET ? null : brief.preset)
  put(
    'w',
    Object.entries(brief.weights)
      .map(([id, w]) => `${id}.${w}`)
      .sort()
      .join('~'),
  )
  put('stiff', brief.stiff ? '1' : null)
  return params
}

/**
 * The brief of the address, and how to change it. A change is on every part of the screen before the
 * next click or key is heard, so that a link that is pressed at once goes along with it.
 */
export function useBrief(): [Brief, (change: Partial<Brief>, replace?: boolean) => void] {
  const [params, setParams] = useSearchParams()
  const brief = useMemo(() => parseBrief(params), [params])
  const change = (partial: Partial<Brief>, replace = false) =>
    setParams((old) => writeBrief({ ...brief, ...partial }, old), { replace, flushSync: true })
  return [brief, change]
}

export function paintOf(brief: Brief, id: string): Paint {
  if (brief.keepOut.includes(id)) return -1
  return (brief.aim[id] ?? 0) as Paint
}

export function painted(brief: Brief, id: string, paint: Paint): Partial<Brief> {
  const aim = { ...brief.aim }
  delete aim[id]
  if (paint > 0) aim[id] = paint
  const keepOut = brief.keepOut.filter((key) => key !== id)
  return { aim, keepOut: paint === -1 ? [...keepOut, id] : keepOut }
}

/** What the server needs for an order, or null while something is missing. */
export function orderInput(brief: Brief): Schemas['BriefInput'] | null {
  if (!brief.client || !brief.gym || Object.keys(brief.aim).length === 0) return null
  return {
    clientId: brief.client,
    gymId: brief.gym,
    aim: brief.aim,
    keepOut: brief.keepOut,
    school: brief.school,
    preset: brief.preset,
    weights: brief.weights,
    stiffToday: brief.stiff,
  }
}
