import { useQuery } from '@tanstack/vue-query'
import { computed, reactive, ref, watch } from 'vue'
import { api, data, type ChooseRequest } from '../../api/client'
import type { ChosenPiece } from '../../shared/asked'
import { useTyped } from '../../shared/form'
import { t } from '../../text'

/** What a wire is wanted for: the words of the question, and the question as the server is asked it. */
export function useWish() {
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
    queryKey: ['uses'],
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
  watch(piece, (now, before) => {
    const [use, left] = [now, before].map((one) => uses.value?.find(({ word }) => keyOf(word) === one?.key))
    if (!use && !left) return
    // What a use asked for goes with it.
    hole.value = use?.hole ?? ''
    sensitive.value = use?.request.sensitive ?? false
    springs.value = use?.request.springs ?? false
    matters.value = use?.request.matters ?? null
    if (!use) return
    bears.value = use.bears
    worn.value = use.request.worn ?? null
    joined.value = use.request.joined
    maker.value = use.request.maker
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
