<script setup lang="ts">
import type { Stocked } from '../../api/client'
import LotShape from './LotShape.vue'
import { useAmounts } from '../../shared/amounts'

/** A lot on the rack: what it looks like, its tag, what is left. */
defineProps<{ lot: Stocked; longest: number }>()
const emit = defineEmits<{ open: [] }>()
const { metres, grams, money } = useAmounts()

const about = ({ record: { kind, surface, note } }: Stocked) =>
  [kind === 'spool' ? '' : kind, surface === 'bare' ? '' : surface, note].filter(Boolean).join(' · ')
</script>

<template>
  <li class="lot" data-test="lot">
    <LotShape :lot="lot" :longest="longest" />
    <div class="what">
      <button type="button" class="plain name serif" data-test="open-lot" @click="emit('open')">
        {{ lot.name }}
      </button>
      <p class="quiet">{{ about(lot) }}</p>
    </div>
    <div class="left">
      <span class="num">{{ metres(lot.balance.left_mm) }}</span>
      <span class="quiet">{{ grams(lot.balance.left_g) }}</span>
      <span class="quiet">{{ money(lot.balance.value) }}</span>
    </div>
  </li>
</template>

<style scoped>
.lot {
  display: grid;
  grid-template-columns: 68px minmax(0, 1fr) auto;
  gap: 0 18px;
  align-items: center;
  min-height: 54px;
}

.lot p {
  margin: 0;
  line-height: 1.2;
}

.name {
  font-size: 1.2rem;
  color: rgb(var(--v-theme-primary));
}

.name:hover {
  text-decoration: underline;
  text-underline-offset: 4px;
}

.left {
  display: grid;
  grid-template-columns: 84px 74px 112px;
  text-align: right;
  align-items: baseline;
}

.left .num {
  font-size: 1.2rem;
}

@media (max-width: 600px) {
  .lot {
    grid-template-columns: 68px minmax(0, 1fr);
    padding-block: 6px;
  }

  .left {
    grid-column: 2;
    grid-template-columns: auto auto 1fr;
    gap: 12px;
    text-align: left;
  }
}
</style>
