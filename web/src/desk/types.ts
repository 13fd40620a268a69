import type { Fault, Phrase } from '../api/client'

/** Which kept record is being worked on. */
export interface KeptAs {
  id: number
  revision: number
  name: string
  note: string
  /** The request as it is kept, to tell whether it was changed since. */
  as: string
}

/** A request on the desk, and which record it belongs to: the two never part. */
export interface OnDesk<R> {
  request: R
  kept: KeptAs | null
}

/** An entry of the shelf, as far as a desk needs it. */
export interface ShelfRecord<R> {
  id: number
  revision: number
  record: Named<R>
}

/** A record to keep: a request with a name and a note. */
export interface Named<R> {
  name: string
  note?: string
  request: R
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
  /** What it is about, where choices of several kinds stand together. */
  group?: string | null
  /** The step of the route that it is about, from 1. */
  step_n?: number | null
  /** What to press to take it back, where it is chosen and can be. */
  take_back?: string | null
  /** Whether the program advises it. */
  advised?: boolean
}

/** A desk as its store hands it out, for the parts of the screen that serve any desk. */
export interface Desk<R> {
  draft: R | null
  kept: KeptAs | null
  sheet: { sentence: Phrase[]; text: string } | null
  faults: Fault[]
  sound: boolean
  /** Whether what is kept differs from what lies here. */
  changed: boolean
  /** Of its metal, for what is drawn. */
  colour: string
  past: OnDesk<R>[]
  future: OnDesk<R>[]
  open(): Promise<void>
  choices(request: R, slot: string): Promise<Choice<R>[]>
  set(request: R, remembered?: boolean): Promise<void>
  type(slot: string, text: string, from: R): Promise<Fault[]>
  forget(): void
  nudge(slot: string, steps: number, remembered?: boolean): Promise<void>
  remember(request?: R | null): void
  undo(): Promise<void>
  redo(): Promise<void>
  keep(name: string, note: string, asNew: boolean): Promise<number | null>
  openKept(entry: ShelfRecord<R>): Promise<void>
  updateKept(entry: ShelfRecord<R>): void
}

/** What a word is called, how it is typed, and whether it lists its choices. */
export interface Word {
  title: string
  /** How it is typed; left out where it is only chosen. */
  hint?: string
  /** Read as a length while typing, or as the size of a wire. */
  length?: true | 'of-wire'
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
