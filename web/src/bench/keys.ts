import { useEventListener } from '@vueuse/core'
import { isTyping } from '../shared/typing'

/** What the keys of the bench do. */
interface Does {
  onward: () => void
  back: () => void
  scrap: () => void
  note: () => void
  look: (by: 1 | -1) => void
}

/**
 * The keys of the bench, a foot pedal among them: space or enter count one, backspace takes one back. Gives whether a press
 * was counted by its key already: what the browser makes of it is no second one.
 */
export function usePressKeys(
  { onward, back, scrap, note, look }: Does,
  { big, deaf }: { big: () => HTMLElement | null | undefined; deaf: () => boolean },
) {
  let keyed = false
  useEventListener('keydown', (event) => {
    if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey || deaf()) return
    const on = event.target as HTMLElement
    const elsewhere = on !== big() && !!on.closest('button, a, select')
    const once = (does: () => void) => {
      event.preventDefault()
      // A foot that stays down is one press.
      if (!event.repeat) does()
    }
    if ((event.key === ' ' || event.key === 'Enter') && !elsewhere) {
      keyed = true
      once(onward)
    } else if (event.key === 'Backspace') once(back)
    else if (event.key === 'x') once(scrap)
    else if (event.key === 'n') once(note)
    else if (event.key === '[' || event.key === ']') look(event.key === '[' ? -1 : 1)
  })
  useEventListener('keyup', () => setTimeout(() => (keyed = false)))
  return () => keyed
}
