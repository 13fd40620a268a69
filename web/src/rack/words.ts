import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, data } from '../api/client'
import { useNotice } from '../frame/notice'
import { useSettings } from '../frame/settings'

/** Everything that is chosen by a word; the server's own list. */
export function useWords() {
  const { data: words } = useQuery({
    queryKey: ['words'],
    queryFn: () => data(api.GET('/api/words')),
    staleTime: Infinity,
  })
  return words
}

/** Lengths and amounts as the rack shows them. */
export function useAmounts() {
  const settings = useSettings()
  const currency = computed(() => settings.settings.currency || '')
  const metres = (mm: number) =>
    settings.settings.unit === 'inch'
      ? `${(mm / 304.8).toFixed(mm < 30480 ? 2 : 1)} ft`
      : mm < 1000
        ? `${Number(mm.toFixed(1))} mm`
        : `${(mm / 1000).toFixed(2)} m`
  const grams = (g: number) => `${g.toFixed(g < 100 ? 2 : 1)} g`
  const money = (amount: string | null | undefined) =>
    amount === null || amount === undefined ? '' : `${Number(amount).toFixed(2)} ${currency.value}`.trim()
  return { metres, grams, money, currency }
}

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
    notice.did(`Picked “${name}” to be cut.`, undo, refresh)
  }
}
