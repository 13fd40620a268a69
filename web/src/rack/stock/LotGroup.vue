<script setup lang="ts">
import { useAmounts } from '../../shared/amounts'
import { t } from '../../text'
import LotRow from './LotRow.vue'
import type { LotsOfWire } from './groups'

/** The lots of one wire, how much of it there is, and whether it is short. */
defineProps<{
  group: LotsOfWire
  /** How much of it is missing for what is planned, mm. */
  shortMm: number
}>()
const emit = defineEmits<{ keep: []; open: [lot: number] }>()
const { metres } = useAmounts()
</script>

<template>
  <section>
    <header>
      <h2>{{ group.shown }}</h2>
      <span class="quiet">{{ metres(group.left) }}</span>
      <span v-if="shortMm > 0" class="watch low" data-test="low">
        {{ t('stock-view-low-short', { group: metres(shortMm) }) }}
      </span>
      <v-btn
        class="how no-print inline"
        :aria-label="t('stock-view-when-buy-again', { group: group.shown })"
        data-test="keeping"
        @click="emit('keep')"
      >
        {{ t('stock-view-when-buy-again-2') }}
      </v-btn>
    </header>
    <ul>
      <LotRow
        v-for="lot in group.lots"
        :key="lot.id"
        :lot="lot"
        :longest="group.longest"
        @open="emit('open', lot.id)"
      />
    </ul>
  </section>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 14px;
  padding-top: 16px;
  border-bottom: 1px solid rgb(var(--v-theme-hairline));
}

h2 {
  margin: 0 0 4px;
}

.how {
  margin-left: auto;
  color: rgb(var(--v-theme-primary));
  min-height: 30px;
}

.how:hover {
  text-decoration: underline;
}

.low {
  font-weight: 700;
}

ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
</style>
