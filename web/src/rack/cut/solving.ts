import { promiseTimeout } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { api, data, type CutPlan, type CutRequest, type Wanted } from '../../api/client'
import { holdBack } from '../../shared/coming'
import { readFields, useForm, useShownLengths } from '../../shared/form'

/** How often a job is asked whether it is done, ms. */
const LOOK_MS = 120

/** The cut plan of one wire as it is solved: what is lost at ends and cuts, how far it is, what came of it. */
export function useSolving(of: () => Wanted) {
  const losses = ref({ trim_mm: '', kerf_mm: '0', shortest_useful_mm: '' })
  const plan = ref<CutPlan | null>(null)
  const job = ref<number | null>(null)
  const progress = ref<{ tried_n: number; of_n: number; scrap_mm: number } | null>(null)
  const { elsewhere, take, attempt } = useForm()
  /** The lots that were ticked as cut. */
  const cut = ref<string[]>([])

  /** What is lost at ends and cuts, as it was last read. */
  const lost = ref({ trim_mm: 0, kerf_mm: 0, shortest_useful_mm: 0 })
  const request = computed<CutRequest>(() => ({ stock: of().stock, demand: of().demand, ...lost.value }))

  const { show, exact } = useShownLengths()
  watch(
    () => of().label,
    () => {
      const { trim_mm, shortest_useful_mm } = of()
      losses.value = {
        trim_mm: show(trim_mm),
        kerf_mm: show(0),
        shortest_useful_mm: show(shortest_useful_mm),
      }
    },
    { immediate: true },
  )
  // What is ticked stays ticked as long as there is the same to cut from the same: asking again changes nothing.
  watch(
    () => JSON.stringify([of().stock, of().demand]),
    () => holdBack(solve()),
    { immediate: true },
  )

  async function solve() {
    cut.value = []
    progress.value = null
    job.value = null
    await attempt(async () => {
      const asked = { trim_mm: 'length', kerf_mm: 'length', shortest_useful_mm: 'length' } as const
      const read = exact(await readFields(losses.value, asked), losses.value)
      const { trim_mm = 0, kerf_mm = 0, shortest_useful_mm = 0 } = read
      lost.value = { trim_mm, kerf_mm, shortest_useful_mm }
      const state = await data(api.POST('/api/cut-plans/jobs', { body: request.value }))
      job.value = state.job
    })
    if (job.value !== null) await solved(job.value)
  }

  /** Waits for a job; another one that is begun meanwhile takes its place. */
  async function solved(id: number) {
    try {
      while (job.value === id) {
        const state = await data(api.GET('/api/cut-plans/jobs/{id}', { params: { path: { id } } }))
        if (job.value !== id) return
        progress.value = state.progress ?? null
        if (state.plan) {
          plan.value = state.plan
          job.value = null
          return
        }
        await promiseTimeout(LOOK_MS)
      }
    } catch (thrown) {
      take(thrown)
      job.value = null
    }
  }

  async function stop() {
    if (job.value === null) return
    try {
      await data(api.POST('/api/cut-plans/jobs/{id}/stop', { params: { path: { id: job.value } } }))
    } catch (thrown) {
      take(thrown)
    }
  }
  onBeforeUnmount(() => {
    void stop()
    job.value = null
  })

  return { losses, lost, plan, job, progress, cut, elsewhere, attempt, solve, stop }
}
