import { t } from '../text'
import { watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { Refused } from '../api/client'
import { useNotice } from '../shared/notice'
import type { Desk, ShelfRecord } from './types'

/**
 * Gives every saved record of a desk an address: `?saved=12` opens it, and what is opened or saved writes it. Draft and
 * address never part; a number that nothing is saved under is said, and what was being worked on stays.
 */
export function useSavedAddress<R extends object>(
  desk: Desk<R>,
  get: (id: number) => Promise<ShelfRecord<R>>,
  around: { before?: () => Promise<void>; after?: () => void } = {},
) {
  const [route, router, notice] = [useRoute(), useRouter(), useNotice()]
  const here = route.path
  const asked = () => (typeof route.query.saved === 'string' ? Number(route.query.saved) : null)

  /** The address is followed before anything is written to it. */
  let following = false

  async function openAddress() {
    following = true
    try {
      await around.before?.()
      const id = asked()
      // What was changed and not saved yet survives a reload.
      if (!desk.sheet) await desk.open()
      if (id !== null && desk.kept?.id !== id) await follow(id)
    } finally {
      following = false
    }
    await write()
    around.after?.()
  }

  async function follow(id: number) {
    try {
      await desk.openKept(await get(id))
    } catch (thrown) {
      if (!(thrown instanceof Refused)) throw thrown
      notice.say(t('address-nothing-saved', { id }))
    }
  }

  async function write() {
    const id = desk.kept?.id ?? null
    if (following || route.path !== here || id === asked()) return
    await router.replace({ query: { ...route.query, saved: id ?? undefined } })
  }

  const attempt = (work: Promise<unknown>) => work.catch(notice.fail)
  watch(
    () => desk.kept?.id,
    () => attempt(write()),
  )
  watch(
    () => route.query.saved,
    () => {
      if (route.path === here && asked() !== null && asked() !== desk.kept?.id) void attempt(openAddress())
    },
  )
  // Not once all is drawn: the answer takes as long as the drawing does.
  void attempt(openAddress())
}
