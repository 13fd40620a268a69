import { useEventListener } from '@vueuse/core'
import { isTyping } from '../shared/typing'

/** The keys of a desk: undo, redo, keep, and the brackets, which step back and on. */
export function useDeskKeys(does: {
  undo: () => unknown
  redo: () => unknown
  keep: () => unknown
  step: (by: 1 | -1) => unknown
}) {
  useEventListener('keydown', (event) => {
    const key = event.key.toLowerCase()
    if (event.ctrlKey || event.metaKey) {
      const act = { z: event.shiftKey ? does.redo : does.undo, y: does.redo, s: does.keep }[key]
      if (act && (key === 's' || !isTyping(event))) {
        event.preventDefault()
        act()
      }
    } else if (!isTyping(event) && (key === '[' || key === ']')) {
      does.step(key === '[' ? -1 : 1)
    }
  })
}
