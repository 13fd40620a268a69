<script setup lang="ts">
import { t } from '../text'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { api, data, type Mandrel, type RodEntry, type StartSet } from '../api/client'
import PaperMenu from '../shared/PaperMenu.vue'
import PaperField from '../shared/PaperField.vue'
import { useFilterInAddress } from '../shared/address'
import { useAmounts } from '../shared/amounts'
import { useNotice } from '../shared/notice'
import { useDesks } from '../patterns/desks'
import BladeList from './BladeList.vue'
import GearList from './GearList.vue'
import HandList from './HandList.vue'
import MethodList from './MethodList.vue'
import PlierList from './PlierList.vue'
import RodDialog from './RodDialog.vue'
import RodShape from './RodShape.vue'
import RowActs from './RowActs.vue'
import { vOneStop } from '../shared/oneStop'
import MenuLine from '../shared/MenuLine.vue'

const queries = useQueryClient()
const notice = useNotice()
const { inches, acrossUnit, acrossNumber } = useAmounts()
const refreshDesks = useDesks()
const find = useFilterInAddress('find')
const finding = refDebounced(find, 140)
const editing = ref<RodEntry | 'new' | null>(null)

const { data: rods, error } = useQuery({
  queryKey: ['rods', finding],
  queryFn: () => data(api.GET('/api/rods', { params: { query: { find: finding.value, most: 500 } } })),
  placeholderData: (before) => before,
})
const { data: sets } = useQuery({
  queryKey: ['start-sets'],
  queryFn: () => data(api.GET('/api/start-sets')),
})

const order = ['round', 'oval', 'square', 'hexagon', 'octagon'] as const
const sorted = computed(() =>
  [...(rods.value?.entries ?? [])].sort(
    (a, b) =>
      order.indexOf(a.record.shape ?? 'round') - order.indexOf(b.record.shape ?? 'round') ||
      a.record.diameter_mm - b.record.diameter_mm,
  ),
)

const headers = computed(
  () =>
    [
      { key: 'shape', title: t('tools-view-shape'), sortable: false, headerProps: { class: 'unseen' } },
      { key: 'name', title: t('tools-view-rod'), value: ({ record }: RodEntry) => nameOf(record) },
      {
        key: 'record.diameter_mm',
        title: t('tools-view-size', { across_unit: acrossUnit.value }),
        align: 'end',
      },
      {
        key: 'other',
        title: other.value,
        align: 'end',
        sortable: false,
        headerProps: { class: 'wide' },
      },
      {
        key: 'record.length_mm',
        title: t('tools-view-length', { across_unit: acrossUnit.value }),
        align: 'end',
        headerProps: { class: 'wide' },
      },
      {
        key: 'acts',
        title: t('tools-view-edit-or-remove'),
        sortable: false,
        headerProps: { class: 'unseen' },
      },
    ] as const,
)

async function refresh() {
  await queries.invalidateQueries({ queryKey: ['rods'] })
  await refreshDesks()
}

async function remove({ id, revision, record }: RodEntry) {
  try {
    const body = { revision, archived: true }
    const written = await data(api.POST('/api/rods/{id}/archive', { params: { path: { id } }, body }))
    await refresh()
    notice.did(t('tools-view-removed', { record: nameOf(record) }), written.undo, refresh)
  } catch (thrown) {
    notice.fail(thrown)
    await refresh()
  }
}

async function takeOver(set: StartSet, shown: string) {
  try {
    const taken = await data(api.POST('/api/start-sets/{set}', { params: { path: { set } } }))
    await refresh()
    if (taken.undo)
      notice.did(t('tools-view-added-rods', { addedn: taken.added_n, shown }), taken.undo, refresh)
    else notice.say(t('tools-view-you-own-all-these-already'))
  } catch (thrown) {
    notice.fail(thrown)
  }
}

const nameOf = (rod: Mandrel) => rod.name ?? t('tools-view-rod-2')
const sized = (mm: number) => (acrossUnit.value === 'mm' ? String(Number(mm.toFixed(3))) : inches(mm))
const sizeOf = ({ shape, short_mm, diameter_mm }: Mandrel) =>
  shape === 'oval' && short_mm ? `${sized(diameter_mm)} × ${sized(short_mm)}` : sized(diameter_mm)
/** The same in the other unit, small beside it. */
const other = computed(() => (acrossUnit.value === 'mm' ? 'in' : 'mm'))
const otherOf = ({ diameter_mm }: Mandrel) =>
  other.value === 'in' ? inches(diameter_mm) : String(Number(diameter_mm.toFixed(3)))
</script>

<template>
  <div class="page tools">
    <section>
      <h1>{{ t('tools-view-rods') }}</h1>
      <p class="quiet lead">
        {{ t('tools-view-what-you-wind-on-plans') }}
      </p>
      <div class="bar">
        <v-btn variant="flat" color="primary" data-test="add-rod" @click="editing = 'new'">{{
          t('tools-view-add-rod')
        }}</v-btn>
        <PaperMenu :says="t('tools-view-add-standard-set')" test="start-sets">
          <MenuLine
            v-for="{ set, label: shown, rods_n } in sets ?? []"
            :key="set"
            :data-set="set"
            @click="takeOver(set, shown)"
          >
            {{ shown }} <span class="quiet">{{ t('tools-view-rods-2', { rodsn: rods_n }) }}</span>
          </MenuLine>
        </PaperMenu>
        <PaperField
          v-model="find"
          class="find"
          type="search"
          :label="t('tools-view-find-rod')"
          data-test="find-rod"
          clearable
        />
      </div>
      <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
      <p v-else-if="!rods" class="quiet" role="status">{{ t('tools-view-loading-rods') }}</p>
      <p v-else-if="!sorted.length" class="empty" data-test="no-rods">
        <template v-if="find">{{ t('tools-view-no-rod-has-in-its', { find }) }}</template>
        <template v-else>{{ t('tools-view-no-rods-yet-add-standard') }}</template>
      </p>
      <v-data-table
        v-else
        v-one-stop="'tbody tr'"
        class="ledger middle"
        :headers="headers"
        :items="sorted"
        data-test="rods"
      >
        <template #item="{ item: rod }">
          <tr>
            <td><RodShape :rod="rod.record" /></td>
            <td>{{ nameOf(rod.record) }}</td>
            <td class="right num">{{ sizeOf(rod.record) }}</td>
            <td class="right quiet wide">{{ otherOf(rod.record) }}</td>
            <td class="right quiet wide">
              {{ rod.record.length_mm ? Number(acrossNumber(rod.record.length_mm, 1)) : '' }}
            </td>
            <RowActs :of="rod.name" noun="rod" @edit="editing = rod" @remove="remove(rod)" />
          </tr>
        </template>
      </v-data-table>
      <RodDialog v-model="editing" @kept="refresh" />
    </section>
    <div class="side">
      <PlierList />
      <BladeList />
      <GearList />
      <HandList />
      <MethodList />
    </div>
  </div>
</template>

<style scoped>
.tools {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 24px 64px;
  align-items: start;
}

.side {
  display: grid;
  gap: 32px;
}

.lead {
  margin: 0 0 12px;
}

.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
}

.find {
  flex: 1 1 150px;
  max-width: 220px;
  margin-left: auto;
}

.ledger td {
  padding-block: 3px;
}

@media (max-width: 900px) {
  .tools {
    grid-template-columns: minmax(0, 1fr);
  }
}

@media (max-width: 520px) {
  .tools :deep(.wide) {
    display: none;
  }
}
</style>
