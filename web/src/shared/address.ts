import { computed, ref, watch, type Ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'

/** What is opened by a number in the address, as `?lot=3`: it survives a reload and goes with Back. */
export function useOpenedByAddress(name: string) {
  const [route, router] = [useRoute(), useRouter()]
  return computed<number | null>({
    get: () => {
      const text = route.query[name]
      return typeof text === 'string' && /^\d+$/.test(text) ? Number(text) : null
    },
    set: (id) => void router.push({ query: { ...route.query, [name]: id ?? undefined } }),
  })
}

/** A tick of a list that stays in the address, as `?archived=yes`. */
export function useTickInAddress(name: string) {
  const filter = useFilterInAddress<'yes'>(name)
  return computed({ get: () => filter.value === 'yes', set: (on) => (filter.value = on ? 'yes' : '') })
}

/** A filter of a list that stays in the address, as `?find=copper`. What is typed never waits for the address. */
export function useFilterInAddress<T extends string>(name: string) {
  const [route, router] = [useRoute(), useRouter()]
  const here = route.path
  const read = () => (typeof route.query[name] === 'string' ? (route.query[name] as T) : '')
  const filter = ref<T | ''>(read()) as Ref<T | ''>
  watch(filter, (text) => {
    if (text !== read()) void router.replace({ query: { ...route.query, [name]: text || undefined } })
  })
  watch(read, (text) => {
    if (route.path === here) filter.value = text
  })
  return filter
}
