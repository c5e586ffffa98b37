import { queryOptions, useQuery, useQueryClient } from '@tanstack/react-query'
import { answer, api } from '../../api/client'
import { keys } from '../../api/queries'

const search = (text: string) =>
  queryOptions({
    queryKey: keys.search(text),
    queryFn: ({ signal }) =>
      answer(api.GET('/api/search', { params: { query: { text } }, signal })),
    staleTime: 60_000,
  })

/** What fits a text; the hits before stay in sight while new ones are fetched. */
export const useSearch = (text: string) =>
  useQuery({ ...search(text), enabled: text !== '', placeholderData: (before) => before })

/** Asks for what fits a text; the answer that is on its way already is waited for. */
export function useAnswerTo() {
  const queries = useQueryClient()
  return (text: string) => queries.fetchQuery(search(text))
}
