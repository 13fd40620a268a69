import { computed, ref, type Ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Answer, Piece } from '../api/client'
import { useToDesk } from '../chains/toDesk'
import { useAsked } from '../shared/asked'
import { exportFile } from '../shared/download'
import { useMakeNext } from '../shared/makeNext'
import { useNotice } from '../shared/notice'
import { countIn } from '../shared/piece'

/** Where a view is that needs no piece. */
const pages: Partial<Record<NonNullable<Answer['opens']>, string>> = {
  fix: '/measure/fix',
  match: '/orders/stock?match=lost',
  'which-wire': '/wire/choose',
  tools: '/tools',
  orders: '/orders',
  schedule: '/orders/schedule',
  'finished-stock': '/orders/stock',
  stock: '/wire',
  'cutting-plan': '/wire/cutting-plan',
  bench: '/bench',
  measurements: '/measure',
  springback: '/measure/springback',
  practice: '/measure/practice',
  consistency: '/measure/consistency',
  jaws: '/measure/jaws',
  findings: '/findings',
  saved: '/saved',
  reference: '/reference',
  help: '/help',
}

/** The page an answer without a piece leads to. */
export function pageOf(answer: Answer) {
  const path = answer.opens && pages[answer.opens]
  return path && answer.wire_for ? `${path}?use=${answer.wire_for}` : path
}

/** What can be done with an answer and the piece that was understood; `leave` leaves the line. */
export function useAnswered(answer: () => Answer, piece: Readonly<Ref<Piece | null>>, leave: () => void) {
  const router = useRouter()
  const notice = useNotice()
  const toTheDesk = useToDesk()
  const { asked } = useAsked()
  const { save, toldSaved, startBatch, order } = useMakeNext()

  const busy = ref(false)
  /** However often it is pressed, it is done once. */
  async function attempt(work: () => Promise<unknown>) {
    if (busy.value) return
    busy.value = true
    try {
      await work()
    } catch (thrown) {
      notice.fail(thrown)
    } finally {
      busy.value = false
    }
  }

  /** Goes where the answer is, and leaves the line. */
  function go(path: string) {
    leave()
    return router.push(path)
  }

  function toDesk(of: Piece) {
    leave()
    return attempt(() => toTheDesk(of))
  }

  /** Does what Enter does: opens what was asked for. */
  function use() {
    const page = pageOf(answer())
    if (page && !piece.value) {
      // A use was asked for, not the piece of an earlier line.
      if (answer().wire_for) asked.value = null
      return go(page)
    }
    const found = answer().found?.[0]
    if (!piece.value) return found ? go(found.path) : undefined
    if (answer().opens !== 'which-wire' && answer().opens !== 'cost') return toDesk(piece.value)
    asked.value = {
      key: 'asked',
      name: answer().name,
      purpose: piece.value,
      pieces_n: countIn(piece.value),
    }
    return go(answer().opens === 'cost' ? '/wire/cost' : '/wire/choose')
  }

  /** The piece that was saved from here, and as what: a second press does not save it twice. */
  const saved = ref<{ as: string; id: number } | null>(null)
  const isSaved = computed(() => saved.value?.as === JSON.stringify(piece.value))

  async function saveOnce() {
    if (isSaved.value) return { id: saved.value!.id }
    const as = JSON.stringify(piece.value)
    const { id, undo } = await save(piece.value!, answer().name)
    saved.value = { as, id }
    return { id, undo }
  }

  const keep = () =>
    attempt(async () => {
      const { undo } = await saveOnce()
      if (undo !== undefined) toldSaved(answer().name, undo, () => (saved.value = null))
    })

  /** Saves it and goes on with it. */
  const next = (work: (entry: number, n: number) => Promise<unknown>) =>
    attempt(async () => {
      const of = piece.value!
      const { id } = await saveOnce()
      leave()
      await work(id, countIn(of))
    })

  function print() {
    const of = piece.value!
    const record = { name: answer().name, note: '' }
    const sheet =
      'rings' in of
        ? exportFile('/api/rings/export/cut-sheet.pdf', { ...record, request: of.rings })
        : 'chain' in of
          ? exportFile('/api/chains/export/plan.pdf', { ...record, request: of.chain })
          : exportFile('/api/findings/export/card-a5.pdf', { ...record, request: of.finding })
    return attempt(() => sheet)
  }

  return { use, toDesk, go, next, keep, print, isSaved, startBatch, order }
}
