<script setup lang="ts">
import type { LedBatch } from '../api/client'
import { vOneStop } from '../shared/oneStop'

/** The steps of a batch by their numbers: which are done, which is looked at. */
defineProps<{
  led: LedBatch
  at: number | null
}>()
const emit = defineEmits<{ look: [step: number] }>()
</script>

<template>
  <ol v-one-stop class="steps" data-test="steps">
    <li v-for="(one, i) in led.tasks" :key="i">
      <button
        type="button"
        class="plain step"
        :class="{ now: i === at, finished: led.progress.tasks[i]?.left_n === 0 }"
        :aria-current="i === at ? 'step' : undefined"
        :title="one.step.named"
        @click="emit('look', i)"
      >
        <span class="visually-hidden">{{ one.step.named }}, </span>{{ i + 1 }}
      </button>
    </li>
  </ol>
</template>

<style scoped>
.steps {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 0;
  padding: 0;
}

.step {
  min-width: 30px;
  height: 30px;
  border-radius: 15px;
  border: 1.5px solid rgb(var(--v-theme-quiet));
  text-align: center;
  font-weight: 700;
  font-size: 0.9rem;
}

.step.finished {
  border-color: rgb(var(--v-theme-primary));
  color: rgb(var(--v-theme-primary));
}

.step.now {
  background: rgb(var(--v-theme-primary));
  border-color: rgb(var(--v-theme-primary));
  color: rgb(var(--v-theme-on-primary));
}
</style>
