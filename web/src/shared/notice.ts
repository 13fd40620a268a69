import { t } from '../text'
import { defineStore } from 'pinia'
import { ref } from 'vue'
import { api, data, sentenceOf } from '../api/client'

/** One line at the foot of the screen: what was done, and the way back. */
export const useNotice = defineStore('notice', () => {
  const text = ref('')
  const shown = ref(false)
  /** Which notice this is, so that each stays its full time. */
  const nth = ref(0)
  const failed = ref(false)
  const undo = ref<(() => Promise<void>) | null>(null)
  /** What was last done that can be taken back: it stays when its notice goes. */
  const last = ref<{ text: string; undo: () => Promise<void> } | null>(null)

  function show() {
    nth.value += 1
    shown.value = true
  }

  function say(sentence: string, back: (() => Promise<void>) | null = null) {
    text.value = sentence
    undo.value = back
    failed.value = false
    show()
    if (back) last.value = { text: sentence, undo: back }
  }

  function fail(thrown: unknown) {
    text.value = sentenceOf(thrown)
    undo.value = null
    failed.value = true
    show()
  }

  /** Says what was done; its Undo asks the server to undo that batch, then refreshes. */
  function did(sentence: string, batch: number, refresh: () => unknown) {
    say(sentence, async () => {
      try {
        const answer = await data(api.POST('/api/undo/{batch}', { params: { path: { batch } } }))
        await refresh()
        did(t('notice-undone'), answer.undo, refresh)
      } catch (thrown) {
        fail(thrown)
      }
    })
  }

  return { text, shown, nth, failed, undo, last, say, fail, did }
})
