import { useElementSize } from '@vueuse/core'
import { computed, toValue, useTemplateRef, type MaybeRefOrGetter } from 'vue'

/** Where things lie on a strip of straight wire: to scale, from its left end, as wide as there is room. */
export function useStrip(
  edge: number,
  lengthMm: MaybeRefOrGetter<number>,
  thicknessMm: MaybeRefOrGetter<number>,
  /** Pixels in a real millimetre, where it is shown at true size. */
  truePixels: MaybeRefOrGetter<number | null | undefined>,
  /** The height kept for the wire: it is drawn no thicker, and thick enough to be seen. */
  most: number,
) {
  const place = useTemplateRef<HTMLElement>('place')
  const { width } = useElementSize(place)
  const scale = computed(
    () => toValue(truePixels) ?? Math.max((width.value - 2 * edge) / toValue(lengthMm), 0.01),
  )
  const x = (mm: number) => edge + mm * scale.value
  const thick = computed(() => Math.min(most, Math.max(9, toValue(thicknessMm) * scale.value)))
  /** The whole strip: at true size it may be wider than its room. */
  const full = computed(() => Math.max(width.value, x(toValue(lengthMm)) + edge))
  return { scale, x, thick, full }
}
