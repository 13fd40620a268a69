import { t } from '../text'
import { computed } from 'vue'
import { useSettings } from './settings'

/** The smallest coin. */
const LEAST = '0.01'

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
  /** An amount as it is paid; what is less than the smallest coin is no nothing. */
  function money(amount: string | null | undefined) {
    if (amount === null || amount === undefined) return ''
    const shown = `${Number(amount).toFixed(2)} ${currency.value}`.trim()
    const least = `${LEAST} ${currency.value}`.trim()
    return Number(amount) > 0 && Number(shown.split(' ')[0]) === 0 ? t('amounts-under', { least }) : shown
  }
  const inches = (mm: number) => (mm / settings.inchMm).toFixed(4)
  const acrossUnit = computed(() => settings.caliper.unit)
  /** A size as a caliper reads it, without its unit; `places` where it wants finer reading or rougher. */
  function acrossNumber(mm: number, places = settings.caliper.places_n): string {
    return (mm / settings.caliper.one_mm).toFixed(places)
  }
  const across = (mm: number) => `${acrossNumber(mm)} ${acrossUnit.value}`
  return { metres, grams, money, inches, acrossUnit, acrossNumber, across, currency }
}
