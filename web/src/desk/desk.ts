import { useLocalStorage } from '@vueuse/core'
import { computed, ref, shallowRef, type Ref, type ShallowRef } from 'vue'
import { faultsOf, type Fault, type Phrase } from '../api/client'

/** Which kept record is being worked on. */
export interface KeptAs {
  id: number
  revision: number
  name: string
  note: string
}

/** A record to keep: a request with a name and a note. */
export interface Named<R> {
  name: string
  note?: string
  request: R
}

/** What the core makes of a request; the result is missing where it has faults. */
interface Sheet<R, W> {
  request: R
  sentence: Phrase[]
  text: string
  faults: Fault[]
  result?: W | null
}

/** What was typed in a word's place, how many steps it goes on, how many mm its dimension is pulled. */
export type Change = { typed: string } | { nudge: number } | { pulled: number }

/** One choice for a word, and what it would change. */
export interface Choice<R> {
  label: string
  effect: string
  chosen: boolean
  possible: boolean
  request: R
}

interface Kept<R> {
  entry: { id: number; revision: number; record: Named<R> }
  undo: number
}

/** What a desk asks the server. */
interface Calls<R, S, C> {
  sheet(request: R): Promise<S>
  /** `quick`: only what is seen while something is dragged. */
  change(request: R, slot: string, change: Change, quick?: boolean): Promise<S>
  choices(request: R, slot: string): Promise<C[]>
  /** What lies on the desk when nothing was being worked on. */
  first(): Promise<{ request: R; kept?: KeptAs } | null>
  keepNew(body: Named<R>): Promise<Kept<R>>
  keepOver(kept: KeptAs, body: Named<R>): Promise<Kept<R>>
}

/**
 * A desk with one request on it: its words are changed one by one, everything the core makes of it
 * follows, every change can be undone, and a reload loses nothing.
 */
export function desk<
  R extends object,
  W extends { colour: string },
  S extends Sheet<R, W>,
  C extends Choice<R>,
>(key: string, calls: Calls<R, S, C>) {
  const serializer = { read: (text: string) => JSON.parse(text), write: JSON.stringify }
  const draft = useLocalStorage<R | null>(`lorimant.${key}`, null, { serializer }) as Ref<R | null>
  const kept = useLocalStorage<KeptAs | null>(`lorimant.${key}-of`, null, { serializer })
  const sheet = shallowRef(null) as ShallowRef<S | null>
  /** The last request that could be made: what is drawn while the words cannot be. */
  const worked = shallowRef(null) as ShallowRef<W | null>
  const faults = ref<Fault[]>([])
  const past = shallowRef<R[]>([])
  const future = shallowRef<R[]>([])
  let asked = 0
  let nudging = Promise.resolve()

  const colour = computed(() => worked.value?.colour ?? '#b9683a')
  const sound = computed(() => sheet.value !== null && sheet.value.faults.length === 0)

  function show(next: S) {
    sheet.value = next
    draft.value = next.request
    faults.value = next.faults
    if (next.result) worked.value = next.result
  }

  async function work(request: R) {
    const mine = ++asked
    const next = await calls.sheet(request)
    if (mine === asked) show(next)
  }

  /** Makes a request one step of undo; by default the present one, before it changes. */
  function remember(request = draft.value) {
    if (request) past.value = [...past.value.slice(-99), request]
    future.value = []
  }

  /** Opens what was being worked on, or what is there to start from. */
  async function open() {
    if (draft.value) {
      try {
        return await work(draft.value)
      } catch {
        // A draft of an older program that can no longer be read: start afresh.
        draft.value = null
      }
    }
    const first = await calls.first()
    if (!first) return
    await work(first.request)
    kept.value = first.kept ?? null
  }

  /** Works the present request out again, after the workshop's tools or units changed. */
  async function refresh() {
    if (draft.value) await work(draft.value)
  }

  async function openKept(entry: Kept<R>['entry']) {
    remember()
    await work(entry.record.request)
    const { id, revision, record } = entry
    kept.value = { id, revision, name: record.name, note: record.note ?? '' }
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

  /** Nudges one word by so many steps. Quick presses queue up, so that none is lost. */
  function nudge(slot: string, steps: number): Promise<void> {
    nudging = nudging.then(async () => {
      const request = draft.value
      if (!request) return
      const mine = ++asked
      try {
        const next = await calls.change(request, slot, { nudge: steps })
        if (mine !== asked) return
        remember(request)
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

  /** Keeps it: over the record it came from, or as a new one. Gives the number that undoes it. */
  async function keep(name: string, note: string, asNew: boolean): Promise<number | null> {
    if (!draft.value) return null
    const body = { name, note, request: draft.value }
    const written = kept.value && !asNew ? await calls.keepOver(kept.value, body) : await calls.keepNew(body)
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
    choices: calls.choices,
    open,
    refresh,
    openKept,
    start,
    set,
    type,
    nudge,
    pull,
    remember,
    undo,
    redo,
    keep,
  }
}

/** A desk as its store hands it out, for the parts of the screen that serve any desk. */
export interface Desk<R> {
  draft: R | null
  kept: KeptAs | null
  sheet: { sentence: Phrase[]; text: string } | null
  faults: Fault[]
  sound: boolean
  /** Of its metal, for what is drawn. */
  colour: string
  past: R[]
  future: R[]
  choices(request: R, slot: string): Promise<Choice<R>[]>
  set(request: R, remembered?: boolean): Promise<void>
  type(slot: string, text: string, from: R): Promise<Fault[]>
  nudge(slot: string, steps: number): Promise<void>
  remember(request?: R | null): void
  undo(): Promise<void>
  redo(): Promise<void>
  keep(name: string, note: string, asNew: boolean): Promise<number | null>
}

/** What a word is called, how it is typed, and whether it lists its choices. */
export interface Word {
  title: string
  /** How it is typed; left out where it is only chosen. */
  hint?: string
  /** Read as a length while typing. */
  length?: boolean
  /** A sentence about it. */
  says?: string
}

/** What an editor hands to what else a kind of piece offers for a word. */
export interface MoreOfWord<R> {
  slotName: string
  /** The request as it stood when the editor was opened. */
  from: R
  /** The length that was typed, mm, where one could be read. */
  readMm: number | null
  choose: (request: R) => Promise<void>
}
