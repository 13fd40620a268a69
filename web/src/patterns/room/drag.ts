import { ref, shallowRef } from 'vue'
import type { Drawing, PatternKind, PatternRequest } from '../../api/client'
import type { usePattern } from '../pattern'

/** What a millimetre of dragging changes, and the step a dragged value keeps to. */
const steps = {
  mm: { per: 1, step: 0.1 },
  deg: { per: 4, step: 1 },
  turns: { per: 0.25, step: 0.5 },
  choice: { per: 0, step: 1 },
} as const

/** Dragging the dimensions of a finding: the piece follows, and the whole drag is one step of undo. */
export function useDrag(pattern: ReturnType<typeof usePattern>, kind: () => PatternKind | undefined) {
  let from: PatternRequest | null = null
  let next: PatternRequest | null = null
  let busy = false
  /** What the drawing covered when the drag began: the view keeps still while one drags. */
  const still = shallowRef<Drawing['frame'] | null>(null)
  const failed = ref<unknown>(null)

  /** Only the latest place of the pointer counts; one request is under way at a time. */
  async function follow() {
    if (busy) return
    busy = true
    while (next) {
      const request = next
      next = null
      try {
        await pattern.set(request, false, true)
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

  function drag(name: string, mm: number, phase: 'start' | 'move' | 'end') {
    const parameter = kind()?.parameters.find((one) => one.name === name)
    if (!parameter || !pattern.draft) return
    if (phase === 'start') {
      from = pattern.draft
      still.value = pattern.worked?.front.drawing.frame ?? null
    } else if (phase === 'move' && from) {
      const { per, step } = steps[parameter.unit]
      const start = from.parameters?.[name] ?? parameter.default
      const moved = Math.round((start + mm * per) / step) * step
      const value = Number(Math.min(Math.max(moved, parameter.min), parameter.max).toFixed(3))
      if (value === pattern.draft.parameters?.[name] && !next) return
      next = { ...from, parameters: { ...from.parameters, [name]: value } }
      void follow()
    } else if (phase === 'end') {
      if (from) pattern.remember(from)
      from = null
      if (!busy) void finish()
    }
  }

  return { drag, still, failed }
}
