import { computed } from 'vue'
import { useSettings } from './settings'

/** Lengths and amounts as the rack shows them. */
export function useAmounts() {
  const settings = useSettings()
  const currency = computed(() => settings.settings.currency || '')
  const metres = (mm: number) =>
    settings.settings.unit === 'inch'
      ? `${(mm / 304.8).toFixed(mm < 30480 ? 2 : 1)} ft`
      : mm < 1000
        ? `${Number(mm.toFixed(1))} mm`
        : `${(mm / 1000).toFixed(2)} m`
  const grams = (g: number) => `${g.toFixed(g < 100 ? 2 : 1)} g`
  const money = (amount: string | null | undefined) =>
    amount === null || amount === undefined ? '' : `${Number(amount).toFixed(2)} ${currency.value}`.trim()
  return { metres, grams, money, currency }
}
