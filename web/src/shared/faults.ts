import { computed, ref, toValue, type MaybeRefOrGetter } from 'vue'
import { api, data, faultsOf, type Fault } from '../api/client'

/** What is wrong with a form: each fault at its field, the rest beside the button. */
export function useFaults(fields: MaybeRefOrGetter<readonly string[]>) {
  const faults = ref<Fault[]>([])
  /** Sentences for a field, which may be known by several names. */
  const at = (...names: string[]) =>
    faults.value.filter((fault) => names.includes(fault.field)).map((fault) => fault.sentence)
  const elsewhere = computed(() => faults.value.filter((fault) => !toValue(fields).includes(fault.field)))
  const take = (thrown: unknown) => (faults.value = faultsOf(thrown))
  return { faults, at, elsewhere, take }
}

/** What `read` gives; where it refuses, its sentence is noted at the field. */
export async function readAt<T>(
  field: string,
  wrong: Fault[],
  read: () => Promise<T>,
): Promise<T | undefined> {
  try {
    return await read()
  } catch (thrown) {
    wrong.push({ field, sentence: faultsOf(thrown)[0]?.sentence ?? '' })
  }
}

/** A length in millimetres, typed any way a length is written. */
export const lengthAt = (field: string, wrong: Fault[], text: string) =>
  readAt(field, wrong, async () => (await data(api.POST('/api/lengths/read', { body: { text } }))).mm)

/** A number as it is sent, from what was typed in a field of one unit; that may stand behind it. */
export const plain = (text: string | undefined, unit = '') =>
  (text ?? '')
    .trim()
    .replace(unit && new RegExp(`\\s*${unit}$`), '')
    .replace(',', '.')

/** The number typed; where it is none, that is noted at the field. Nothing typed is nothing. */
export function numberAt(
  field: string,
  wrong: Fault[],
  text: string | undefined,
  { unit = '', sentence = `“${text}” is no number. Write it as 12.5.` } = {},
): number | undefined {
  const typed = plain(text, unit)
  if (!typed) return undefined
  const value = Number(typed)
  if (!Number.isNaN(value)) return value
  wrong.push({ field, sentence })
}

/** Money as it is sent, from what was typed. */
export function moneyAt(field: string, wrong: Fault[], text: string | undefined): string | undefined {
  numberAt(field, wrong, text, { sentence: `“${text}” is no amount of money. Write it as 14.80.` })
  return plain(text) || undefined
}
