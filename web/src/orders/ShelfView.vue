<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { api, data, type BagRow } from '../api/client'
import PieceSketch from '../drawing/PieceSketch.vue'
import PiecePicker from '../rack/PiecePicker.vue'
import type { ChosenPiece } from '../shared/asked'
import MoreMenu from '../shared/MoreMenu.vue'
import { useNotice } from '../shared/notice'
import { vOneStop } from '../shared/oneStop'
import { thumbnailsOf } from '../shared/thumbnails'
import BagDialog from './BagDialog.vue'
import CountDialog from './CountDialog.vue'
import LabelsDialog from './LabelsDialog.vue'
import MatchDialog from './MatchDialog.vue'
import { dayOf } from './words'
import { countOf } from '../shared/typing'
import { countIn } from '../shared/piece'

/** What lies in bags, where, and how many; taken out, put back, counted, labelled, made again. */
const router = useRouter()
const notice = useNotice()
const queries = useQueryClient()
const refresh = () => queries.invalidateQueries()
const find = ref('')
const finding = refDebounced(find, 150)

const { data: bags, error } = useQuery({
  queryKey: ['bags', finding],
  queryFn: () => data(api.GET('/api/bags', { params: { query: { find: finding.value, most: 500 } } })),
  placeholderData: (before) => before,
  staleTime: 0,
})
const { data: drawn } = useQuery({
  queryKey: ['thumbnails', 'bags', bags],
  queryFn: () => thumbnailsOf((bags.value?.entries ?? []).slice(0, 200).map((row) => row.record.piece)),
  enabled: () => !!bags.value,
  placeholderData: (before) => before,
})
const sketch = (row: BagRow) => drawn.value?.get(JSON.stringify(row.record.piece))

/** What is asked of a bag: how many are taken out, put back, there, or made again. */
const asks = {
  'taken-out': { title: 'Take out of', does: 'Take out' },
  'put-back': { title: 'Put back into', does: 'Put back' },
  'counted-again': { title: 'Count again:', does: 'Save count' },
  again: { title: 'Make again:', does: 'Start batch' },
}
const asking = ref<{ row: BagRow; what: keyof typeof asks } | null>(null)
async function counted(n: number) {
  const { row, what } = asking.value!
  const path = { id: row.id }
  if (what === 'again') {
    const body = { pieces_n: n }
    const { entry, undo } = await data(api.POST('/api/bags/{id}/again', { params: { path }, body }))
    notice.did(`Started: ${entry.name}, as it was made.`, undo, refresh)
    await router.push(`/bench/${entry.id}`)
    return
  }
  const body = { revision: row.revision, counting: what, n }
  const { entry, undo } = await data(api.POST('/api/bags/{id}/count', { params: { path }, body }))
  notice.did(`${entry.name}: ${entry.record.n} in the bag.`, undo, refresh)
  await refresh()
}

async function putAway(row: BagRow) {
  try {
    const body = { revision: row.revision, archived: true }
    const { undo } = await data(
      api.POST('/api/bags/{id}/archive', { params: { path: { id: row.id } }, body }),
    )
    notice.did(`Removed from stock: ${row.name}.`, undo, refresh)
  } catch (thrown) {
    notice.fail(thrown)
  }
  await refresh()
}

const matching = ref(false)
const changing = ref<BagRow | null>(null)
const ticked = ref<number[]>([])
const labelling = ref<number[] | null>(null)
const acts = (row: BagRow) => [
  { label: 'Put back', test: 'put-back', act: () => (asking.value = { row, what: 'put-back' }) },
  { label: 'Count again', test: 'count-again', act: () => (asking.value = { row, what: 'counted-again' }) },
  { label: 'Edit name, place, note', test: 'change-bag', act: () => (changing.value = row) },
  { label: 'Labels', test: 'labels', act: () => (labelling.value = [row.id]) },
  { label: 'Remove from stock', test: 'off-the-shelf', act: () => void putAway(row) },
]

/** A bag that was filled before this program knew of it. */
const piece = shallowRef<ChosenPiece | null>(null)
const count = ref('')
const place = ref('')
const fault = ref('')
async function add() {
  const pieces_n = countOf(count.value)
  fault.value = !piece.value?.entry
    ? 'Choose the saved piece in it.'
    : pieces_n
      ? ''
      : `“${count.value}” is not a number of pieces. Enter 1 to 100,000.`
  if (fault.value) return
  try {
    const body = { entry: piece.value!.entry!, pieces_n: pieces_n!, place: place.value.trim() }
    const { entry, undo } = await data(api.POST('/api/bags', { body }))
    notice.did(`Added to finished stock: ${entry.name}.`, undo, refresh)
    count.value = place.value = ''
    await refresh()
  } catch (thrown) {
    fault.value = thrown instanceof Error ? thrown.message : String(thrown)
  }
}
const all = computed(() => bags.value?.entries ?? [])
</script>

<template>
  <form class="serif sentence" data-test="lay-bag" @submit.prevent="add">
    There are
    <input
      v-model="count"
      class="word short"
      inputmode="numeric"
      placeholder="how many"
      aria-label="How many"
      data-test="bag-count"
    />
    of <PiecePicker v-model="piece" label="a saved piece" kept-only /> in
    <input
      v-model="place"
      class="word short"
      placeholder="which drawer"
      aria-label="Where"
      maxlength="80"
      data-test="bag-place"
    />.
    <v-btn type="submit" variant="flat" color="primary" :disabled="!piece" data-test="add-bag"
      >Add to finished stock</v-btn
    >
    <v-btn variant="text" class="match" data-test="match-lost" @click="matching = true"
      >Match a lost piece</v-btn
    >
    <span v-if="fault" class="stop fault" role="alert">{{ fault }}</span>
  </form>
  <div v-if="all.length || find" class="bar no-print">
    <v-text-field
      v-model="find"
      class="find"
      label="Find a bag"
      type="search"
      autocomplete="off"
      hide-details
      data-test="find-bag"
    />
    <v-btn :disabled="!ticked.length" data-test="labels-of-ticked" @click="labelling = ticked">
      Labels of {{ ticked.length || 'the selected bags' }}
    </v-btn>
  </div>
  <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
  <p v-else-if="!bags" class="quiet" role="status">Loading finished stock…</p>
  <p v-else-if="!all.length" class="empty" data-test="no-bags">
    <template v-if="find">No bag with that name.</template>
    <template v-else
      >No bags yet. A batch fills one when it is done. Add what you already have with the sentence above; it
      covers orders from then on.</template
    >
  </p>
  <ul v-else v-one-stop class="pieces bags" data-test="bags">
    <li v-for="row in all" :key="row.id">
      <label class="tick">
        <input v-model="ticked" type="checkbox" :value="row.id" :aria-label="`Select ${row.name}`" />
      </label>
      <span class="face">
        <PieceSketch v-if="sketch(row)" :drawing="sketch(row)!.drawing" :colour="sketch(row)!.colour" lying />
      </span>
      <div>
        <router-link class="name serif" :to="`/bag/${row.id}`" data-test="open-bag">{{
          row.name
        }}</router-link>
        <p class="told">{{ row.sentence }}</p>
        <p class="told quiet">
          <template v-if="row.record.place">{{ row.record.place }}, </template>filled
          {{ dayOf(row.record.filled_on) }}<template v-if="row.record.note">. {{ row.record.note }}</template>
        </p>
      </div>
      <span class="num count" data-test="in-bag">{{ row.counted }}</span>
      <span class="acts">
        <v-btn :disabled="!row.record.n" data-test="take-out" @click="asking = { row, what: 'taken-out' }"
          >Take out</v-btn
        >
        <v-btn data-test="make-again" @click="asking = { row, what: 'again' }">Make again</v-btn>
      </span>
      <MoreMenu :of="row.name" :acts="acts(row)" />
    </li>
  </ul>
  <CountDialog
    :open="!!asking"
    :title="asking ? `${asks[asking.what].title} ${asking.row.name}` : ''"
    :hint="asking ? `There are ${asking.row.counted} in it.` : ''"
    :start="
      asking
        ? String(
            asking.what === 'again'
              ? countIn(asking.row.record.piece)
              : asking.what === 'counted-again'
                ? asking.row.record.n
                : 1,
          )
        : ''
    "
    :does="asking ? asks[asking.what].does : ''"
    :none="asking?.what === 'counted-again'"
    :work="counted"
    @close="asking = null"
  />
  <MatchDialog v-model="matching" />
  <BagDialog v-model="changing" @kept="refresh" />
  <LabelsDialog v-model="labelling" />
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
  min-width: 5em;
}

.fault {
  display: block;
  font: 1.05rem/1.3 var(--sans);
}

.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 18px;
  margin-bottom: 8px;
}

.find {
  max-width: 320px;
}

.bags > li {
  grid-template-columns: 34px 96px minmax(0, 1fr) auto auto 40px;
  align-items: center;
}

.tick {
  display: grid;
  place-items: center;
  min-height: 34px;
}

.tick input {
  width: 20px;
  height: 20px;
  accent-color: rgb(var(--v-theme-primary));
}

.name {
  font-size: 1.35rem;
  line-height: 1.2;
  text-decoration: none;
}

.told {
  margin: 2px 0 0;
}

.count {
  font-size: 1.5rem;
  white-space: nowrap;
}

.acts {
  display: flex;
  gap: 8px;
}

.empty {
  max-width: 62ch;
}

@media (max-width: 900px) {
  .bags > li {
    grid-template-columns: 34px minmax(0, 1fr) auto 40px;
  }

  .face {
    display: none;
  }

  .acts {
    grid-column: 2 / -1;
    grid-row: 2;
  }
}

@media (max-width: 600px) {
  .bags > li {
    grid-template-columns: 34px minmax(0, 1fr) 40px;
  }

  .count {
    grid-column: 2;
    grid-row: 2;
  }

  .acts {
    grid-row: 3;
  }
}
</style>
