import { useQueryClient } from '@tanstack/vue-query'
import { ref, watch } from 'vue'
import { useRoute } from 'vue-router'

/** Longest that a view is held back, ms. */
const PATIENCE = 800
/** How often it is looked whether all is there, ms. */
const LOOK = 20

let held = 0

/** Holds a view back for something that it does not ask for by a query. */
export function holdBack(first: Promise<unknown>) {
  held += 1
  void first.finally(() => (held -= 1))
}

/**
 * Whether the view that was just opened still waits for what it shows. Drawn piece by piece it would move under the finger
 * that is about to press, so it is drawn once all is there; where all is there already, at once. `drawn` says whether views
 * are drawn at all.
 */
export function useComing(drawn: () => boolean) {
  const route = useRoute()
  const queries = useQueryClient()
  const missing = () =>
    queries.isFetching({ predicate: (query) => query.state.data === undefined }) + held > 0
  const coming = ref(true)

  watch(
    [() => route.path, drawn],
    (_, __, onCleanup) => {
      coming.value = missing()
      if (!coming.value) return
      const until = performance.now() + PATIENCE
      // What is asked for by an answer is asked in the moment after it.
      let quiet = 0
      const looking = setInterval(() => {
        quiet = missing() ? 0 : quiet + 1
        if (quiet < 2 && performance.now() < until) return
        coming.value = false
        clearInterval(looking)
      }, LOOK)
      onCleanup(() => clearInterval(looking))
    },
    // By then the view has asked for what it shows.
    { flush: 'post', immediate: true },
  )
  return coming
}
