<script setup lang="ts">
import { t } from '../../text'
import SaveButton from '../../shared/SaveButton.vue'
import { computed } from 'vue'
import type { Need, Wire } from '../../api/client'
import { useAmounts } from '../../shared/amounts'

/** What is missing for what is picked and for what should always be there, in whole packs. */
const props = defineProps<{ needs: Need[] | undefined }>()
const emit = defineEmits<{ keep: [wire: Wire] }>()
const { metres, money } = useAmounts()
const missing = computed(() => (props.needs ?? []).filter((need) => need.missing_mm > 0))
</script>

<template>
  <section data-test="buying-list">
    <h2>{{ t('buying-list-buy') }}</h2>
    <p v-if="!missing.length" class="quiet">{{ t('buying-list-nothing-short') }}</p>
    <ul v-else>
      <li v-for="need in missing" :key="need.label">
        <p class="wire">
          {{ need.label }}
          <b v-if="need.packs_n" class="num">{{ need.packs_n }} × {{ metres(need.pack_mm ?? 0) }}</b>
          <b v-else class="num watch">{{ metres(need.missing_mm) }}</b>
        </p>
        <p class="quiet">
          {{ need.text }} {{ need.cost ? `${money(need.cost)}.` : '' }}
          {{ need.source ? t('buying-list-from', { source: need.source }) : '' }}
        </p>
        <v-btn v-if="!need.packs_n" class="say inline" @click="emit('keep', need.wire)">
          {{ t('buying-list-enter-how-sold') }}
        </v-btn>
      </li>
    </ul>
    <SaveButton v-if="missing.length" class="ml-n4 no-print" path="/api/buying-list.csv">{{
      t('buying-list-list-as-csv')
    }}</SaveButton>
  </section>
</template>

<style scoped>
section {
  margin-bottom: 26px;
}

ul {
  list-style: none;
  margin: 0;
  padding: 0;
}

li {
  padding: 7px 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}

p {
  margin: 0;
}

.wire {
  display: flex;
  justify-content: space-between;
  gap: 12px;
}

.wire b {
  white-space: nowrap;
}

.say {
  color: rgb(var(--v-theme-primary));
  min-height: 30px;
}
</style>
