import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, shallowRef } from 'vue'
import { api, data, type PatternRequest } from '../../api/client'
import type { usePattern } from '../pattern'

/** A second piece laid over the one in the room, and what differs between the two. */
export function useOver(pattern: ReturnType<typeof usePattern>) {
  const laid = shallowRef<{ name: string; request: PatternRequest } | null>(null)
  /** The last request that can be made: what is compared while the words cannot be. */
  const here = refDebounced(
    computed(() => (pattern.sound ? pattern.draft : null)),
    60,
  )
  const { data: compared, error } = useQuery({
    queryKey: ['compare', here, () => laid.value?.request],
    queryFn: () => {
      const body = { here: here.value!, there: laid.value!.request }
      return data(api.POST('/api/findings/compare', { body }))
    },
    enabled: () => !!here.value && !!laid.value,
    placeholderData: (before) => before,
  })
  const lay = (name: string, request: PatternRequest) => (laid.value = { name, request })
  return { laid, lay, compared, error }
}
