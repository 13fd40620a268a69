import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, type Ref } from 'vue'
import { api, data, faultsOf } from '../api/client'
import { refused } from './form'

/**
 * A day as it is typed into a field of a form; nothing typed is no day. One that is `past` has been by today. Throws
 * what is wrong with it, at the field.
 */
export async function readDay(text: string, field: string, past = false): Promise<string | null> {
  if (!text.trim()) return null
  try {
    return (await data(api.POST('/api/days/read', { body: { text, past } }))).day
  } catch (thrown) {
    throw refused(faultsOf(thrown).map((fault) => ({ ...fault, field })))
  }
}

/** What is read in a day while it is typed: in words, or what is wrong with it. */
export function useTypedDay(text: Readonly<Ref<string>>, past = false) {
  const settled = refDebounced(text, 250)
  const { data: read, error } = useQuery({
    queryKey: ['day', past, settled],
    queryFn: () => data(api.POST('/api/days/read', { body: { text: settled.value, past } })),
    enabled: () => !!settled.value.trim(),
    retry: false,
  })
  const current = computed(() => settled.value === text.value && !!text.value.trim())
  const told = computed(() => (current.value && !error.value ? (read.value?.text ?? '') : ''))
  const wrong = computed(() => (current.value && error.value ? faultsOf(error.value)[0]!.message : ''))
  const day = computed(() => (told.value ? (read.value?.day ?? null) : null))
  return { told, wrong, day }
}
