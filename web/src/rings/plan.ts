import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import {
  api,
  data,
  faultsOf,
  type Fault,
  type KeptPlan,
  type PlanEntry,
  type RingRequest,
  type Sheet,
  type Slot,
  type Worked,
} from '../api/client'

/** Which kept plan is being worked on. */
interface Kept {
  id: number
  revision: number
  name: string
  note: string
}

/** What is planned, and everything the core makes of it. Survives a reload; every change can be undone. */
export const usePlan = defineStore('plan', () => {
  const draft = useLocalStorage<RingRequest | null>('lorimant.draft', null, {
    serializer: { read: (text) => JSON.parse(text), write: JSON.stringify },
  })
  const kept = useLocalStorage<Kept | null>('lorimant.draft-of', null, {
    serializer: { read: (text) => JSON.parse(text), write: JSON.stringify },
  })
  const sheet = shallowRef<Sheet | null>(null)
  /** The last plan that could be made: what is drawn while the words cannot be. */
  const worked = shallowRef<Worked | null>(null)
  const faults = ref<Fault[]>([])
  const past = ref<RingRequest[]>([])
  const future = ref<RingRequest[]>([])
  let asked = 0
  let nudging = Promise.resolve()

  const colour = computed(() => worked.value?.colour ?? '#b9683a')
  const sound = computed(() => sheet.value !== null && sheet.value.faults.length === 0)

  function show(next: Sheet) {
    sheet.value = next
    draft.value = next.request
    faults.value = next.faults
    if (next.result) worked.value = next.result
  }

  async function work(request: RingRequest) {
    const mine = ++asked
    const next = await data(api.POST('/api/rings/sheet', { body: request }))
    if (mine === asked) show(next)
  }

  /** Makes a request one step of undo; by default the present one, before it changes. */
  function remember(request = draft.value) {
    if (request) past.value = [...past.value.slice(-99), request]
    future.value = []
  }

  /** Opens what was being planned, or the last kept plan, or a first one to start from. */
  async function open() {
    if (draft.value) {
      try {
        return await work(draft.value)
      } catch {
        // A draft of an older program that can no longer be read: start afresh.
        draft.value = null
      }
    }
    const page = await data(api.GET('/api/plans', { params: { query: { most: 1 } } }))
    const last = page.entries[0]
    if (last) return await openKept(last)
    const first = await data(
      api.POST('/api/ask', { body: { text: '120 rings 5 mm inside soft copper 18 awg' } }),
    )
    if (first.request) await work(first.request)
  }

  /** Works the present plan out again, after the workshop's tools or units changed. */
  async function refresh() {
    if (draft.value) await work(draft.value)
  }

  async function openKept(entry: PlanEntry) {
    remember()
    await work(entry.record.request)
    const { id, revision, record } = entry
    kept.value = { id, revision, name: record.name, note: record.note ?? '' }
  }

  /** Starts a new plan. */
  async function start(request: RingRequest) {
    remember()
    await work(request)
    kept.value = null
  }

  /** Puts another request in the present one's place. */
  async function set(request: RingRequest, remembered = true) {
    if (remembered) remember()
    await work(request)
  }

  /**
   * Changes one word to what was typed, starting from the request as it stood when its editor was
   * opened. Gives the faults where it cannot be read; the plan stays as it was then.
   */
  async function type(slot: Slot, text: string, from: RingRequest): Promise<Fault[]> {
    const mine = ++asked
    try {
      const body = { request: from, slot, change: { typed: text } }
      const next = await data(api.POST('/api/rings/change', { body }))
      if (mine === asked) show(next)
      return mine === asked ? next.faults : []
    } catch (thrown) {
      return mine === asked ? faultsOf(thrown) : []
    }
  }

  /** Nudges one word by so many steps. Quick presses queue up, so that none is lost. */
  function nudge(slot: Slot, steps: number): Promise<void> {
    nudging = nudging.then(async () => {
      const request = draft.value
      if (!request) return
      const mine = ++asked
      try {
        const body = { request, slot, change: { nudge: steps } }
        const next = await data(api.POST('/api/rings/change', { body }))
        if (mine !== asked) return
        remember(request)
        show(next)
      } catch (thrown) {
        faults.value = faultsOf(thrown)
      }
    })
    return nudging
  }

  async function undo() {
    const back = past.value.at(-1)
    if (!back || !draft.value) return
    past.value = past.value.slice(0, -1)
    future.value = [...future.value, draft.value]
    await work(back)
  }

  async function redo() {
    const ahead = future.value.at(-1)
    if (!ahead || !draft.value) return
    future.value = future.value.slice(0, -1)
    past.value = [...past.value, draft.value]
    await work(ahead)
  }

  /** Keeps the plan: over the one it came from, or as a new one. Gives the number that undoes it. */
  async function keep(name: string, note: string, asNew: boolean): Promise<number | null> {
    if (!draft.value) return null
    const body: KeptPlan = { name, note, request: draft.value }
    const over = asNew ? null : kept.value
    const written = over
      ? await data(
          api.PUT('/api/plans/{id}', {
            params: { path: { id: over.id }, query: { revision: over.revision } },
            body,
          }),
        )
      : await data(api.POST('/api/plans', { body }))
    kept.value = { id: written.entry.id, revision: written.entry.revision, name, note }
    return written.undo
  }

  return {
    draft,
    kept,
    sheet,
    worked,
    faults,
    colour,
    sound,
    past,
    future,
    open,
    refresh,
    openKept,
    start,
    set,
    type,
    nudge,
    remember,
    undo,
    redo,
    keep,
  }
})
