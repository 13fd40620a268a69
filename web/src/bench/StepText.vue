<script setup lang="ts">
import WordSelect from '../shared/WordSelect.vue'
import { computed } from 'vue'
import type { LedBatch } from '../api/client'
import { t } from '../text'
import CautionNote from './CautionNote.vue'
import TurnCounter from './TurnCounter.vue'
import type { StepInHand } from './inHand'

/** What is to be done at a step: its number to read from a metre away, the instruction, the caution. */
const { step, lots } = defineProps<{
  step: StepInHand
  lots: LedBatch['lots']
}>()
const emit = defineEmits<{ read: [] }>()
const { task, left, turns, turned, coil, lot } = step
/** What the wire is cut from. */
const from = computed(() => [
  { word: null, label: t('lead-view-wire-not-in-stock') },
  ...lots.map(({ id, label }) => ({ word: id, label })),
])
</script>

<template>
  <section v-if="task" class="say">
    <h2 class="what">{{ task.step.named }}</h2>
    <p v-if="task.number" class="reads" data-test="reads">
      {{ task.number }}
      <span class="of">{{ [task.number_of, coil].filter(Boolean).join(', ') }}</span>
    </p>
    <p v-else-if="task.number_of" class="reads small">{{ task.number_of }}</p>
    <p class="text serif" data-test="instruction">{{ task.step.text }}</p>
    <p v-if="task.step.hint" :class="task.step.misfit ? 'watch' : 'quiet'">{{ task.step.hint }}</p>
    <label v-if="task.wasted_mm !== undefined" class="from">
      {{ t('lead-view-wire-from') }}<WordSelect v-model="lot" :choices="from" data-test="lot" />
    </label>
    <TurnCounter
      v-if="turns !== null && left > 0"
      :turned="turned"
      :wanted="turns"
      :says="task.number"
      @turned="step.countTurns"
    />
    <CautionNote :caution="task.step.caution" @read="emit('read')" />
  </section>
</template>

<style scoped>
.what::first-letter {
  text-transform: uppercase;
}

.what {
  margin: 0 0 4px;
  font-size: 1.25rem;
  font-weight: 700;
}

.from {
  display: block;
  margin: 4px 0 8px;
}
</style>
