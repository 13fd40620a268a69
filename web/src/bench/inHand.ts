import { computed, ref, watch, type Ref } from 'vue'
import type { LedBatch, Told } from '../api/client'
import { t } from '../text'
import type { usePresses } from './presses'

type Press = ReturnType<typeof usePresses>

/**
 * The step of a batch that is looked at, counted with what is still on its way to the server, and what can be done at it.
 * `now` is the server's time in milliseconds.
 */
export function useStepInHand(
  led: Readonly<Ref<LedBatch | null>>,
  now: Readonly<Ref<number>>,
  { press, pending }: Pick<Press, 'press' | 'pending'>,
) {
  /** A step that is looked at; the one in hand where none is. */
  const looking = ref<number | null>(null)
  const inHand = computed(() => led.value?.progress.at ?? null)
  // The last piece of a step is the way to the next.
  watch(inHand, () => (looking.value = null))

  const at = computed(() => looking.value ?? inHand.value)
  const task = computed(() => (at.value === null ? null : (led.value?.tasks[at.value] ?? null)))
  const progress = computed(() => (at.value === null ? null : (led.value?.progress.tasks[at.value] ?? null)))
  const waiting = computed(() => pending.value((at.value ?? 0) + 1))

  const done = computed(() => (progress.value?.done_n ?? 0) + waiting.value.done)
  const less = (n = 0) => Math.max(0, n - waiting.value.done - waiting.value.scrapped)
  const left = computed(() => less(progress.value?.left_n))
  const may = computed(() => less(progress.value?.ready_n))
  const all = computed(() => done.value + left.value)
  /** How many were scrapped at this step. */
  const scrapped = computed(() =>
    (led.value?.progress.scrapped ?? [])
      .filter((one) => one.step_n === (at.value ?? -1) + 1)
      .reduce((sum, one) => sum + one.n, waiting.value.scrapped),
  )
  const scrappable = computed(() => !!task.value?.scraps && may.value > 0)

  const once = computed(() => task.value?.counted === 'once')
  /** It goes on by itself: it is started, and taken out when its time is over. */
  const alone = computed(() => (task.value?.step.takes.unattended_min ?? 0) > 0)
  const running = computed(() => !!progress.value?.ready_at)
  /** Milliseconds until what runs by itself is ready. */
  const ready = computed(() => Date.parse(progress.value?.ready_at ?? '') - now.value)
  /** Turns that make the coil in hand, where turns are counted. */
  const turns = computed(() => {
    const { turns_n, turns_more_n } = task.value?.step ?? {}
    return task.value?.counted === 'coil' && turns_n ? turns_n + (turns_more_n ?? 0) : null
  })
  const turned = computed(() => waiting.value.turned ?? progress.value?.turns_done_n ?? 0)

  /** The chain whose rings are put in one by one at this step. */
  const chain = computed(() => {
    const piece = led.value?.entry.record.piece
    return task.value?.counted === 'placing' && piece && 'chain' in piece ? piece.chain : null
  })
  /** Which coil is wound or cut, where there are several. */
  const coil = computed(() =>
    task.value?.counted === 'coil' && all.value > 1 && left.value > 0
      ? t('lead-view-coil', { nth: done.value + 1, all: all.value })
      : '',
  )
  /** What the next press does. */
  const does = computed(() => {
    if (may.value === 0)
      return left.value === 0 ? t('lead-view-all-done') : t('lead-view-waits-for-step-before')
    if (chain.value) return t('lead-view-in')
    if (alone.value) return running.value ? t('lead-view-taken-out') : t('lead-view-start')
    return once.value || all.value === 1 ? t('lead-view-done-press') : t('lead-view-one-more')
  })

  /** The lot that wire is cut from; none where it is not booked. */
  const lot = ref<number | null>(null)
  watch(
    () => led.value?.lots,
    (lots) => (lot.value ??= lots?.[0]?.id ?? null),
  )
  const from = (booked: boolean) => (booked && lot.value ? { lot: lot.value } : {})

  function tell(kind: Told['kind'], more: Partial<Told> = {}) {
    if (at.value !== null) press(at.value + 1, kind, more)
  }
  /** The next press; gives whether it counted a piece. */
  function onward() {
    if (!task.value || may.value === 0) return false
    const starts = alone.value && !running.value
    if (starts) tell('started')
    else tell('done', from(task.value.off_the_spool_mm !== undefined))
    return !starts
  }
  function back() {
    if (done.value > 0) tell('taken-back')
  }
  function look(by: 1 | -1) {
    const to = (at.value ?? led.value?.tasks.length ?? 0) + by
    if (led.value?.tasks[to]) looking.value = to
  }
  function lookAt(step: number) {
    looking.value = step === inHand.value ? null : step
  }
  /** So many rings more are in, or, where a lost place was found again, fewer. */
  function placed(by: number) {
    if (by !== 0)
      tell(by > 0 ? 'done' : 'taken-back', { n: Math.min(Math.abs(by), by > 0 ? may.value : done.value) })
  }
  /** One is scrapped; wire that was not cut off yet leaves its lot with it. */
  function scrap(reason: string) {
    tell('spoiled', { reason, ...from(task.value?.wasted_mm !== undefined) })
  }
  function unscrap() {
    if (scrapped.value > 0) tell('rescued')
  }
  const countTurns = (n: number) => tell('turned', { n })

  return {
    at,
    task,
    done,
    left,
    may,
    all,
    scrapped,
    scrappable,
    once,
    running,
    ready,
    turns,
    turned,
    chain,
    coil,
    does,
    lot,
    waiting,
    onward,
    back,
    look,
    lookAt,
    placed,
    scrap,
    unscrap,
    countTurns,
  }
}

/** The step in hand, as the parts of the view are given it. */
export type StepInHand = ReturnType<typeof useStepInHand>
