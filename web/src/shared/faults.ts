import { computed, ref } from 'vue'
import { faultsOf, type Fault } from '../api/client'

/** What is wrong with a form: each fault at its field, the rest beside the button. */
export function useFaults(fields: readonly string[] = []) {
  const faults = ref<Fault[]>([])
  /** Sentences for a field, which may be known by several names. */
  const at = (...names: string[]) =>
    faults.value.filter((fault) => names.includes(fault.field)).map((fault) => fault.sentence)
  const elsewhere = computed(() => faults.value.filter((fault) => !fields.includes(fault.field)))
  const clear = () => (faults.value = [])
  const take = (thrown: unknown) => (faults.value = faultsOf(thrown))
  return { faults, at, elsewhere, clear, take }
}
