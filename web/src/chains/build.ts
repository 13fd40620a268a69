import { computed, ref, shallowRef, watch } from 'vue'
import { api, data, type PlacingShown } from '../api/client'
import { useNotice } from '../shared/notice'
import { countOf } from '../shared/typing'
import { t } from '../text'
import { useChain } from './chain'

/** The chain put together ring by ring: which ring is put in, from 1, and how. `shown` says whether that is looked at. */
export function useBuild(shown: () => boolean) {
  const chain = useChain()
  const notice = useNotice()
  const n = ref(1)
  const placing = shallowRef<PlacingShown | null>(null)
  let latest = 0
  async function place() {
    const request = chain.draft
    if (!request || !chain.sound || !shown()) return
    const mine = ++latest
    try {
      const next = await data(api.POST('/api/chains/placing', { body: { request, done_n: n.value - 1 } }))
      if (mine === latest) placing.value = next
    } catch (thrown) {
      notice.fail(thrown)
    }
  }
  watch([() => chain.sheet, n, shown], place)
  watch(
    () => chain.worked?.plan.open_n ?? 1,
    (open) => (n.value = Math.min(n.value, open)),
  )

  const of = computed(() => placing.value?.of_n ?? n.value)
  function goTo(to: number) {
    n.value = Math.min(Math.max(1, to), of.value)
  }
  const step = (by: number) => goTo(n.value + by)
  /** Goes to the ring whose number was typed; gives what stands in the field then. */
  function goToTyped(text: string) {
    const typed = countOf(text)
    if (typed) goTo(typed)
    else notice.say(t('chain-view-not-ring-number-enter-number', { field: text }))
    return String(n.value)
  }
  return { n, placing, goTo, step, goToTyped }
}
