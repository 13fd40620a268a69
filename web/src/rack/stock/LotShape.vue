<script setup lang="ts">
import { computed } from 'vue'
import type { Stocked } from '../../api/client'

/** A lot as it stands on the rack: a spool with what is left wound on it, or the wire lying straight. */
const props = defineProps<{ lot: Stocked; longest: number }>()

const round = computed(() => props.lot.record.kind === 'spool')
/** How full a spool is: what is left of what it was bought as. */
const full = computed(() => {
  const whole = props.lot.record.bought_mm ?? props.lot.balance.left_mm
  return whole > 0 ? Math.min(1, props.lot.balance.left_mm / whole) : 0
})
/** What is wound stands out from the core by the root of what is left. */
const depth = computed(() => 3 + 12 * Math.sqrt(full.value))
const turns = computed(() =>
  Array.from({ length: 13 }, (_, i) => `M${10.5 + i * 3.6} ${20 - depth.value}v${2 * depth.value}`).join(''),
)
const length = computed(() => Math.max(3, (62 * props.lot.balance.left_mm) / Math.max(props.longest, 1)))
const thick = computed(() => Math.min(6, Math.max(1.4, props.lot.record.wire.size_mm * 2.2)))
</script>

<template>
  <svg class="lot-shape" width="68" height="40" viewBox="0 0 68 40" aria-hidden="true">
    <g v-if="round">
      <rect class="core" x="8" y="16" width="52" height="8" />
      <path v-if="full > 0" class="turn" :stroke="lot.colour" stroke-width="3" :d="turns" />
      <rect class="flange" x="3" y="2" width="5" height="36" rx="1.5" />
      <rect class="flange" x="60" y="2" width="5" height="36" rx="1.5" />
    </g>
    <g v-else>
      <path class="under" :d="`M3 20H${3 + length}`" :stroke-width="thick + 1.4" />
      <path :d="`M3 20H${3 + length}`" :stroke="lot.colour" :stroke-width="thick" />
    </g>
  </svg>
</template>

<style scoped>
.lot-shape {
  display: block;
}

.core {
  fill: rgb(var(--v-theme-hairline));
}

.flange {
  fill: rgb(var(--v-theme-surface));
  stroke: rgb(var(--v-theme-quiet));
  stroke-width: 1.2;
}

.under {
  stroke: rgb(var(--v-theme-quiet));
}

.turn {
  stroke-linecap: round;
}
</style>
