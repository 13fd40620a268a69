import { useQuery } from '@tanstack/vue-query'
import { api, data } from '../api/client'

/** Everything that is chosen by a word; the server's own list. */
export function useWords() {
  const { data: words } = useQuery({
    queryKey: ['words'],
    queryFn: () => data(api.GET('/api/words')),
    staleTime: Infinity,
  })
  return words
}
