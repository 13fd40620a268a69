import { useQuery } from '@tanstack/vue-query'
import { computed, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, data, type ChooseRequest } from '../../api/client'
import type { ChosenPiece } from '../../shared/asked'
import { useTyped } from '../../shared/form'
import { useSettings } from '../../shared/settings'
import { t } from '../../text'

/** What a wire is wanted for: the words of the question, and the question as the server is asked it. */
export function useWish() {
  const settings = useSettings()
  const piece = ref<ChosenPiece | null>(null)
  const worn = ref<ChooseRequest['worn']>(null)
  const bears = ref('50 g')
  const finish = ref<ChooseRequest['finish']>('polished')
  const joined = ref<ChooseRequest['joined']>('not')
  const maker = ref<ChooseRequest['maker']>('confident')
  const most = ref('')
  const hole = ref('')
  const sensitive = ref(false)
  const springs = ref(false)
  const matters = ref<ChooseRequest['matters']>(null)

  /** Conditions that few pieces have: they stand there once asked for, and always where one was set. */
  const wantsMore = ref(false)
  const anySet = computed(
    () =>
      [hole, most].some((text) => text.value.trim()) ||
      sensitive.value ||
      springs.value ||
      finish.value !== 'polished' ||
      joined.value !== 'not' ||
      maker.value !== 'confident',
  )
  const conditions = computed(() => wantsMore.value || anySet.value)

  /** What wire may be for, where no piece is thought of yet: the question that is meant can be changed word by word. */
  const { data: uses } = useQuery({
    queryKey: ['uses', () => settings.settings.unit],
    queryFn: () => data(api.GET('/api/wires/uses')),
    staleTime: Infinity,
  })
  const keyOf = (use: string) => `use ${use}`
  const forUses = computed(() => ({
    label: t('choose-view-uses'),
    pieces: (uses.value ?? []).map(({ word, label, request }): ChosenPiece => ({
      key: keyOf(word),
      name: label,
      purpose: request.purpose,
      pieces_n: 1,
    })),
  }))
  // The use stands in the address: it is opened from there, and what is chosen instead is written there.
  const route = useRoute()
  const router = useRouter()
  watch(
    () => uses.value && route.query.use,
    (use) => {
      const wanted = forUses.value.pieces.find(({ key }) => key === keyOf(String(use)))
      if (wanted && piece.value?.key !== wanted.key) piece.value = wanted
    },
    { immediate: true },
  )
  watch(piece, (now) => {
    const use = uses.value?.find(({ word }) => keyOf(word) === now?.key)?.word
    // Until the uses are known, what stands there may be one.
    if (uses.value && route.query.use !== use) void router.replace({ query: { ...route.query, use } })
  })

  const words = reactive({ worn, bears, finish, joined, maker, hole, sensitive, springs, matters })
  type Words = typeof words
  const usual: Words = { ...words }
  let laid = usual
  // What a use asks for comes and goes with it; a word that was changed since stays as it was changed.
  watch(piece, (now) => {
    const use = uses.value?.find(({ word }) => keyOf(word) === now?.key)
    const next: Words = use
      ? {
          ...usual,
          ...{ worn: null, sensitive: false, springs: false, matters: null },
          ...use.request,
          bears: use.bears,
          hole: use.hole,
        }
      : usual
    const lay = <K extends keyof Words>(key: K) => {
      if (words[key] === laid[key]) words[key] = next[key]
    }
    ;(Object.keys(words) as (keyof Words)[]).forEach((key) => lay(key))
    laid = next
  })

  const { typed, faults: typedFaults } = useTyped(
    () => ({ bears_n: bears.value, most_each: most.value, hole_mm: hole.value }),
    {
      bears_n: 'newtons',
      hole_mm: 'length',
      most_each: 'money',
    },
  )
  const request = computed<ChooseRequest | null>(() =>
    piece.value && typed.value
      ? {
          purpose: piece.value.purpose,
          worn: worn.value,
          bears_n: typed.value.bears_n ?? 0,
          finish: finish.value,
          joined: joined.value,
          maker: maker.value,
          most_each: typed.value.most_each,
          hole_mm: typed.value.hole_mm,
          sensitive: sensitive.value,
          springs: springs.value,
          matters: matters.value,
        }
      : null,
  )

  return reactive({
    piece,
    worn,
    bears,
    finish,
    joined,
    maker,
    most,
    hole,
    sensitive,
    springs,
    matters,
    wantsMore,
    anySet,
    conditions,
    forUses,
    request,
    faults: typedFaults,
  })
}

export type Wish = ReturnType<typeof useWish>
