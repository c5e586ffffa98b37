import { describe, expect, test } from 'vitest'
import core from './conformance.json'
import { figures } from './features/floor/sample'
import { Server } from './features/floor/testServer'
import { KG_PER_LB, M_PER_INCH, NEWTONS_PER_KG, inUnits } from './quantity/units'

/** conformance.json is written by the core (ConformanceTest): rules and figures that both sides need. */
describe('the front end holds what the core says', () => {
  test('units', () => {
    expect(KG_PER_LB).toBe(core.kgPerPound)
    expect(M_PER_INCH).toBe(core.metresPerInch)
    expect(NEWTONS_PER_KG).toBe(core.standardGravity)
  })

  test('sentences in inches', () => {
    localStorage.setItem('istmo.length-unit', 'in')
    for (const { said, inInches } of core.inInches) expect(inUnits(said)).toBe(inInches)
    localStorage.clear()
  })

  test('what becomes of every message about a set that two devices send', async () => {
    expect(core.register.length).toBeGreaterThan(50)
    for (const sequence of core.register) {
      const server = new Server()
      for (const { device, revision, base, removed, repetitions, outcome } of sequence) {
        const set = {
          sessionId: 'session',
          itemId: 'item',
          setId: 'set',
          performedAt: '2026-11-29T10:00:00Z',
          revision,
          base,
          removed,
          ...figures(repetitions),
        }
        const answer = await server.fetch(
          new Request('http://127.0.0.1/api/floor/changes', {
            method: 'POST',
            body: JSON.stringify({ device, changes: [{ set }] }),
          }),
        )
        const { results } = (await answer.json()) as { results: { outcome: string }[] }
        expect(results[0]!.outcome).toBe(outcome)
      }
    }
  })
})
