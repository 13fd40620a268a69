import type { BatchRun } from '../api/client'
import { t } from '../text'

/** When an order is due, as one says it. */
export function dueIn(days: number | undefined | null): string {
  if (days === undefined || days === null) return t('words-no-due-date')
  if (days < -1) return t('words-days-late', { days: -days })
  if (days === -1) return t('words-day-late')
  if (days === 0) return t('words-due-today')
  return days === 1 ? t('words-due-tomorrow') : t('words-due-in-days', { days })
}

/** Where work of the schedule stands: its batch at the bench, or the orders it is not begun for. */
export const linkOf = ({ of }: { of: BatchRun['of'] }) => ('batch' in of ? `/bench/${of.batch}` : '/orders')
