/** A set-up in the address: name.value pairs, joined by ~. */
export function parseSetup(text: string | null): Record<string, number> | null {
  if (!text) return null
  const setup: Record<string, number> = {}
  for (const part of text.split('~')) {
    const at = part.indexOf('.')
    const value = Number(part.slice(at + 1))
    if (at > 0 && Number.isFinite(value)) setup[part.slice(0, at)] = value
  }
  return Object.keys(setup).length > 0 ? setup : null
}

export function writeSetup(setup: Record<string, number>): string {
  return Object.entries(setup)
    .map(([key, v]) => `${key}.${Number(v.toFixed(4))}`)
    .sort()
    .join('~')
}
