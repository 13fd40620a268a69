import { computed } from 'vue'
import type { LedgerLine } from '../../api/client'
import { useWords } from '../../shared/words'

/** What comes to a lot and leaves it, as the server calls it. */
export function useMovementKinds() {
  const words = useWords()
  const kinds = computed(() => words.value?.movement_kinds ?? [])
  const labelOf = (word: string) => kinds.value.find((one) => one.word === word)?.label ?? word
  return { kinds, labelOf }
}

/** Lines of the ledger that are one piece of work: so many cuts of one batch. */
export interface Booked {
  /** The newest of them, which says what is left. */
  line: LedgerLine
  lines: LedgerLine[]
  length_mm: number
}

/** From so many lines of a kind on they are shown as one. */
const MANY = 3

/** One after another without a reversal between, and noted alike. */
const goesOn = (run: LedgerLine[], line: LedgerLine) =>
  !line.reversed && !line.reverses && !run[0]!.reversed && !run[0]!.reverses && line.note === run[0]!.note

/** The lines of a ledger, newest first, with those of one piece of work put together kind by kind. */
export function piecesOfWork(lines: LedgerLine[]): Booked[] {
  const runs: LedgerLine[][] = []
  for (const line of lines) {
    const run = runs.at(-1)
    if (run && goesOn(run, line)) run.push(line)
    else runs.push([line])
  }
  return runs.flatMap((run) => {
    const kinds = [...new Set(run.map((line) => line.kind))]
    const each = kinds.map((kind) => run.filter((line) => line.kind === kind))
    const alone = each.some((lines) => lines.length < MANY)
    return (alone ? run.map((line) => [line]) : each).map((lines) => ({
      line: lines[0]!,
      lines,
      length_mm: lines.reduce((sum, line) => sum + line.length_mm, 0),
    }))
  })
}
