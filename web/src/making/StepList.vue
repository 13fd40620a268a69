<script setup lang="ts">
import type { Step } from '../api/client'
import { vOneStop } from '../shared/oneStop'

/** The steps as instructions, with the numbers of this piece. */
defineProps<{ steps: Step[] }>()
const at = defineModel<number>({ required: true })
</script>

<template>
  <section data-test="steps">
    <h2 class="question">Do</h2>
    <ol v-one-stop>
      <li v-for="(step, i) in steps" :key="step.step_n" :class="{ now: at === i }">
        <button
          type="button"
          class="plain step"
          :aria-current="at === i ? 'step' : undefined"
          @click="at = i"
        >
          <span class="number" aria-hidden="true">{{ step.step_n }}</span>
          <span>
            {{ step.text }}
            <span v-if="step.hint && (at === i || step.misfit)" :class="step.misfit ? 'watch' : 'quiet'">{{
              step.hint
            }}</span>
            <span v-if="step.caution && at === i" class="caution">{{ step.caution }}</span>
          </span>
        </button>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.question {
  font-size: 0.98rem;
  font-weight: 500;
  color: rgb(var(--v-theme-quiet));
  margin: 0;
  padding: 6px 0 0;
  border-bottom: 1px solid rgb(var(--v-theme-hairline));
}

ol {
  list-style: none;
  margin: 4px 0;
  padding: 0;
}

.step {
  display: grid;
  grid-template-columns: 26px 1fr;
  gap: 8px;
  width: 100%;
  padding: 3px 0;
  line-height: 1.25;
}

.number {
  width: 22px;
  height: 22px;
  border-radius: 50%;
  border: 1.5px solid rgb(var(--v-theme-on-background));
  font-size: 0.85rem;
  font-weight: 700;
  display: grid;
  place-items: center;
}

.now .number {
  background: rgb(var(--v-theme-primary));
  border-color: rgb(var(--v-theme-primary));
  color: rgb(var(--v-theme-on-primary));
}

.step:hover .number {
  border-color: rgb(var(--v-theme-primary));
}

.caution {
  display: block;
  margin-top: 3px;
  padding-left: 9px;
  border-left: 3px solid rgb(var(--v-theme-warning));
}
</style>
