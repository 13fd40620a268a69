import { computed } from 'vue'
import { useSettings } from './settings'

/** Lengths and amounts as the rack shows them; which unit a length is read in, the server says. */
export function useAmounts() {
  const settings = useSettings()
  const currency = computed(() => settings.settings.currency || '')
  const metres = (mm: number) => {
    const scale = settings.scales.findLast(({ from_mm }) => Math.abs(mm) >= from_mm)
    if (!scale) return ''
    const number = (mm / scale.one_mm).toFixed(scale.places_n)
    return `${scale.one_mm === 1 ? Number(number) : number} ${scale.unit}`
  }
  const grams = (g: number) => `${g.toFixed(g < 100 ? 2 : 1)} g`
  const money = (amount: string | null | undefined) =>
    amount === null || amount === undefined ? '' : `${Number(amount).toFixed(2)} ${currency.value}`.trim()
  const inches = (mm: number) => (mm / settings.inchMm).toFixed(4)
  return { metres, grams, money, inches, currency }
}
