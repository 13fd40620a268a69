<script setup lang="ts">
import { t } from '../text'

/** Which part of the weave each ring belongs to: rings of one part are alike. */
const rings = defineModel<string[]>({ required: true })
const letter = (ring: number) => String.fromCharCode(65 + ring)
</script>

<template>
  <p class="parts">
    <label v-for="(_, i) in rings" :key="i">
      {{ letter(i) }}
      <input v-model="rings[i]" class="word part" :aria-label="t('own-weave-part-ring', { i: letter(i) })" />
    </label>
  </p>
</template>

<style scoped>
.parts {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
}

.part {
  width: 7em;
}
</style>
