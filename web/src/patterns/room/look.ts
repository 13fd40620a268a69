import { computed, ref, watch, type Ref } from 'vue'
import type { PatternKind, Mark } from '../../api/client'
import { t } from '../../text'
import type { usePattern } from '../pattern'

/** From which side a finding is looked at, after which of its steps, and what of it is lit. */
export function useLook(
  pattern: ReturnType<typeof usePattern>,
  kind: Readonly<Ref<PatternKind | undefined>>,
) {
  const views = [
    { key: 'front', test: 'show-front', says: t('room-view-front') },
    { key: 'side', test: 'show-side', says: t('room-view-side') },
    { key: 'temper', test: 'show-temper', says: t('room-view-temper') },
    { key: 'about', test: 'show-about', says: t('room-view-good-know') },
  ] as const
  const shown = ref<(typeof views)[number]['key']>('front')

  const form = computed(() => pattern.worked?.form)
  const last = computed(() => (form.value?.steps.length ?? 1) - 1)
  /** The step after which it is looked at, from 0. */
  const at = ref(0)
  const finished = computed(() => at.value >= last.value)
  // What is finished stays finished when another choice adds or takes away a step.
  watch(last, (now, before) => {
    if (at.value >= before || at.value > now) at.value = now
  })
  watch(
    () => pattern.draft?.kind,
    () => (at.value = last.value),
  )

  const drawn = computed(() => {
    const worked = pattern.worked
    if (!worked) return null
    if (shown.value === 'side') return worked.side
    const stage = finished.value ? undefined : worked.stages[at.value]
    if (shown.value === 'temper') {
      const { drawing, parts } = stage ?? worked.front
      return { drawing: { ...drawing, dimensions: [] }, parts }
    }
    return stage ? { drawing: stage.drawing, parts: [] } : worked.front
  })
  /** Dimensions that can be grabbed, and what each is called. */
  const handles = computed(() =>
    shown.value === 'front' && finished.value
      ? Object.fromEntries((kind.value?.parameters ?? []).map((one) => [one.name, one.label]))
      : undefined,
  )

  /** The segments that are lit: what is pointed at on the drawing or the strip, or what the step forms. */
  const pointed = ref<number[] | null>(null)
  const lit = computed(
    () => pointed.value ?? (finished.value ? [] : (form.value?.steps[at.value]?.segments ?? [])),
  )
  function pointMark(mark: Mark | null) {
    if (!mark) return (pointed.value = null)
    const inside = form.value?.segments.flatMap((segment, i) =>
      segment.from_mm >= mark.at_mm - 1e-6 && segment.to_mm <= mark.to_mm + 1e-6 ? [i] : [],
    )
    return (pointed.value = inside ?? [])
  }
  const pointSegment = (segment: number | null) => (pointed.value = segment === null ? null : [segment])

  return { views, shown, at, last, finished, drawn, handles, lit, pointMark, pointSegment }
}
