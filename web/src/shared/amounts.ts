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
  const acrossUnit = computed(() => settings.caliper.unit)
  /** A size as a caliper reads it, without its unit; `places` where it wants finer reading or rougher. */
  function acrossNumber(mm: number, places = settings.caliper.places_n): string {
    return (mm / settings.caliper.one_mm).toFixed(places)
  }
  const across = (mm: number) => `${acrossNumber(mm)} ${acrossUnit.value}`
  return { metres, grams, money, inches, acrossUnit, acrossNumber, across, currency }
}
