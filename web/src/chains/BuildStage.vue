<script setup lang="ts">
import { ref } from 'vue'
import type { PlacingShown } from '../api/client'
import { t } from '../text'
import ChainStage from './ChainStage.vue'

/** The chain as far as it is put together, with the ring that is put in next. */
defineProps<{
  placing: PlacingShown
  /** Which ring that is, from 1. */
  n: number
  colours: string[]
  /** What is drawn belongs to an earlier request. */
  stale: boolean
  /** Goes to the ring whose number was typed; gives what stands in the field then. */
  goToTyped: (text: string) => string
}>()
const emit = defineEmits<{ go: [n: number] }>()
const turn = ref({ yaw: 0.25, pitch: 0.35 })
</script>

<template>
  <ChainStage
    v-model:turn="turn"
    class="drawing"
    :class="{ stale }"
    :rings="placing.rings"
    :colours="colours"
    :says="placing.placing?.text ?? t('chain-view-chain-done')"
    placing
  />
  <p class="steps no-print">
    <v-btn variant="text" :disabled="n <= 1" data-test="ring-back" @click="emit('go', n - 1)">{{
      t('chain-view-back-one')
    }}</v-btn>
    <input
      :value="n"
      class="word at"
      inputmode="numeric"
      :aria-label="t('chain-view-which-ring-add')"
      data-test="ring-n"
      @change="
        ($event.target as HTMLInputElement).value = goToTyped(($event.target as HTMLInputElement).value)
      "
    />{{ t('chain-view-open-rings', { ofn: placing.of_n })
    }}<v-btn variant="text" :disabled="n >= placing.of_n" data-test="ring-on" @click="emit('go', n + 1)">{{
      t('chain-view-next-ring-2')
    }}</v-btn>
    <v-btn
      variant="text"
      :disabled="placing.row_done_n >= placing.of_n"
      @click="emit('go', placing.row_done_n + 1)"
      >{{ t('chain-view-next-row') }}</v-btn
    >
  </p>
</template>

<style scoped>
.steps {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 10px;
  margin: 4px 0 0;
}

.at {
  width: 3.6em;
  text-align: right;
}
</style>
