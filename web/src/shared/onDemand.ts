import { defineAsyncComponent, type Component } from 'vue'
import { unreachable } from '../api/client'
import { useNotice } from './notice'

/** How long after a part could not be fetched it is asked for again, ms. */
const AGAIN = 2000

/** A part that few visits need, fetched when it is first shown. Where nobody answers, that is said; it comes once the server does. */
export const onDemand = <T extends Component>(loader: () => Promise<{ default: T }>) =>
  defineAsyncComponent({
    loader,
    onError(_, retry, __, attempts) {
      if (attempts === 1) useNotice().fail(unreachable())
      setTimeout(retry, AGAIN)
    },
  })
