<script setup lang="ts">
import { computed } from 'vue'
import { t } from '../text'
import type { Mandrel } from '../api/client'

const names: Record<NonNullable<Mandrel['shape']>, string> = {
  round: t('rod-dialog-round'),
  oval: t('rod-dialog-oval'),
  square: t('rod-dialog-square'),
  hexagon: t('rod-dialog-hexagon'),
  octagon: t('rod-dialog-octagon'),
}
const props = defineProps<{ rod: Mandrel }>()

/** The rod's own outline, seen on its end; the larger the rod, the larger it is drawn. */
const size = computed(() => Math.min(12, 4.5 + props.rod.diameter_mm * 0.6))
const short = computed(
  () => size.value * ((props.rod.short_mm ?? props.rod.diameter_mm / 1.5) / props.rod.diameter_mm),
)

function corners(n: number) {
  const reach = size.value / Math.cos(Math.PI / n)
  return Array.from({ length: n }, (_, i) => {
    const turn = ((i + 0.5) / n) * 2 * Math.PI - Math.PI / 2
    return `${14 + reach * Math.cos(turn)},${14 + reach * Math.sin(turn)}`
  }).join(' ')
}
</script>

<template>
  <svg width="28" height="28" viewBox="0 0 28 28" role="img" :aria-label="names[rod.shape ?? 'round']">
    <ellipse v-if="rod.shape === 'oval'" cx="14" cy="14" :rx="size" :ry="short" />
    <polygon v-else-if="rod.shape === 'square'" :points="corners(4)" />
    <polygon v-else-if="rod.shape === 'hexagon'" :points="corners(6)" />
    <polygon v-else-if="rod.shape === 'octagon'" :points="corners(8)" />
    <circle v-else cx="14" cy="14" :r="size" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
}

svg > * {
  fill: rgb(var(--v-theme-hairline));
  stroke: rgb(var(--v-theme-quiet));
  stroke-width: 1.2;
  stroke-linejoin: round;
}
</style>
