import type { Schemas } from '../../api/client'

/** What can be chosen, with nicknames; own variants that were taken out only while they are looked at. */
export function candidateOptions(catalogue: Schemas['CatalogueView'], chosen: string | undefined) {
  return catalogue.exercises.flatMap((x) =>
    x.candidates
      .filter((c) => !c.retired || c.id === chosen)
      .map((c) => ({
        value: c.id,
        label: c.name,
        note: c.own ? `your own, of ${x.name}` : x.alsoCalled.join(', '),
      })),
  )
}
