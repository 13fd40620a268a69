import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch, type Ref } from 'vue'
import { api, data, faultsOf, type CheckView, type CheckedPiece } from '../api/client'
import { useNotice } from '../shared/notice'
import { token } from '../shared/token'
import { t } from '../text'

/** A reading as it is sent. */
interface Read {
  typed?: string
  value?: number
  from: 'typed' | 'caliper' | 'simulated'
  sure?: boolean
}

/** What is measured: one dimension of one piece. */
interface At {
  piece_n: number
  key: string
}

/** One measured dimension of a piece. */
export const measuredOf = (piece: CheckedPiece, key: string) => piece.measured.find((one) => one.key === key)

/** The readings of a check as they are taken: what is next, what is doubted, what came of the last. */
export function useReadings(id: Readonly<Ref<number>>, view: Readonly<Ref<CheckView | undefined>>) {
  const queries = useQueryClient()
  const notice = useNotice()
  const path = computed(() => ({ path: { id: id.value } }))
  const sheet = computed(() => view.value?.sheet)

  /** What is measured by the maker's own choice rather than in turn. */
  const chosen = ref<At | null>(null)
  const at = computed(() => chosen.value ?? sheet.value?.next ?? null)
  const dimension = computed(() => sheet.value?.to_measure.find((one) => one.key === at.value?.key))
  /** What came of the last reading. */
  const last = ref<At | null>(null)
  const came = computed(() => {
    const piece = sheet.value?.pieces.find((one) => one.piece_n === last.value?.piece_n)
    const one = piece && last.value ? measuredOf(piece, last.value.key) : undefined
    return piece && one ? { piece, one } : null
  })

  const typed = ref('')
  const faults = ref<string[]>([])
  /** What the caliper showed. */
  const shows = ref('')
  /** A reading that can hardly be: it is kept once the maker says that it is right. */
  const doubt = ref<{ text: string; suggested?: number | null; read: Read } | null>(null)
  const busy = ref(false)
  watch(at, () => (doubt.value = null))
  watch(typed, () => (doubt.value = null))
  watch(id, () => ((chosen.value = null), (last.value = null), (shows.value = '')))

  function take(now: CheckView) {
    queries.setQueryData(['check', id.value], now)
    void queries.invalidateQueries({ queryKey: ['check'] })
    void queries.invalidateQueries({ queryKey: ['learned'] })
    // What plans know of the lot has changed.
    void queries.invalidateQueries({ queryKey: ['lot-learned'] })
  }

  async function keep(read: Read) {
    const where = at.value
    if (!where || busy.value) return
    busy.value = true
    faults.value = []
    try {
      const body = { press: token(), piece_n: where.piece_n, key: where.key, ...read }
      const now = await data(api.POST('/api/checks/{id}/readings', { params: path.value, body }))
      last.value = { piece_n: where.piece_n, key: where.key }
      typed.value = ''
      take(now)
      // One's own choice is done once it has as many readings as one figure takes.
      const piece = now.sheet.pieces.find((one) => one.piece_n === where.piece_n)
      const enough = (piece && measuredOf(piece, where.key)?.readings_n) ?? 0
      if (enough >= (dimension.value?.readings_n ?? 1)) chosen.value = null
      doubt.value = null
    } catch (thrown) {
      const doubted = faultsOf(thrown).find((fault) => fault.field === 'doubt')
      if (doubted) doubt.value = { text: doubted.message, suggested: doubted.suggested, read }
      else faults.value = faultsOf(thrown).map((fault) => fault.message)
    } finally {
      busy.value = false
    }
  }

  async function readCaliper() {
    const where = at.value
    if (!where || busy.value) return
    faults.value = []
    shows.value = ''
    busy.value = true
    let read
    try {
      const query = { check: id.value, piece_n: where.piece_n, key: where.key }
      read = await data(api.GET('/api/caliper', { params: { query } }))
    } catch (thrown) {
      faults.value = faultsOf(thrown).map((fault) => fault.message)
      return
    } finally {
      busy.value = false
    }
    shows.value = `${read.simulated ? t('check-view-simulated-caliper-shows') : t('check-view-caliper-shows')} ${read.text}`
    if (read.steady) await keep({ value: read.mm, from: read.simulated ? 'simulated' : 'caliper' })
    else faults.value = [t('check-view-not-saved-reading-isnt-steady')]
  }

  async function setAside(reading_n: number, aside: boolean) {
    try {
      const body = { reading_n, excluded: aside }
      take(await data(api.POST('/api/checks/{id}/aside', { params: path.value, body })))
      notice.say(aside ? t('check-view-set-aside-no-longer-counts') : t('check-view-counts-again'), () =>
        setAside(reading_n, !aside),
      )
    } catch (thrown) {
      notice.fail(thrown)
    }
  }

  function pick(key: string, piece_n = at.value?.piece_n ?? last.value?.piece_n ?? 1) {
    chosen.value = { piece_n, key }
  }

  return { chosen, at, dimension, came, typed, faults, shows, doubt, busy, keep, readCaliper, setAside, pick }
}

/** The readings of a check, as the parts of its view are given them. */
export type TakenReadings = ReturnType<typeof useReadings>
