import { ref, shallowRef } from 'vue'
import type { Drawing, PatternRequest } from '../../api/client'
import type { usePattern } from '../pattern'

/** Dragging the dimensions of a finding: the piece follows, and the whole drag is one step of undo. */
export function useDrag(pattern: ReturnType<typeof usePattern>) {
  let from: PatternRequest | null = null
  let next: { from: PatternRequest; slot: string; mm: number } | null = null
  let busy = false
  /** What the drawing covered when the drag began: the view keeps still while one drags. */
  const still = shallowRef<Drawing['frame'] | null>(null)
  const failed = ref<unknown>(null)

  /** Only the latest place of the pointer counts; one request is under way at a time. */
  async function follow() {
    if (busy) return
    busy = true
    while (next) {
      const { from, slot, mm } = next
      next = null
      try {
        await pattern.pull(slot, mm, from)
      } catch (thrown) {
        failed.value = thrown
      }
    }
    busy = false
    if (!from) await finish()
  }

  /** The whole sheet again, once the hand is off. */
  async function finish() {
    try {
      await pattern.refresh()
    } catch (thrown) {
      failed.value = thrown
    }
    still.value = null
  }

  function drag(slot: string, mm: number, phase: 'start' | 'move' | 'end') {
    if (!pattern.draft) return
    if (phase === 'start') {
      from = pattern.draft
      still.value = pattern.worked?.front.drawing.frame ?? null
    } else if (phase === 'move' && from) {
      next = { from, slot, mm }
      void follow()
    } else if (phase === 'end') {
      if (from) pattern.remember(from)
      from = null
      if (!busy) void finish()
    }
  }

  return { drag, still, failed }
}
