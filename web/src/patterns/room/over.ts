import { computed, shallowRef } from 'vue'
import { api, data, type PatternKind, type PatternRequest, type PatternSheet } from '../../api/client'
import type { usePattern } from '../pattern'

/** A second piece laid over the one in the room, and what differs between the two. */
export function useOver(pattern: ReturnType<typeof usePattern>, kind: () => PatternKind | undefined) {
  const laid = shallowRef<{ name: string; sheet: PatternSheet } | null>(null)

  async function lay(name: string, request: PatternRequest) {
    laid.value = { name, sheet: await data(api.POST('/api/patterns/sheet', { body: request })) }
  }

  /** What differs, each as here and there. */
  const differences = computed(() => {
    const there = laid.value?.sheet
    const [here, other] = [pattern.worked?.form, there?.result?.form]
    if (!there || !here || !other || !pattern.draft) return []
    const found: string[] = []
    const mm = (value: number) => Number(value.toFixed(2))
    const differ = (label: string, a: number, b: number, unit: string) => {
      if (Math.abs(a - b) > 0.005) found.push(`${label} ${mm(a)}${unit} here, ${mm(b)}${unit} there`)
    }
    if (there.request.kind === pattern.draft.kind) {
      for (const { name, label, unit, default: usual } of kind()?.parameters ?? []) {
        const [a, b] = [pattern.draft.parameters?.[name] ?? usual, there.request.parameters?.[name] ?? usual]
        differ(label, a, b, { mm: ' mm', deg: '°', turns: ' turns', choice: '' }[unit])
      }
    }
    differ('wire', pattern.draft.wire.size_mm, there.request.wire.size_mm, ' mm')
    differ('blank', here.blank_mm, other.blank_mm, ' mm')
    differ('height', here.height_mm, other.height_mm, ' mm')
    differ('width', here.width_mm, other.width_mm, ' mm')
    return found
  })

  /** How far it is moved to lie on the piece: a different finding is laid middle on middle, top on top. */
  const shift = computed(() => {
    const [here, there] = [pattern.worked, laid.value?.sheet.result]
    const frames = [here, there].map((worked) => worked?.stages.at(-1)?.frame)
    const [a, b] = frames
    if (!a || !b || laid.value?.sheet.request.kind === pattern.draft?.kind) return { x_mm: 0, y_mm: 0 }
    return { x_mm: a.left_mm + a.width_mm / 2 - b.left_mm - b.width_mm / 2, y_mm: a.top_mm - b.top_mm }
  })

  return { laid, lay, differences, shift }
}
