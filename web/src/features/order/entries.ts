import type { Entry, Order } from '../../api/client'

/** Every candidate of an order: those with a place and their variants, then what hardly trains it. */
export function allEntries(order: Order): Entry[] {
  return [...order.entries, ...order.hardly].flatMap((entry) => [entry, ...entry.variants])
}
