<script setup lang="ts">
import { t } from '../text'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data, type BladeEntry } from '../api/client'
import { useAmounts } from '../shared/amounts'
import { useNotice } from '../shared/notice'
import { useDesks } from '../patterns/desks'
import { vOneStop } from '../shared/oneStop'

const queries = useQueryClient()
const notice = useNotice()
const { acrossUnit, acrossNumber } = useAmounts()
const refreshDesks = useDesks()
const noting = ref<number | null>(null)

const { data: table } = useQuery({
  queryKey: ['blade-table'],
  queryFn: () => data(api.GET('/api/blade-table')),
})
const { data: own } = useQuery({
  queryKey: ['blades'],
  queryFn: () => data(api.GET('/api/blades', { params: { query: { most: 500 } } })),
})

const rows = computed(() =>
  (table.value ?? []).map((row) => ({
    ...row,
    own: own.value?.entries.find((e) => e.record.blade === row.blade),
  })),
)

async function refresh() {
  await queries.invalidateQueries({ queryKey: ['blades'] })
  await refreshDesks()
}

async function attempt(says: string, work: () => Promise<{ undo: number }>) {
  try {
    const { undo } = await work()
    await refresh()
    notice.did(says, undo, refresh)
  } catch (thrown) {
    notice.fail(thrown)
    await refresh()
  }
}

const add = (blade: BladeEntry['record']['blade']) =>
  attempt(t('blade-list-added-blade', { blade }), () => data(api.POST('/api/blades', { body: { blade } })))

const remove = ({ id, revision, record }: BladeEntry) =>
  attempt(t('blade-list-removed-blade', { blade: record.blade }), () =>
    data(
      api.POST('/api/blades/{id}/archive', { params: { path: { id } }, body: { revision, archived: true } }),
    ),
  )

async function note({ id, revision, record }: BladeEntry, text: string) {
  noting.value = null
  if (text === (record.note ?? '')) return
  await attempt(t('blade-list-changed-note'), () =>
    data(
      api.PUT('/api/blades/{id}', {
        params: { path: { id }, query: { revision } },
        body: { ...record, note: text },
      }),
    ),
  )
}
</script>

<template>
  <section>
    <h1>{{ t('blade-list-saw-blades') }}</h1>
    <p class="quiet lead">{{ t('blade-list-tick-ones-you-own-two') }}</p>
    <v-table class="ledger middle" data-test="blades">
      <thead>
        <tr>
          <th>{{ t('blade-list-blade') }}</th>
          <th class="right">{{ t('blade-list-kerf', { across_unit: acrossUnit }) }}</th>
          <th class="right">{{ t('blade-list-teeth-inch') }}</th>
          <th class="right">{{ t('blade-list-wire-from', { across_unit: acrossUnit }) }}</th>
          <th>{{ t('blade-list-note') }}</th>
        </tr>
      </thead>
      <tbody v-one-stop="'tr'">
        <tr v-for="row in rows" :key="row.blade" :class="{ own: row.own }">
          <td>
            <v-checkbox-btn
              :model-value="!!row.own"
              :label="row.blade"
              :data-blade="row.blade"
              @update:model-value="row.own ? remove(row.own) : add(row.blade)"
            />
          </td>
          <td class="right num">{{ acrossNumber(row.thickness_mm) }}</td>
          <td class="right">{{ row.teeth_per_inch }}</td>
          <td class="right">{{ acrossNumber(row.least_wire_mm) }}</td>
          <td>
            <template v-if="row.own">
              <input
                v-if="noting === row.own.id"
                class="note"
                :value="row.own.record.note"
                maxlength="200"
                :aria-label="t('blade-list-note-on-blade', { blade: row.blade })"
                @keydown.enter="note(row.own, ($event.target as HTMLInputElement).value)"
                @keydown.esc="noting = null"
                @blur="note(row.own, ($event.target as HTMLInputElement).value)"
                @vue:mounted="({ el }: { el: HTMLInputElement }) => el.focus()"
              />
              <v-btn v-else class="quiet add inline" @click="noting = row.own.id">
                {{ row.own.record.note || t('blade-list-add-note') }}
              </v-btn>
            </template>
          </td>
        </tr>
      </tbody>
    </v-table>
  </section>
</template>

<style scoped>
.lead {
  margin: 0 0 12px;
}

.own :deep(.v-label) {
  font-weight: 700;
}

.note {
  width: 100%;
  font: inherit;
  color: inherit;
  background: rgb(var(--v-theme-surface));
  border: 1px solid rgb(var(--v-theme-hairline));
  padding: 2px 6px;
}

.add {
  min-height: 26px;
  text-decoration: underline dotted;
  text-underline-offset: 3px;
}

.ledger td {
  padding-block: 3px;
}
</style>
