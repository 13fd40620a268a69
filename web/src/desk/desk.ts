import { useLocalStorage, useSessionStorage } from '@vueuse/core'
import { computed, ref, shallowRef, watch, type Ref, type ShallowRef } from 'vue'
import { faultsOf, type Fault, type Phrase } from '../api/client'
import type { Change, Choice, KeptAs, OnDesk, Named, ShelfRecord } from './types'

/** What the core makes of a request; the result is missing where it has faults. */
interface Sheet<R, W> {
  request: R
  sentence: Phrase[]
  text: string
  faults: Fault[]
  /** What takes long is still being worked out: it is asked for again in a moment. */
  working_out?: boolean
  result?: W | null
}

/** How long is waited before that, ms. */
const AGAIN = 2000

interface Kept<R> {
  entry: ShelfRecord<R>
  undo: number
}

/** What a desk asks the server. */
interface Calls<R, S, C> {
  sheet(request: R): Promise<S>
  /** `quick`: only what is seen while something is dragged. */
  change(request: R, slot: string, change: Change, quick?: boolean): Promise<S>
  choices(request: R, slot: string): Promise<C[]>
  /** What lies on the desk when nothing was being worked on: a kept record, or something to start from. */
  first(): Promise<{ request: R; entry?: ShelfRecord<R> } | null>
  keepNew(body: Named<R>): Promise<Kept<R>>
  keepOver(kept: { id: number; revision: number }, body: Named<R>): Promise<Kept<R>>
}

/**
 * A desk with one request on it: its words are changed one by one, everything the core makes of it
 * follows, every change can be undone, and a reload loses nothing. Each tab has desks of its own; a new tab
 * starts from what was last worked on anywhere.
 */
export function desk<
  R extends object,
  W extends { colour: string },
  S extends Sheet<R, W>,
  C extends Choice<R>,
>(key: string, calls: Calls<R, S, C>) {
  const serializer = { read: (text: string) => JSON.parse(text), write: JSON.stringify }
  const draft = useSessionStorage<R | null>(`lorimant.${key}`, null, { serializer }) as Ref<R | null>
  const kept = useSessionStorage<KeptAs | null>(`lorimant.${key}-of`, null, { serializer })
  const last = useLocalStorage<OnDesk<R> | null>(`lorimant.${key}-last`, null, {
    serializer,
    listenToStorageChanges: false,
  }) as Ref<OnDesk<R> | null>
  /** Each record as this tab last knew it: what is undone goes back to a request, never to an older revision. */
  const known = new Map<number, KeptAs>()
  const sheet = shallowRef(null) as ShallowRef<S | null>
  /** The last request that could be made: what is drawn while the words cannot be. */
  const worked = shallowRef(null) as ShallowRef<W | null>
  const faults = ref<Fault[]>([])
  const past = shallowRef<OnDesk<R>[]>([])
  const future = shallowRef<OnDesk<R>[]>([])
  let asked = 0
  let nudging = Promise.resolve()
  /** How often what was pressed and not carried out yet was given up. */
  let wanted = 0

  const onDesk = (request: R): OnDesk<R> => ({ request, kept: kept.value })

  const colour = computed(() => worked.value?.colour ?? '#b9683a')
  const sound = computed(() => sheet.value !== null && sheet.value.faults.length === 0)
  /** Whether what is kept differs from what lies here. */
  const changed = computed(() => kept.value !== null && JSON.stringify(draft.value) !== kept.value.as)

  // What a new tab starts from: the request with its record, however the two came to lie here.
  watch([draft, kept], () => (last.value = draft.value && onDesk(draft.value)))

  function show(next: S) {
    sheet.value = next
    draft.value = next.request
    faults.value = next.faults
    if (next.result) worked.value = next.result
    if (next.working_out) {
      const mine = asked
      setTimeout(() => {
        if (mine === asked) void work(next.request).catch(() => undefined)
      }, AGAIN)
    }
  }

  async function work(request: R) {
    const mine = ++asked
    const next = await calls.sheet(request)
    if (mine === asked) show(next)
  }

  /** Makes a request one step of undo; by default the present one, before it changes. */
  function remember(request = draft.value) {
    if (request) past.value = [...past.value.slice(-99), onDesk(request)]
    future.value = []
  }

  /** Says which record the present request is, and that it is kept as it lies here. */
  function markKept({ id, revision, record }: ShelfRecord<R>) {
    const as = JSON.stringify(draft.value)
    kept.value = { id, revision, name: record.name, note: record.note ?? '', as }
    known.set(id, kept.value)
  }

  /** Lays down what lay here before, or lies ahead, with the record it belongs to. */
  async function restore({ request, kept: of }: OnDesk<R>) {
    await work(request)
    kept.value = of && (known.get(of.id) ?? of)
  }

  /** Opens what was being worked on, or what is there to start from. */
  async function open() {
    const before = draft.value ? onDesk(draft.value) : last.value
    if (before) {
      try {
        if (before.kept) known.set(before.kept.id, before.kept)
        return await restore(before)
      } catch {
        // A draft of an older program that can no longer be read: start afresh.
        draft.value = kept.value = null
      }
    }
    const first = await calls.first()
    if (!first) return
    await work(first.request)
    if (first.entry) markKept(first.entry)
  }

  /** Works the present request out again, after the workshop's tools or units changed. */
  async function refresh() {
    if (draft.value) await work(draft.value)
  }

  async function openKept(entry: Kept<R>['entry']) {
    remember()
    await work(entry.record.request)
    markKept(entry)
  }

  /** What stands on the shelf now is known; the next keeping goes over it. */
  function updateKept({ id, revision, record }: ShelfRecord<R>) {
    if (kept.value?.id !== id) return
    kept.value = { ...kept.value, revision, name: record.name, note: record.note ?? '' }
    known.set(id, kept.value)
  }

  /** Starts anew. */
  async function start(request: R) {
    remember()
    await work(request)
    kept.value = null
  }

  /** Puts another request in the present one's place. */
  async function set(request: R, remembered = true) {
    if (remembered) remember()
    await work(request)
  }

  /**
   * Changes one word to what was typed, starting from the request as it stood when its editor was
   * opened. Gives the faults where it cannot be read; the request stays as it was then.
   */
  async function type(slot: string, text: string, from: R): Promise<Fault[]> {
    const mine = ++asked
    try {
      const next = await calls.change(from, slot, { typed: text })
      if (mine === asked) show(next)
      return mine === asked ? next.faults : []
    } catch (thrown) {
      return mine === asked ? faultsOf(thrown) : []
    }
  }

  /** What was typed or pressed and not answered yet is no longer wanted. */
  function forget() {
    asked++
    wanted++
  }

  /** Nudges one word by so many steps. Quick presses queue up, so that none is lost. */
  function nudge(slot: string, steps: number, remembered = true): Promise<void> {
    const mineStill = wanted
    nudging = nudging.then(async () => {
      const request = draft.value
      if (!request || mineStill !== wanted) return
      const mine = ++asked
      try {
        const next = await calls.change(request, slot, { nudge: steps })
        if (mine !== asked) return
        if (remembered) remember(request)
        show(next)
      } catch (thrown) {
        faults.value = faultsOf(thrown)
      }
    })
    return nudging
  }

  /** Pulls a dimension so many mm from where it stood in a request; only what is seen meanwhile is asked for. */
  async function pull(slot: string, mm: number, from: R) {
    const mine = ++asked
    const next = await calls.change(from, slot, { pulled: mm }, true)
    if (mine === asked) show(next)
  }

  async function undo() {
    const back = past.value.at(-1)
    if (!back || !draft.value) return
    past.value = past.value.slice(0, -1)
    future.value = [...future.value, onDesk(draft.value)]
    await restore(back)
  }

  async function redo() {
    const ahead = future.value.at(-1)
    if (!ahead || !draft.value) return
    future.value = future.value.slice(0, -1)
    past.value = [...past.value, onDesk(draft.value)]
    await restore(ahead)
  }

  /** Keeps it: over the record it came from, or as a new one. Gives the number that undoes it. */
  async function keep(name: string, note: string, asNew: boolean): Promise<number | null> {
    if (!draft.value) return null
    const body = { name, note, request: draft.value }
    const written = kept.value && !asNew ? await calls.keepOver(kept.value, body) : await calls.keepNew(body)
    markKept(written.entry)
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
    changed,
    past,
    future,
    choices: calls.choices,
    open,
    refresh,
    openKept,
    updateKept,
    start,
    set,
    type,
    forget,
    nudge,
    pull,
    remember,
    undo,
    redo,
    keep,
  }
}
