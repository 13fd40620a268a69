/** Up and down walk the lines of a menu, Home and End go to its ends. */
export function walkLines(event: KeyboardEvent) {
  if (!['ArrowDown', 'ArrowUp', 'Home', 'End'].includes(event.key)) return
  const menu = event.currentTarget as HTMLElement
  const lines = [...menu.querySelectorAll<HTMLElement>('.menu-line')]
  const at = lines.indexOf(document.activeElement as HTMLElement)
  const next = {
    ArrowDown: Math.min(at + 1, lines.length - 1),
    ArrowUp: Math.max(at - 1, 0),
    Home: 0,
    End: lines.length - 1,
  }[event.key]!
  event.preventDefault()
  lines[next]?.focus()
}
