import { useQuery } from '@tanstack/vue-query'
import { api, data } from '../api/client'

/** The findings there are; they never change while the program runs. */
export const useKinds = () =>
  useQuery({
    queryKey: ['pattern-kinds'],
    queryFn: () => data(api.GET('/api/finding-kinds')),
    staleTime: Infinity,
  })
