/** A day, or the day of a moment, as people write it: `Tue 3 March`, with its year where it is not this one. */
export function dayOf(date: string) {
  const day = new Date(date.includes('T') ? date : `${date}T12:00`)
  const year = day.getFullYear() === new Date().getFullYear() ? undefined : 'numeric'
  return day.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'long', year })
}

/** A day as it would be typed, with its year: `3 March 2026`. */
export const typedDayOf = (day: Date) =>
  day.toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' })

/** A moment with its time of day: `Tue 3 March, 18:30`. */
export const momentOf = (moment: string) =>
  `${dayOf(moment)}, ${new Date(moment).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}`
