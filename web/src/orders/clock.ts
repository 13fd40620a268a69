/** Moments as the workshop's clock shows them: `18:30`, `Thu, 19 Nov 18:30`. `zone` is the workshop's time zone. */
export function useClock(zone: () => string | undefined) {
  const known = () => {
    const name = zone() ?? ''
    return name.includes('/') || name === 'UTC' ? name : undefined
  }
  const clock = (moment: string) =>
    new Date(moment).toLocaleTimeString('en-GB', {
      hour: '2-digit',
      minute: '2-digit',
      timeZone: known(),
    })
  const dayAndClock = (moment: string) =>
    `${new Date(moment).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' })} ${clock(moment)}`
  return { clock, dayAndClock }
}
