import { t } from '../text'
import { useQueryClient } from '@tanstack/vue-query'
import { api, data } from '../api/client'
import { useNotice } from './notice'

/** Has everything the rack shows asked for anew; works as well once the view that wanted it is gone. */
export function useRackRefresh() {
  const queries = useQueryClient()
  const keys = ['lots', 'needs', 'scrap', 'ledger', 'keepings', 'picks', 'wanted']
  return async () => {
    await Promise.all(keys.map((key) => queries.invalidateQueries({ queryKey: [key] })))
  }
}

/** Puts a kept plan or finding on the list of what is to be cut. */
export function usePick() {
  const notice = useNotice()
  const refresh = useRackRefresh()
  return async (entry: number, name: string, pieces_n: number) => {
    const { undo } = await data(api.POST('/api/picks', { body: { entry, pieces_n } }))
    await refresh()
    notice.did(t('picking-added-cutting-plan', { name }), undo, refresh)
  }
}
