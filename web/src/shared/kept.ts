import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { toValue, type MaybeRefOrGetter } from 'vue'
import {
  api,
  data,
  type KeptPiece,
  type PatternRequest,
  type RingRequest,
  type ChainRequest,
} from '../api/client'

/** Everything in use that is kept, rings and findings alike, last changed first: for lists one chooses from. */
export const useKept = (wanted: MaybeRefOrGetter<boolean> = true) =>
  useQuery({
    queryKey: ['kept', 'all'],
    queryFn: () => data(api.GET('/api/saved', { params: { query: { most: 500 } } })),
    enabled: () => toValue(wanted),
  })

/** Has every list of what is kept asked for anew. */
export function useKeptRefresh() {
  const queries = useQueryClient()
  return () => queries.invalidateQueries({ queryKey: ['kept'] })
}

/** A kept piece as the record of its desk, for whichever it is. */
export const recordOf = <R extends RingRequest | PatternRequest | ChainRequest>(
  kept: KeptPiece,
  request: R,
) => ({
  id: kept.id,
  revision: kept.revision,
  archived: kept.archived,
  record: { name: kept.name, note: kept.note, request },
})
