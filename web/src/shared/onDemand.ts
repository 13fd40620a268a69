import { defineAsyncComponent, type Component } from 'vue'
import { api, data } from '../api/client'
import { useNotice } from './notice'

/** How long after a part could not be fetched it is asked for again, ms. */
const AGAIN = 2000

/**
 * A part that few visits need, fetched when it is first shown. Where nobody answers, that is said, and it comes once the
 * server does. Where the server answers and has not got it, a newer version runs than this page came from, which is loaded.
 */
export function onDemand<T extends Component>(loader: () => Promise<{ default: T }>) {
  let [answered, said] = [false, false]
  return defineAsyncComponent({
    loader,
    async onError(_, retry) {
      try {
        await data(api.GET('/api/health'))
        // It may have come back between the two: only what is missing twice is missing.
        if (answered) return location.reload()
        answered = true
      } catch (thrown) {
        if (!said) useNotice().fail(thrown)
        ;[answered, said] = [false, true]
      }
      setTimeout(retry, AGAIN)
    },
  })
}
