<script setup lang="ts">
import { t } from '../text'
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
    <span>{{
      t('rest-prompt-you-have-worked-for-minutes', {
        atitmin: Math.round(due.at_it_min),
        restmin: Math.round(due.rest_min!),
      })
    }}</span>
    <v-btn variant="outlined" data-test="rest-later" @click="putOff = Date.parse(due.now)">{{
      t('rest-prompt-later')
    }}</v-btn>
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
