/** A pound, kg (exact by definition; the core says the same, see conformance.test.ts). */
export const KG_PER_LB = 0.45359237

/** What a scale that reads kilograms says in newtons: standard gravity, m/s². */
export const NEWTONS_PER_KG = 9.80665
