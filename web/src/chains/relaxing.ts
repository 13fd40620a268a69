import { onBeforeUnmount, ref, type Ref } from 'vue'
import { api, data, faultsOf, type Fault, type Relaxed, type Weave } from '../api/client'
import { useNotice } from '../shared/notice'
import { t } from '../text'

/** How often a job is asked whether it is done, ms. */
const LOOK_MS = 200

/** How a weave of one's own lies is worked out as a job; it is followed as long as `open`. */
export function useRelaxing(weave: Ref<Weave>, open: Ref<boolean>) {
  const notice = useNotice()
  const found = ref<Relaxed | null>(null)
  const faults = ref<Fault[]>([])
  const job = ref<number | null>(null)
  const far = ref('')
  let timer: ReturnType<typeof setTimeout> | undefined

  function changed() {
    found.value = null
    faults.value = []
  }

  async function relax() {
    changed()
    try {
      follow(await data(api.POST('/api/chains/relaxing', { body: { weave: weave.value } })))
    } catch (thrown) {
      faults.value = faultsOf(thrown)
    }
  }

  type State = Awaited<ReturnType<typeof look>>
  const look = (id: number) => data(api.GET('/api/chains/relaxing/{id}', { params: { path: { id } } }))
  function follow(state: State) {
    job.value = state.working ? state.job : null
    const { tried_n = 0, of_n = 0, smallest_ratio } = state.progress ?? {}
    far.value = t('own-weave-starts', {
      triedn: tried_n,
      ofn: of_n,
      far: smallest_ratio ? t('own-weave-so-far', { smallestratio: smallest_ratio.toFixed(2) }) : '',
    })
    if (state.working) {
      timer = setTimeout(async () => {
        try {
          if (open.value) follow(await look(state.job))
        } catch (thrown) {
          job.value = null
          notice.fail(thrown)
        }
      }, LOOK_MS)
    } else {
      found.value = state.relaxed ?? null
      faults.value = state.faults
    }
  }
  async function stop() {
    if (job.value)
      await data(api.POST('/api/chains/relaxing/{id}/stop', { params: { path: { id: job.value } } }))
  }
  onBeforeUnmount(() => clearTimeout(timer))

  return { found, faults, job, far, changed, relax, stop }
}
