import type { Schemas } from '../../api/client'

/** What can be chosen, with nicknames; own variants that were taken out only while they are looked at. */
export function candidateOptions(catalogue: Schemas['CatalogueView'], chosen: string | undefined) {
  return catalogue.exercises.flatMap((exercise) =>
    exercise.candidates
      .filter((candidate) => !candidate.retired || candidate.id === chosen)
      .map((candidate) => ({
        value: candidate.id,
        label: candidate.name,
        note: candidate.own ? `your own, of ${exercise.name}` : exercise.alsoCalled.join(', '),
      })),
  )
}
