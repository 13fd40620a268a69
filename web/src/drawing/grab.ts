import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import type { LaidDimension } from './layout'

/** How far a pointer moves before it drags, in pixels. */
const STILL = 4

interface Does {
  /** Nothing is pointed at while one drags. */
  leave: () => void
  /** A dimension was dragged so many mm longer or shorter than it was when it was grabbed. */
  drag: (name: string, mm: number, phase: 'start' | 'move' | 'end') => void
  /** A dimension was clicked, to be typed into. */
  edit: (name: string, at: HTMLElement) => void
}

/** Dimensions that are taken hold of with the pointer: a drag pulls one longer, a click types into it. */
export function useGrab({ leave, drag, edit }: Does) {
  const grabbed = ref<{
    name: string
    at: [number, number]
    along: readonly [number, number]
    moved: boolean
    scale: number
  } | null>(null)

  /** Takes hold of a dimension of a drawing that stands in a box, so many pixels to the millimetre. */
  function grab(dimension: LaidDimension, event: PointerEvent, box: DOMRect, scale: number) {
    if (event.button !== 0) return
    event.preventDefault()
    ;(event.currentTarget as HTMLElement).focus()
    // An angle has no line: dragging to the right opens it.
    const [dx, dy] = dimension.lined ? dimension.along : [1, 0]
    // A line is longer when its nearer end is pulled outward.
    const out = dimension.lined && nearerEnd(dimension.line, event, box) ? 1 : -1
    grabbed.value = {
      name: dimension.figure,
      at: [event.clientX, event.clientY],
      along: [out * dx, out * dy],
      moved: false,
      scale,
    }
  }

  useEventListener('pointermove', (event) => {
    const held = grabbed.value
    if (!held) return
    const [dx, dy] = [event.clientX - held.at[0], event.clientY - held.at[1]]
    if (!held.moved && Math.hypot(dx, dy) < STILL) return
    if (!held.moved) {
      leave()
      drag(held.name, 0, 'start')
    }
    held.moved = true
    drag(held.name, (dx * held.along[0] + dy * held.along[1]) / held.scale, 'move')
  })
  useEventListener('pointerup', (event) => {
    const held = grabbed.value
    grabbed.value = null
    if (!held) return
    if (held.moved) drag(held.name, 0, 'end')
    else {
      const at = (event.target as Element).closest<SVGElement>('[data-dimension]')
      if (at) edit(held.name, at as unknown as HTMLElement)
    }
  })
  useEventListener('pointercancel', () => {
    if (grabbed.value?.moved) drag(grabbed.value.name, 0, 'end')
    grabbed.value = null
  })

  return { grabbed, grab }
}

/** Whether the pointer is nearer to a line's second end. */
function nearerEnd(line: LaidDimension['line'], event: PointerEvent, box: DOMRect): boolean {
  const [x, y] = [event.clientX - box.left, event.clientY - box.top]
  return Math.hypot(x - line.x2, y - line.y2) <= Math.hypot(x - line.x1, y - line.y1)
}
