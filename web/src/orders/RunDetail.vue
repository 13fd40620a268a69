<script setup lang="ts">
import type { BatchRun, SessionStep } from '../api/client'
import { minutesOf } from '../bench/clock'
import MoreMenu from '../shared/MoreMenu.vue'
import { t } from '../text'
import { linkOf } from './words'

/** One batch's work in a session: why it stands there, and its steps, each of which can be moved. */
const { run } = defineProps<{
  run: BatchRun
  clock: (moment: string) => string
}>()
/** A step is to be held back, or split. */
const emit = defineEmits<{ hold: [step: SessionStep, part: boolean] }>()

const acts = (step: SessionStep) => [
  {
    label: t('schedule-view-not-before-another-session'),
    test: 'not-before',
    act: () => emit('hold', step, false),
  },
  ...(step.of_n > 1
    ? [{ label: t('schedule-view-split'), test: 'part-it', act: () => emit('hold', step, true) }]
    : []),
]
</script>

<template>
  <section class="detail" data-test="run-detail">
    <h3 class="serif">
      <router-link :to="linkOf(run)">{{ run.name }}</router-link>: {{ run.counted }}, {{ run.steps_text }}
      <span class="quiet">{{
        t('schedule-view-about', { from: clock(run.from), handsmin: minutesOf(run.hands_min) })
      }}</span>
    </h3>
    <p class="quiet">{{ run.reason }}</p>
    <ol class="steps">
      <li v-for="step in run.steps" :key="step.step_n">
        <span class="num">{{ clock(step.from) }}</span>
        <span
          >{{ step.n
          }}<template v-if="step.n < step.of_n"> {{ t('schedule-view-of', { ofn: step.of_n }) }}</template> ×
          {{ step.named }}</span
        >
        <MoreMenu :of="`${step.named}, ${run.name}`" :acts="acts(step)" />
      </li>
    </ol>
  </section>
</template>

<style scoped>
.detail {
  border-left: 3px solid rgb(var(--v-theme-primary));
  padding: 2px 0 2px 14px;
  margin: 8px 0;
}

h3 {
  font-size: 1.25rem;
  margin: 0;
}

h3 .quiet {
  font: 1rem var(--sans);
  margin-left: 8px;
}

.detail p {
  margin: 0 0 4px;
}

.steps {
  list-style: none;
  margin: 0;
  padding: 0;
  columns: 2 320px;
}

.steps li {
  display: grid;
  grid-template-columns: 54px minmax(0, 1fr) 40px;
  align-items: center;
  min-height: 34px;
  break-inside: avoid;
}
</style>
