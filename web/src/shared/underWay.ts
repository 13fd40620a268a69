import { defineStore } from 'pinia'
import { ref } from 'vue'
import { api } from '../api/client'
import { token } from './token'

/** A request that is waited for. */
export interface UnderWay {
  name: string
  title: string
  /** From 0 to 1; null until the server says. */
  share: number | null
  /** How many bytes of its answer have come. */
  bytes: number
  /** Gives it up; null where what was sent is done whether or not its answer is waited for. */
  cancel: (() => void) | null
}

/** How a request names itself, and how it is given up. */
export interface Following {
  headers: Record<string, string>
  signal: AbortSignal
  come: (bytes: number) => void
}

/** Requests quicker than this are not spoken of, ms. */
const SOON = 500
/** How often the server is asked how far one is, ms. */
const AGAIN = 400

/** Long requests, each with how far it is. */
export const useUnderWay = defineStore('under-way', () => {
  const all = ref<UnderWay[]>([])

  /** Asks for something under a name, and shows how far it is until it is answered. Gives nothing where it was cancelled. */
  async function follow<T>(
    title: string,
    ask: (how: Following) => Promise<T>,
    { cancels = true } = {},
  ): Promise<T | undefined> {
    const ending = new AbortController()
    const cancel = cancels ? () => ending.abort() : null
    const one: UnderWay = { name: token(), title, share: null, bytes: 0, cancel }
    let looking = 0
    const shown = window.setTimeout(() => {
      all.value.push(one)
      looking = window.setInterval(() => void look(one.name), AGAIN)
    }, SOON)
    try {
      return await ask({
        headers: { 'request-name': one.name },
        signal: ending.signal,
        come: (bytes) => ((found(one.name) ?? one).bytes = bytes),
      })
    } catch (thrown) {
      if (ending.signal.aborted) return undefined
      throw thrown
    } finally {
      window.clearTimeout(shown)
      window.clearInterval(looking)
      all.value = all.value.filter((other) => other.name !== one.name)
    }
  }

  const found = (name: string) => all.value.find((other) => other.name === name)

  async function look(name: string) {
    const { data } = await api
      .GET('/api/progress/{name}', { params: { path: { name } } })
      .catch(() => ({ data: undefined }))
    const one = found(name)
    if (one && data?.share !== undefined) one.share = data.share
  }

  return { all, follow }
})
