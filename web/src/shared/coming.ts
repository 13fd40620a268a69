import { useIsFetching } from '@tanstack/vue-query'
import { ref, watch } from 'vue'
import { useRoute } from 'vue-router'

/** Longest that a view is held back, ms. */
const PATIENCE = 800
/** How often it is looked whether all is there, ms. */
const LOOK = 20

const held = ref(0)

/** Holds a view back for something that it does not ask for by a query. */
export function holdBack(first: Promise<unknown>) {
  held.value += 1
  void first.finally(() => (held.value -= 1))
}

/**
 * Whether the view that was just opened still waits for what it shows. Drawn piece by piece it would move under the finger
 * that is about to press, so it is drawn once all is there.
 */
export function useComing() {
  const route = useRoute()
  const missing = useIsFetching({ predicate: (query) => query.state.data === undefined })
  const coming = ref(true)

  watch(
    () => route.path,
    (_, __, onCleanup) => {
      coming.value = true
      const until = performance.now() + PATIENCE
      // What is asked for by an answer is asked in the moment after it.
      let quiet = 0
      const looking = setInterval(() => {
        quiet = missing.value + held.value === 0 ? quiet + 1 : 0
        if (quiet < 2 && performance.now() < until) return
        coming.value = false
        clearInterval(looking)
      }, LOOK)
      onCleanup(() => clearInterval(looking))
    },
    { immediate: true },
  )
  return coming
}
