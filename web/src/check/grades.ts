import { computed } from 'vue'
import type { CheckView } from '../api/client'
import { useAmounts } from '../shared/amounts'
import { t } from '../text'

/** What a check says of a piece. */
export const useVerdicts = () => ({
  pass: t('check-view-passes'),
  rework: t('check-view-fix'),
  reject: t('check-view-set-apart'),
})

/** How the dimensions of a check are called and read. */
export function useDimensions(sheet: () => CheckView['sheet']) {
  const { across } = useAmounts()
  const byKey = computed(() => new Map(sheet().to_measure.map((one) => [one.key, one])))
  /** A value of a dimension: its grade where it has grades, otherwise a length across. */
  const shown = (key: string, value: number) => byKey.value.get(key)?.grades?.[value] ?? across(value)
  const whatOf = (key: string) => byKey.value.get(key)?.what ?? key
  return { shown, whatOf, across }
}
