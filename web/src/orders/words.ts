import { t } from '../text'
/** When an order is due, as one says it. */
export function dueIn(days: number | undefined | null): string {
  if (days === undefined || days === null) return t('words-no-due-date')
  if (days < -1) return t('words-days-late', { days: -days })
  if (days === -1) return t('words-day-late')
  if (days === 0) return t('words-due-today')
  return days === 1 ? t('words-due-tomorrow') : t('words-due-in-days', { days })
}

/** A day as people write it: `Tue 3 March`, with its year where it is not this one. */
export function dayOf(date: string) {
  const day = new Date(`${date}T12:00`)
  const year = day.getFullYear() === new Date().getFullYear() ? undefined : 'numeric'
  return day.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'long', year })
}
