<script setup lang="ts">
import { t } from '../text'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { api, data, type Plier, type PlierEntry } from '../api/client'
import { useDesks } from '../patterns/desks'
import { useAmounts } from '../shared/amounts'
import { useNotice } from '../shared/notice'
import PlierDialog from './PlierDialog.vue'
import RowActs from './RowActs.vue'
import { vOneStop } from '../shared/oneStop'

const queries = useQueryClient()
const notice = useNotice()
const { acrossUnit, acrossNumber } = useAmounts()
const editing = ref<PlierEntry | 'new' | null>(null)

const { data: own } = useQuery({
  queryKey: ['pliers'],
  queryFn: () => data(api.GET('/api/pliers', { params: { query: { most: 200 } } })),
})
const refreshDesks = useDesks()
async function refresh() {
  await queries.invalidateQueries({ queryKey: ['pliers'] })
  await refreshDesks()
}

async function remove({ id, revision, name }: PlierEntry) {
  try {
    const body = { revision, archived: true }
    const written = await data(api.POST('/api/pliers/{id}/archive', { params: { path: { id } }, body }))
    await refresh()
    notice.did(t('plier-list-removed', { name }), written.undo, refresh)
  } catch (thrown) {
    notice.fail(thrown)
    await refresh()
  }
}

/** What is known of the jaws, in a few words. */
function jawsOf({ tip_mm, base_mm, length_mm, measured, diameters_mm }: Plier): string {
  const n = (mm: number | null | undefined) => Number(acrossNumber(mm ?? 0))
  const unit = acrossUnit.value
  if (diameters_mm?.length) return `Ø ${diameters_mm.map(n).join(', ')} ${unit}`
  const [first, second] = measured ?? []
  const long = length_mm ? t('plier-list-long', { lengthmm: n(length_mm), unit }) : ''
  if (first && second)
    return t('plier-list-at-at', {
      diametermm: n(first.diameter_mm),
      atmm: n(first.at_mm),
      unit,
      diametermm2: n(second.diameter_mm),
      atmm2: n(second.at_mm),
      long,
    })
  return t('plier-list-to', { tipmm: n(tip_mm), basemm: n(base_mm), unit, long })
}
</script>

<template>
  <section class="pliers">
    <h1>{{ t('plier-list-pliers') }}</h1>
    <p class="quiet lead">{{ t('plier-list-what-you-roll-loops-on') }}</p>
    <v-btn variant="flat" color="primary" data-test="add-plier" @click="editing = 'new'">{{
      t('plier-list-add-pliers')
    }}</v-btn>
    <p v-if="own && !own.entries.length" data-test="no-pliers">
      {{ t('plier-list-none-yet-measure-your-round') }}
    </p>
    <v-table v-else-if="own" class="ledger middle" data-test="pliers">
      <thead>
        <tr>
          <th>{{ t('plier-list-pliers') }}</th>
          <th>{{ t('plier-list-jaws') }}</th>
          <th>
            <span class="visually-hidden">{{ t('plier-list-edit-or-remove') }}</span>
          </th>
        </tr>
      </thead>
      <tbody v-one-stop="'tr'">
        <tr v-for="plier in own.entries" :key="plier.id">
          <td>{{ plier.name }}</td>
          <td>{{ jawsOf(plier.record) }}</td>
          <RowActs :of="plier.name" noun="plier" @edit="editing = plier" @remove="remove(plier)" />
        </tr>
      </tbody>
    </v-table>
    <PlierDialog v-model="editing" @kept="refresh" />
  </section>
</template>

<style scoped>
.lead {
  margin: 0 0 12px;
}

.ledger {
  margin-top: 6px;
}

.ledger td {
  padding-block: 3px;
}
</style>
