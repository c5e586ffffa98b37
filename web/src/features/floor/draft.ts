type Draft = { loadKg: number | undefined; repetitions: number; reserve: number }

/** What is dialled for a step and not logged yet: a page that is loaded anew still has it. */
export function draftOf(step: string) {
  const key = `istmo.draft ${step}`
  return {
    kept: (): Draft | undefined => {
      try {
        const text = sessionStorage.getItem(key)
        return text === null ? undefined : (JSON.parse(text) as Draft)
      } catch {
        return undefined
      }
    },
    keep: (draft: Draft): void => {
      try {
        sessionStorage.setItem(key, JSON.stringify(draft))
      } catch {
        // a device without room for it goes on without
      }
    },
    forget: (): void => sessionStorage.removeItem(key),
  }
}
