<script setup lang="ts">
import { t } from '../text'
import HelpLink from '../shared/HelpLink.vue'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, data, type BagRow } from '../api/client'
import PieceSketch from '../drawing/PieceSketch.vue'
import { useFilterInAddress } from '../shared/address'
import MoreMenu from '../shared/MoreMenu.vue'
import { useNotice } from '../shared/notice'
import { vOneStop } from '../shared/oneStop'
import { thumbnailsOf } from '../shared/thumbnails'
import AddBag from './AddBag.vue'
import BagDialog from './BagDialog.vue'
import CountDialog from './CountDialog.vue'
import LabelsDialog from './LabelsDialog.vue'
import MatchDialog from './MatchDialog.vue'
import { dayOf } from '../shared/dates'
import { countIn } from '../shared/piece'

/** What lies in bags, where, and how many; taken out, put back, counted, labelled, made again. */
const router = useRouter()
const route = useRoute()
const notice = useNotice()
const queries = useQueryClient()
const refresh = () => queries.invalidateQueries()
const find = useFilterInAddress('find')
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
  'taken-out': { title: t('shelf-view-take-out'), does: t('shelf-view-take-out-2') },
  'put-back': { title: t('shelf-view-put-back-into'), does: t('shelf-view-put-back') },
  'counted-again': { title: t('shelf-view-count-again'), does: t('shelf-view-save-count') },
  again: { title: t('shelf-view-make-again'), does: t('shelf-view-start-batch') },
}
const asking = ref<{ row: BagRow; what: keyof typeof asks } | null>(null)
async function counted(n: number) {
  const { row, what } = asking.value!
  const path = { id: row.id }
  if (what === 'again') {
    const body = { pieces_n: n }
    const { entry, undo } = await data(api.POST('/api/bags/{id}/again', { params: { path }, body }))
    notice.did(t('shelf-view-started-as-was-made', { name: entry.name }), undo, refresh)
    await router.push(`/bench/${entry.id}`)
    return
  }
  const body = { revision: row.revision, counting: what, n }
  const { entry, undo } = await data(api.POST('/api/bags/{id}/count', { params: { path }, body }))
  notice.did(t('shelf-view-in-bag', { name: entry.name, record: entry.record.n }), undo, refresh)
  await refresh()
}

async function putAway(row: BagRow) {
  try {
    const body = { revision: row.revision, archived: true }
    const { undo } = await data(
      api.POST('/api/bags/{id}/archive', { params: { path: { id: row.id } }, body }),
    )
    notice.did(t('shelf-view-removed-from-stock', { name: row.name }), undo, refresh)
  } catch (thrown) {
    notice.fail(thrown)
  }
  await refresh()
}

// Who asked for it finds it open.
const matching = ref(!!route.query.match)
const changing = ref<BagRow | null>(null)
const ticked = ref<number[]>([])
const labelling = ref<number[] | null>(null)
const acts = (row: BagRow) => [
  {
    label: t('shelf-view-put-back'),
    test: 'put-back',
    act: () => (asking.value = { row, what: 'put-back' }),
  },
  {
    label: t('shelf-view-count-again-2'),
    test: 'count-again',
    act: () => (asking.value = { row, what: 'counted-again' }),
  },
  { label: t('shelf-view-edit-name-place-note'), test: 'change-bag', act: () => (changing.value = row) },
  { label: t('shelf-view-labels'), test: 'labels', act: () => (labelling.value = [row.id]) },
  { label: t('shelf-view-remove-from-stock'), test: 'off-the-shelf', act: () => void putAway(row) },
]

const all = computed(() => bags.value?.entries ?? [])
</script>

<template>
  <AddBag @added="refresh" @match="matching = true" />
  <div v-if="all.length || find" class="bar no-print">
    <v-text-field
      v-model="find"
      class="find"
      :label="t('shelf-view-find-bag')"
      type="search"
      autocomplete="off"
      hide-details
      data-test="find-bag"
    />
    <v-btn :disabled="!ticked.length" data-test="labels-of-ticked" @click="labelling = ticked">
      {{ t('shelf-view-labels-2', { bags: ticked.length || t('shelf-view-selected-bags') }) }}
    </v-btn>
  </div>
  <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
  <p v-else-if="!bags" class="quiet" role="status">{{ t('shelf-view-loading-finished-stock') }}</p>
  <p v-else-if="!all.length" class="empty" data-test="no-bags">
    <template v-if="find">{{ t('shelf-view-no-bag-with-that-name') }}</template>
    <template v-else>{{ t('shelf-view-no-bags-yet-batch-fills') }} <HelpLink about="orders" /></template>
  </p>
  <ul v-else v-one-stop class="pieces bags" data-test="bags">
    <li v-for="row in all" :key="row.id">
      <v-checkbox-btn
        v-model="ticked"
        class="tick"
        :value="row.id"
        :aria-label="t('shelf-view-select', { name: row.name })"
      />
      <span class="face">
        <PieceSketch v-if="sketch(row)" :drawing="sketch(row)!.drawing" :colour="sketch(row)!.colour" lying />
      </span>
      <div>
        <router-link class="name serif" :to="`/bag/${row.id}`" data-test="open-bag">{{
          row.name
        }}</router-link>
        <p class="told">{{ row.description }}</p>
        <p class="told quiet">
          <template v-if="row.record.place">{{ row.record.place }}, </template
          >{{ t('shelf-view-filled', { filledon: dayOf(row.record.filled_on) })
          }}<template v-if="row.record.note">. {{ row.record.note }}</template>
        </p>
      </div>
      <span class="num count" data-test="in-bag">{{ row.counted }}</span>
      <span class="acts">
        <v-btn :disabled="!row.record.n" data-test="take-out" @click="asking = { row, what: 'taken-out' }">{{
          t('shelf-view-take-out-2')
        }}</v-btn>
        <v-btn data-test="make-again" @click="asking = { row, what: 'again' }">{{
          t('shelf-view-make-again-2')
        }}</v-btn>
      </span>
      <MoreMenu :of="row.name" :acts="acts(row)" />
    </li>
  </ul>
  <CountDialog
    :open="!!asking"
    :title="asking ? `${asks[asking.what].title} ${asking.row.name}` : ''"
    :hint="asking ? t('shelf-view-there-in', { counted: asking.row.counted }) : ''"
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
