<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, data, faultsOf, type Piece, type PieceCheck } from '../api/client'
import PiecePicker from '../rack/PiecePicker.vue'
import WordSelect from '../shared/WordSelect.vue'
import type { ChosenPiece } from '../shared/asked'
import { readFields } from '../shared/form'
import { useNotice } from '../shared/notice'
import { countIn } from '../shared/piece'
import { countOf } from '../shared/typing'
import { t } from '../text'

/** A check is begun by a sentence: how many of which piece, off which lot. */
const router = useRouter()
const notice = useNotice()
const queries = useQueryClient()
const refresh = () => queries.invalidateQueries()

const piece = shallowRef<ChosenPiece | null>(null)
const lot = ref('')
const count = ref('')
const what = ref<'coil' | 'piece' | 'trial'>('piece')
const blank = ref('')
const over = ref('')
const faults = ref<string[]>([])

/** What is being made, or was just now. */
const { data: batches } = useQuery({
  queryKey: ['batches'],
  queryFn: () => data(api.GET('/api/batches')),
  staleTime: 0,
})
const onTheBench = computed(() => ({
  label: t('checks-view-on-bench'),
  pieces: (batches.value ?? []).map((row): ChosenPiece => ({
    key: `batch-${row.id}`,
    batch: row.id,
    name: t('checks-view-name-batch', { name: row.name, id: row.id }),
    purpose: row.record.piece,
    pieces_n: row.record.piece ? countIn(row.record.piece) : 1,
  })),
}))

/** Rings and chains are wound, and can be measured as coils; what is not chosen yet is taken for a finding. */
const finds = computed(() => (!piece.value || 'finding' in piece.value.purpose ? 'finding' : 'wound'))
const ways = computed<{ word: 'coil' | 'piece' | 'trial'; label: string }[]>(() =>
  finds.value === 'finding'
    ? [
        { word: 'piece', label: t('checks-view-finished-pieces') },
        { word: 'trial', label: t('checks-view-trial-piece') },
      ]
    : [
        { word: 'coil', label: t('checks-view-coils-let-go-not-cut') },
        { word: 'piece', label: t('checks-view-finished-rings') },
      ],
)
/** A count that was typed stays as it is typed, whatever piece is chosen. */
let counted = ''
watch(piece, (now) => {
  what.value = now && !('finding' in now.purpose) ? 'coil' : 'piece'
  const typed = count.value.trim() && count.value !== counted
  if (!typed)
    count.value = counted = now ? String(what.value === 'coil' ? 1 : Math.min(countIn(now.purpose), 20)) : ''
  lot.value = ''
})
watch(what, (now) => now !== 'piece' && (count.value = counted = '1'))

const { data: lots } = useQuery({
  queryKey: ['learned', 'for', piece],
  queryFn: () => data(api.POST('/api/learned/for', { body: piece.value!.purpose })),
  enabled: () => !!piece.value,
  staleTime: 0,
})

const fromLots = computed(() => [
  { word: '', label: t('checks-view-lot-not-known') },
  ...(lots.value ?? []).map(({ lot_n, name }) => ({
    word: String(lot_n),
    label: t('checks-view-lot', { lotn: lot_n, name }),
  })),
])

/** The piece with the lot its wire is really off. */
function offLot(of: Piece, lot_n: number | null): Piece {
  const wireOff = <W extends object>(wire: W): W =>
    lot_n === null ? wire : { ...wire, lot: { lot_n, flow: 1, spread: 1 } }
  if ('rings' in of) return { rings: { ...of.rings, wire: wireOff(of.rings.wire) } }
  if ('finding' in of) return { finding: { ...of.finding, wire: wireOff(of.finding.wire) } }
  const { ring } = of.chain
  return { chain: { ...of.chain, ring: { ...ring, wire: wireOff(ring.wire) } } }
}

async function begin() {
  const chosen = piece.value
  const pieces_n = countOf(count.value)
  faults.value = !chosen
    ? [t('checks-view-choose-piece-measure')]
    : pieces_n
      ? []
      : [t('checks-view-not-number-pieces-enter-1', { count: count.value })]
  if (!chosen || !pieces_n) return
  try {
    const trial =
      what.value === 'trial'
        ? await readFields(
            { blank_mm: blank.value, over_mm: over.value },
            { blank_mm: ['length', 'needed'], over_mm: 'over' },
          )
        : null
    const body: PieceCheck = {
      name: what.value === 'trial' ? t('checks-view-trial', { name: chosen.name }) : chosen.name,
      piece: offLot(chosen.purpose, lot.value ? Number(lot.value) : null),
      of: what.value === 'coil' ? 'coil' : 'piece',
      pieces_n,
      batch: chosen.batch ?? null,
      pattern: finds.value === 'finding' ? (chosen.entry ?? null) : null,
      trial: trial && { blank_mm: trial.blank_mm, over_mm: trial.over_mm ?? 0 },
    }
    const { entry, undo } = await data(api.POST('/api/checks', { body }))
    notice.did(t('checks-view-started', { name: entry.name }), undo, refresh)
    await router.push(`/measure/${entry.id}`)
  } catch (thrown) {
    faults.value = faultsOf(thrown).map((fault) => fault.message)
  }
}
</script>

<template>
  <form class="typed-sentence" data-test="begin-check" @submit.prevent="begin">
    {{ t('checks-view-measure')
    }}<input
      v-model="count"
      class="word short"
      inputmode="numeric"
      :placeholder="t('checks-view-how-many')"
      :aria-label="t('checks-view-how-many-2')"
      data-test="check-count"
    />{{ ' ' }}
    <WordSelect
      v-model="what"
      :choices="ways"
      :aria-label="t('checks-view-what-kind')"
      data-test="check-what"
    />{{ t('checks-view-of')
    }}<PiecePicker v-model="piece" :label="t('checks-view-piece')" :also="onTheBench" />,
    <WordSelect
      v-model="lot"
      :choices="fromLots"
      :aria-label="t('checks-view-from-which-lot')"
      data-test="check-lot"
    />
    <template v-if="what === 'trial'">
      {{ t('checks-view-cut')
      }}<input
        v-model="blank"
        class="word short"
        :placeholder="t('checks-view-how-long')"
        :aria-label="t('checks-view-blank-as-cut-flush-flush')"
        data-test="trial-blank"
      />{{ t('checks-view-with')
      }}<input
        v-model="over"
        class="word short"
        :placeholder="t('checks-view-nothing')"
        :aria-label="t('checks-view-wire-left-over-with-minus')"
        data-test="trial-over"
      />{{ t('checks-view-over') }}</template
    >.
    <v-btn type="submit" variant="flat" color="primary" :disabled="!piece" data-test="start-check">{{
      t('checks-view-measure-2')
    }}</v-btn>
    <span v-for="fault in faults" :key="fault" class="stop under" role="alert">{{ fault }}</span>
    <span v-if="what === 'trial'" class="quiet under">{{ t('checks-view-left-over-what-you-trimmed') }}</span>
  </form>
</template>
