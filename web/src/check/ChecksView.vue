<script setup lang="ts">
import { t } from '../text'
import HelpLink from '../shared/HelpLink.vue'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, data, faultsOf, type Piece, type PieceCheck } from '../api/client'
import PiecePicker from '../rack/PiecePicker.vue'
import type { ChosenPiece } from '../shared/asked'
import { readFields } from '../shared/form'
import MoreMenu from '../shared/MoreMenu.vue'
import { useNotice } from '../shared/notice'
import { countIn } from '../shared/piece'
import { countOf } from '../shared/typing'

/** What is and was measured; a check is begun by a sentence. */
const router = useRouter()
const notice = useNotice()
const queries = useQueryClient()
const refresh = () => queries.invalidateQueries()

const find = ref('')
const finding = refDebounced(find, 150)
const { data: checks, error } = useQuery({
  queryKey: ['checks', finding],
  queryFn: () => data(api.GET('/api/checks', { params: { query: { find: finding.value, most: 200 } } })),
  placeholderData: (before) => before,
  staleTime: 0,
})

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
    key: t('checks-view-batch', { id: row.id }),
    name: t('checks-view-name-batch', { name: row.name, id: row.id }),
    purpose: row.record.piece,
    pieces_n: row.record.piece ? countIn(row.record.piece) : 1,
  })),
}))
const batchOf = (key: string) => (key.startsWith('batch ') ? Number(key.slice(6)) : null)

const finds = computed(() => (piece.value && 'finding' in piece.value.purpose ? 'finding' : 'wound'))
const ways = computed(() =>
  finds.value === 'finding'
    ? [
        { word: 'piece', says: t('checks-view-finished-pieces') },
        { word: 'trial', says: t('checks-view-trial-piece') },
      ]
    : [
        { word: 'coil', says: t('checks-view-coils-let-go-not-cut') },
        { word: 'piece', says: t('checks-view-finished-rings') },
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
      batch: batchOf(chosen.key),
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

async function putAway(id: number, revision: number, name: string) {
  try {
    const { undo } = await data(
      api.POST('/api/checks/{id}/archive', { params: { path: { id } }, body: { revision, archived: true } }),
    )
    notice.did(t('checks-view-archived-no-longer-counts', { name }), undo, refresh)
  } catch (thrown) {
    notice.fail(thrown)
  }
  await refresh()
}

const kindOf = (check: PieceCheck) =>
  check.drill ? 'practice' : check.trial ? 'trial' : check.of === 'coil' ? 'coil' : 'pieces'
const all = computed(() => checks.value?.entries ?? [])
const when = (text: string) => new Date(text).toLocaleDateString(undefined, { dateStyle: 'medium' })
</script>

<template>
  <form class="serif sentence" data-test="begin-check" @submit.prevent="begin">
    {{ t('checks-view-measure')
    }}<input
      v-model="count"
      class="word short"
      inputmode="numeric"
      :placeholder="t('checks-view-how-many')"
      :aria-label="t('checks-view-how-many-2')"
      data-test="check-count"
    />
    <select v-model="what" class="word" :aria-label="t('checks-view-what-kind')" data-test="check-what">
      <option v-for="way in ways" :key="way.word" :value="way.word">{{ way.says }}</option></select
    >{{ t('checks-view-of')
    }}<PiecePicker v-model="piece" :label="t('checks-view-piece')" :also="onTheBench" />,
    <select v-model="lot" class="word" :aria-label="t('checks-view-from-which-lot')" data-test="check-lot">
      <option value="">{{ t('checks-view-lot-not-known') }}</option>
      <option v-for="one in lots ?? []" :key="one.lot_n" :value="String(one.lot_n)">
        {{ t('checks-view-lot', { lotn: one.lot_n, name: one.name }) }}
      </option>
    </select>
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
    <span v-for="fault in faults" :key="fault" class="stop fault" role="alert">{{ fault }}</span>
    <span v-if="what === 'trial'" class="quiet hint">{{ t('checks-view-left-over-what-you-trimmed') }}</span>
  </form>

  <v-text-field
    v-if="all.length || find"
    v-model="find"
    class="find no-print"
    :label="t('checks-view-find-measurement')"
    type="search"
    autocomplete="off"
    hide-details
    data-test="find-check"
  />
  <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
  <p v-else-if="!checks" class="quiet" role="status">{{ t('checks-view-loading') }}</p>
  <p v-else-if="!all.length" class="empty" data-test="no-checks">
    <template v-if="find">{{ t('checks-view-no-measurement-has-that-name') }}</template>
    <template v-else
      >{{ t('checks-view-nothing-measured-yet-measure-one') }} <HelpLink about="measure"
    /></template>
  </p>
  <ul v-else class="pieces checks" data-test="checks">
    <li v-for="row in all" :key="row.id">
      <div>
        <router-link class="name serif" :to="`/measure/${row.id}`" data-test="open-check">{{
          row.name
        }}</router-link>
        <p class="told">{{ row.description }}</p>
      </div>
      <span class="kind">{{ kindOf(row.record) }}</span>
      <span class="quiet when">{{ when(row.created_at) }}</span>
      <MoreMenu
        :of="row.name"
        :acts="[
          {
            label: t('checks-view-archive'),
            test: 'put-away-check',
            act: () => putAway(row.id, row.revision, row.name),
          },
        ]"
      />
    </li>
  </ul>
</template>

<style scoped>
.sentence {
  font-size: 1.3rem;
  line-height: 2;
  margin: 0 0 10px;
}

.word {
  min-height: 34px;
}

.short {
  min-width: 4.6em;
}

.fault,
.hint {
  display: block;
  font: 1.05rem/1.3 var(--sans);
}

.find {
  max-width: 320px;
  margin-bottom: 8px;
}

.checks > li {
  grid-template-columns: minmax(0, 1fr) auto auto 40px;
  align-items: center;
}

.name {
  font-size: 1.35rem;
  line-height: 1.2;
  text-decoration: none;
}

.told {
  margin: 2px 0 0;
}

.kind {
  font-weight: 700;
}

.when {
  white-space: nowrap;
}

.empty {
  max-width: 62ch;
}

@media (max-width: 600px) {
  .checks > li {
    grid-template-columns: minmax(0, 1fr) 40px;
  }

  .kind,
  .when {
    grid-column: 1;
  }
}
</style>
