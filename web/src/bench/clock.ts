import { t } from '../text'
import { useNow } from '@vueuse/core'
import { computed, ref } from 'vue'

/** The server's clock, by what it said last: timers count by it, whatever this device's clock says. */
export function useServerClock() {
  const ahead = ref(0)
  const here = useNow({ interval: 1000 })
  return {
    now: computed(() => here.value.getTime() + ahead.value),
    set: (now: string) => (ahead.value = Date.parse(now) - Date.now()),
  }
}

/** A time span in a few signs: `1 h 20 min`, `40 s`. */
export function spanOf(ms: number): string {
  const seconds = Math.max(0, Math.round(ms / 1000))
  const minutes = Math.floor(seconds / 60)
  const hours = Math.floor(minutes / 60)
  if (hours && minutes % 60 === 0) return t('clock-h', { hours })
  if (hours) return t('clock-h-min', { minutes: hours, minutes2: minutes % 60 })
  return minutes > 0 ? t('clock-min', { minutes }) : `${seconds} s`
}

/** The minutes of some work, as one plans with them: fives above twenty. */
export const minutesOf = (minutes: number) => {
  if (minutes < 1) return t('clock-less-than-minute')
  return spanOf((minutes > 20 ? Math.round(minutes / 5) * 5 : Math.round(minutes)) * 60_000)
}
