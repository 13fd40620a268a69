<script setup lang="ts">
import { computed } from 'vue'
import type { StartSet } from '../api/client'

/** A set of rods, drawn as what one of them looks like. */
const { set } = defineProps<{ set: StartSet }>()

const kind = computed(() => (set === 'knitting-needles' ? 'needle' : set === 'dowels' ? 'dowel' : 'drill'))
/** Three sizes of it, one under the other. */
const sizes = [5, 8, 11]
const rows = sizes.map((size, i) => ({
  size,
  y: 7 + sizes.slice(0, i).reduce((sum, one) => sum + one + 4, 0),
}))
</script>

<template>
  <svg viewBox="0 0 190 48" aria-hidden="true">
    <g v-for="{ size, y } in rows" :key="size" :transform="`translate(4 ${y})`">
      <template v-if="kind === 'drill'">
        <rect width="78" :height="size" rx="1.5" class="steel" />
        <path class="steel" :d="`M78 0H158L170 ${size / 2}L158 ${size}H78Z`" />
        <path
          class="flute"
          :d="
            [0, 1, 2, 3]
              .map((n) => `M${84 + n * 19} ${size}C${90 + n * 19} ${size} ${92 + n * 19} 0 ${98 + n * 19} 0`)
              .join('')
          "
        />
      </template>
      <template v-else-if="kind === 'needle'">
        <circle :cx="size / 2 + 1" :cy="size / 2" :r="size / 2 + 1.5" class="steel" />
        <path
          class="steel"
          :d="`M${size} 0H160Q172 ${size * 0.2} 178 ${size / 2}Q172 ${size * 0.8} 160 ${size}H${size}Z`"
        />
      </template>
      <template v-else>
        <rect width="176" :height="size" :rx="size / 3" class="wood" />
        <path class="grain" :d="`M12 ${size * 0.4}H120M40 ${size * 0.7}H164`" />
      </template>
    </g>
  </svg>
</template>

<style scoped>
svg {
  width: 100%;
  height: 44px;
}

.steel {
  fill: rgb(var(--v-theme-hairline));
  stroke: rgb(var(--v-theme-quiet));
}

.flute,
.grain {
  fill: none;
  stroke: rgb(var(--v-theme-quiet));
}

.wood {
  fill: #d8bb8e;
  stroke: #a6844f;
}
</style>
