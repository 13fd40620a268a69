import { token } from '../shared/token'
import { useEventListener, useIntervalFn } from '@vueuse/core'
import { computed, onScopeDispose, ref } from 'vue'
import { api, data, Refused, type BatchNow, type Told } from '../api/client'

/** A press as it waits in this browser, with when it was made so that presses go out in their order. */
interface Waiting {
  told: Told
  at: number
}

const RETRY_MS = 1000
/** Other devices at the same batch are heard of within a second. */
const LISTEN_MS = 700

const PREFIX = 'lorimant.press.'

/** The batches of which presses wait in this browser: their view was left before the server answered. */
export const withPresses = () => [
  ...new Set(
    Object.keys(localStorage)
      .filter((key) => key.startsWith(PREFIX))
      .map((key) => Number(key.slice(PREFIX.length).split('.')[0])),
  ),
]

const keyOf = () => `${token()}-press`

/**
 * Presses on their way to the server. Each has a key of its own and stays in this browser until it is answered, so that
 * none is lost to a closed window or a server that is gone for a while, and none counts twice.
 */
export function usePresses(
  batch: number,
  heard: (far: BatchNow) => void,
  refused: (thrown: unknown) => void,
) {
  const prefix = `${PREFIX}${batch}.`
  const waiting = ref<Waiting[]>(stored())
  const unanswered = ref(false)
  let sending = false
  let retry: ReturnType<typeof setTimeout> | undefined

  /** What waits in this browser, also from a window that was closed. */
  function stored(): Waiting[] {
    const keys = Object.keys(localStorage).filter((key) => key.startsWith(prefix))
    const all = keys.map((key) => JSON.parse(localStorage.getItem(key)!) as Waiting)
    return all.sort((a, b) => a.at - b.at)
  }

  function press(step_n: number, kind: Told['kind'], more: Partial<Told> = {}) {
    const told: Told = { key: keyOf(), step_n, kind, n: 1, ...more }
    const one = { told, at: performance.timeOrigin + performance.now() }
    localStorage.setItem(prefix + told.key, JSON.stringify(one))
    waiting.value = [...waiting.value, one]
    void send()
  }

  async function send() {
    if (sending) return
    sending = true
    clearTimeout(retry)
    while (waiting.value.length) {
      const { told, at } = waiting.value[0]!
      // What waited for the server was pressed when it was pressed.
      const ago_s = Math.max(0, (performance.timeOrigin + performance.now() - at) / 1000)
      try {
        const far = await data(
          api.POST('/api/batches/{id}/events', { params: { path: { id: batch } }, body: { ...told, ago_s } }),
        )
        unanswered.value = false
        done(told.key)
        heard(far)
      } catch (thrown) {
        const status = thrown instanceof Refused ? thrown.problem.status : 0
        if (status === 0 || status >= 500 || status === 401) {
          unanswered.value = true
          retry = setTimeout(() => void send(), RETRY_MS)
          break
        }
        done(told.key)
        refused(thrown)
        await listen()
      }
    }
    sending = false
  }

  function done(key: string) {
    localStorage.removeItem(prefix + key)
    waiting.value = waiting.value.filter(({ told }) => told.key !== key)
  }

  /** What other devices did meanwhile. */
  async function listen() {
    if (document.visibilityState !== 'visible' || waiting.value.length) return
    try {
      const far = await data(api.GET('/api/batches/{id}/progress', { params: { path: { id: batch } } }))
      unanswered.value = false
      // What was pressed meanwhile is answered by itself.
      if (!waiting.value.length) heard(far)
    } catch {
      unanswered.value = true
    }
  }

  useIntervalFn(listen, LISTEN_MS)
  useEventListener(document, 'visibilitychange', listen)
  onScopeDispose(() => clearTimeout(retry))
  void send()

  /** How many more stand to be counted at a step than the server has said yet. */
  const pending = computed(() => (step_n: number) => {
    const here = waiting.value.filter(({ told }) => told.step_n === step_n)
    const of = (kind: Told['kind']) =>
      here.filter(({ told }) => told.kind === kind).reduce((sum, { told }) => sum + told.n, 0)
    const turned = here.findLast(({ told }) => told.kind === 'turned')?.told.n
    return { done: of('done') - of('taken-back'), scrapped: of('spoiled') - of('rescued'), turned }
  })

  return { press, pending, unanswered }
}
