<script setup lang="ts">
import { computed, ref } from 'vue'
import type { BatchNow } from '../api/client'

/** Tells hands to rest; what was put off is spoken of again a while later. */
const { now } = defineProps<{ now: BatchNow | null }>()
const AGAIN_MS = 10 * 60_000
const putOff = ref(0)
const due = computed(() => (now && Date.parse(now.now) - putOff.value > AGAIN_MS ? now : null))
</script>

<template>
  <p v-if="due" class="told" role="status" data-test="rest">
    <span
      >You have worked for {{ Math.round(due.at_it_min) }} minutes. Rest your hands for
      {{ Math.round(due.rest_min!) }} minutes. Your place is saved.</span
    >
    <v-btn variant="outlined" data-test="rest-later" @click="putOff = Date.parse(due.now)">Later</v-btn>
  </p>
</template>

<style scoped>
.told {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 18px;
  margin: 0;
  padding: 6px 14px;
  border-left: 4px solid rgb(var(--v-theme-warning));
  font-size: 1.2rem;
}
</style>
