import { t } from '../text'
import { useQuery } from '@tanstack/vue-query'
import {
  computed,
  inject,
  onScopeDispose,
  provide,
  ref,
  shallowReactive,
  type InjectionKey,
  type Ref,
} from 'vue'
import {
  api,
  data,
  faultsOf,
  Refused,
  type Fault,
  type ReadField,
  type Reads,
  type Wire,
} from '../api/client'
import { useNotice } from './notice'
import { useSettings } from './settings'

/** What is wrong with a form: each fault at its field, the rest beside the button. */
export interface Form {
  faults: Ref<Fault[]>
  /** The sentences for a field, which may be known by several names. */
  at: (names: readonly string[]) => string[]
  /** What is wrong with none of the fields on the screen. */
  elsewhere: Readonly<Ref<Fault[]>>
  /** A field stands on the screen as long as its component does. */
  field: (names: readonly string[]) => void
}

const FORM: InjectionKey<Form> = Symbol('form')

/** The form a field stands in, if it stands in one. */
export const useFormAround = () => inject(FORM, null)

/** A form: its fields find what is wrong with them by their name. */
export function useForm() {
  const faults = ref<Fault[]>([])
  const fields = shallowReactive(new Set<readonly string[]>())
  const at = (names: readonly string[]) =>
    faults.value.filter((fault) => names.includes(fault.field)).map((fault) => fault.message)
  const elsewhere = computed(() => {
    const shown = new Set([...fields].flat())
    return faults.value.filter((fault) => !shown.has(fault.field))
  })
  function field(names: readonly string[]) {
    fields.add(names)
    onScopeDispose(() => fields.delete(names))
  }
  const take = (thrown: unknown) => (faults.value = faultsOf(thrown))
  /** Does what the form is for; what is wrong with it is shown, and it says whether nothing was. */
  async function attempt(work: () => Promise<unknown>): Promise<boolean> {
    try {
      faults.value = []
      await work()
      return true
    } catch (thrown) {
      take(thrown)
      return false
    }
  }
  const form = { faults, at, elsewhere, field, take, attempt }
  provide(FORM, form)
  return form
}

/** What is wrong with a field of the form around it, under whichever of its names. */
export function useFieldFaults(names: readonly string[]) {
  const form = useFormAround()
  if (names.length) form?.field(names)
  return computed(() => form?.at(names) ?? [])
}

/** What is wrong with a form, to be thrown like what the server refuses. */
export const refused = (errors: Fault[]) =>
  new Refused({
    type: '/problems/invalid',
    title: t('form-check-this'),
    status: 422,
    detail: errors.map((fault) => fault.message).join(' '),
    errors,
  })

/** Whether a dialog is open: as long as it has a record. */
export const useOpen = <E>(entry: Ref<E | null>) =>
  computed({
    get: () => entry.value !== null,
    set: (now) => {
      if (!now) entry.value = null
    },
  })

/** A dialog that adds a record or changes one. */
export function useRecord<T, E extends { id: number; revision: number }>(
  entry: Ref<E | 'new' | null>,
  calls: {
    /** What it is called, with its article: `the rod`. */
    noun: string
    read: () => Promise<T>
    add: (body: T) => Promise<{ undo: number }>
    change: (entry: E, body: T) => Promise<{ undo: number }>
    kept: () => unknown
  },
) {
  const form = useForm()
  const notice = useNotice()
  const keep = () =>
    form.attempt(async () => {
      const now = entry.value
      if (!now) return
      const body = await calls.read()
      const { undo } = now === 'new' ? await calls.add(body) : await calls.change(now, body)
      const { noun } = calls
      notice.did(now === 'new' ? t('form-added', { noun }) : t('form-changed', { noun }), undo, calls.kept)
      entry.value = null
      calls.kept()
    })
  return { ...form, open: useOpen(entry), keep }
}

/** What each kind of field gives. */
type Given<R extends Reads> = R extends 'money' | 'clock' ? string : R extends 'lengths' ? number[] : number
/** The fields of a form by their names, and what each asks for; `needed` after it where it cannot be empty. */
type Asked = Record<string, Reads | readonly [Reads, 'needed']>
type Kind<A> = A extends readonly [infer R extends Reads, 'needed'] ? R : A extends Reads ? A : never
export type Typed<A extends Asked> = {
  [K in keyof A]: A[K] extends readonly [Reads, 'needed'] ? Given<Kind<A[K]>> : Given<Kind<A[K]>> | undefined
}

/** What is typed into the fields, read by the core; throws what is wrong with them, each at its field. */
export async function readFields<const A extends Asked>(
  texts: Record<string, string | null | undefined>,
  asked: A,
  wire?: Wire | null,
): Promise<Typed<A>> {
  const fields = Object.entries(asked).map(([field, kind]) => ({
    field,
    text: texts[field] ?? '',
    input: typeof kind === 'string' ? kind : kind[0],
    needed: typeof kind !== 'string',
  }))
  const found = await data(api.POST('/api/fields/read', { body: { fields, wire } }))
  const given = ({ value, values, money, time }: ReadField) => money ?? time ?? values ?? value ?? undefined
  return Object.fromEntries(found.map((one) => [one.field, given(one)])) as Typed<A>
}

/**
 * Lengths a form starts from, in the unit read first. One that is left as it was shown stays what it was, however it
 * was rounded to be shown.
 */
export function useShownLengths() {
  const settings = useSettings()
  const given = new Map<string, number>()
  function show(mm: number | null | undefined): string {
    if (mm === null || mm === undefined) return ''
    const { unit, one_mm, places_n } = settings.caliper
    const places = unit === 'mm' ? 4 : places_n + 1
    const text = `${Number((mm / one_mm).toFixed(places))} ${unit}`
    given.set(text, mm)
    return text
  }
  /** The same of a length of wire: in metres, or in feet. */
  function long(mm: number | null | undefined): string {
    const scale = settings.scales.at(-1)
    if (!mm || !scale) return ''
    const text = `${Number((mm / scale.one_mm).toFixed(3))} ${scale.unit}`
    given.set(text, mm)
    return text
  }
  function exact<T extends Record<string, unknown>>(
    read: T,
    texts: Record<string, string | null | undefined>,
  ): T {
    const kept = (field: string, value: unknown) =>
      typeof value === 'number' ? (given.get(texts[field]?.trim() ?? '') ?? value) : value
    return Object.fromEntries(Object.entries(read).map(([field, value]) => [field, kept(field, value)])) as T
  }
  return { show, long, exact }
}

/** The same of a view that answers while one types: nothing as long as something is wrong. */
export function useTyped<const A extends Asked>(
  texts: () => Record<string, string | null | undefined>,
  asked: A,
) {
  const { data: read, error } = useQuery({
    queryKey: ['fields', texts],
    queryFn: () => readFields(texts(), asked),
    placeholderData: (before) => before,
  })
  const faults = computed(() => (error.value ? faultsOf(error.value) : []))
  const typed = computed(() => (error.value ? undefined : read.value))
  return { typed, faults }
}
