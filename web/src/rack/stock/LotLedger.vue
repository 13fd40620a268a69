<script setup lang="ts">
import { momentOf } from '../../shared/dates'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { api, data, type LedgerLine, type Stocked } from '../../api/client'
import { useAmounts } from '../../shared/amounts'
import { t } from '../../text'
import { piecesOfWork, useMovementKinds } from './ledger'

/** What came to a lot and left it, line by line. */
const { lot } = defineProps<{ lot: Stocked }>()
const emit = defineEmits<{ reverse: [line: LedgerLine] }>()
const { metres } = useAmounts()
const { labelOf } = useMovementKinds()
const id = computed(() => lot.id)
const { data: lines } = useQuery({
  queryKey: ['ledger', id],
  queryFn: () => data(api.GET('/api/lots/{id}/ledger', { params: { path: { id: id.value } } })),
})

/** Whether each line stands by itself, or those of one piece of work together. */
const apart = ref(false)
watch(id, () => (apart.value = false))
const rows = computed(() => {
  const all = lines.value ?? []
  return apart.value
    ? all.map((line) => ({ line, lines: [line], length_mm: line.length_mm }))
    : piecesOfWork(all)
})
</script>

<template>
  <v-table class="ledger" data-test="ledger">
    <thead>
      <tr>
        <th>{{ t('lot-panel-when') }}</th>
        <th>{{ t('lot-panel-what') }}</th>
        <th class="right">{{ t('lot-panel-change') }}</th>
        <th class="right">{{ t('lot-panel-left-2') }}</th>
        <th>
          <span class="visually-hidden">{{ t('lot-panel-reverse') }}</span>
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="{ line, lines: all, length_mm } in rows" :key="line.id" :class="{ struck: line.reversed }">
        <td class="quiet when">{{ momentOf(line.made_at) }}</td>
        <td>
          <template v-if="all.length > 1">{{
            t('lot-panel-times', { n: all.length, kind: labelOf(line.kind) })
          }}</template>
          <template v-else>{{
            line.reverses ? t('lot-panel-reversed-kind', { kind: labelOf(line.kind) }) : labelOf(line.kind)
          }}</template>{{ ' ' }}
          <span class="quiet">{{ line.note }}</span>
        </td>
        <td class="right num">{{ length_mm > 0 ? '+' : '−' }}{{ metres(Math.abs(length_mm)) }}</td>
        <td class="right quiet">{{ metres(line.left_mm) }}</td>
        <td class="right">
          <v-btn
            v-if="all.length > 1"
            size="small"
            variant="text"
            data-test="show-lines"
            @click="apart = true"
          >
            {{ t('lot-panel-show-all') }}
          </v-btn>
          <v-btn
            v-else-if="!line.reversed"
            size="small"
            :aria-label="t('lot-panel-reverse-this', { kind: labelOf(line.kind), note: line.note })"
            data-test="reverse"
            @click="emit('reverse', line)"
          >
            {{ t('lot-panel-reverse') }}
          </v-btn>
        </td>
      </tr>
    </tbody>
  </v-table>
</template>

<style scoped>
.struck td {
  text-decoration: line-through;
  color: rgb(var(--v-theme-quiet));
}

.ledger td {
  padding-block: 5px;
}

@media (max-width: 600px) {
  .when {
    display: none;
  }

  th:first-child {
    display: none;
  }
}
</style>
