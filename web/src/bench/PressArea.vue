<script setup lang="ts">
import { useTemplateRef } from 'vue'
import { t } from '../text'
import { spanOf } from './clock'
import type { StepInHand } from './inHand'

/** The large press of a step, a piece each, and the rarer things beside it. */
const { step, sound } = defineProps<{
  step: StepInHand
  /** Presses are heard. */
  sound: boolean
}>()
const emit = defineEmits<{ press: []; scrap: []; note: []; sound: [on: boolean] }>()
const { done, left, may, all, scrapped, scrappable, once, running, ready, does } = step

const big = useTemplateRef<HTMLButtonElement>('big')
defineExpose({ big, focus: () => big.value?.focus() })
</script>

<template>
  <section class="press">
    <button
      ref="big"
      type="button"
      class="plain big"
      :disabled="may === 0"
      data-test="press"
      @click="emit('press')"
    >
      <span v-if="running" class="count num" data-test="timer">
        {{ ready > 0 ? spanOf(ready) : t('lead-view-ready') }}
      </span>
      <span v-else-if="once" class="count num">{{ done && left > 0 ? t('lead-view-done') : '' }}</span>
      <span v-else class="count num" data-test="count"
        >{{ done }}<small> {{ t('lead-view-of', { all }) }}</small></span
      >
      <span class="does">{{ does }}</span>
    </button>
    <div class="asides">
      <v-btn variant="text" :disabled="done === 0" data-test="take-back" @click="step.back">{{
        t('lead-view-back-one')
      }}</v-btn>
      <v-btn variant="text" :disabled="!scrappable" data-test="scrap-one" @click="emit('scrap')">
        {{ t('lead-view-scrap-one') }}
      </v-btn>
      <v-btn v-if="scrapped" variant="text" data-test="rescue-scrapped" @click="step.unscrap">
        {{ t('lead-view-undo-scrap') }}
      </v-btn>
      <v-btn variant="text" data-test="note" @click="emit('note')">{{ t('lead-view-note') }}</v-btn>
      <v-btn variant="text" :aria-pressed="sound" data-test="sound" @click="emit('sound', !sound)">
        {{ sound ? t('lead-view-sound-on') : t('lead-view-sound') }}
      </v-btn>
      <span class="quiet keys">{{ t('lead-view-space-counts-one-backspace-goes') }}</span>
    </div>
  </section>
</template>

<style scoped>
.big {
  width: 100%;
  min-height: 17vh;
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 40px;
  border-radius: 6px;
  background: rgb(var(--v-theme-primary));
  color: rgb(var(--v-theme-on-primary));
  user-select: none;
  touch-action: manipulation;
}

.big:disabled {
  background: rgb(var(--v-theme-surface));
  color: rgb(var(--v-theme-quiet));
  cursor: default;
}

.big:active:not(:disabled) {
  filter: brightness(0.92);
}

.count {
  font-size: clamp(3.4rem, 9vw, 5.6rem);
  line-height: 1;
}

.count small {
  font-size: 0.5em;
  font-weight: 500;
}

.does {
  font-size: 1.9rem;
}

.asides {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
}

.keys {
  margin-left: auto;
}

@media (max-width: 860px) {
  .big {
    min-height: 20vh;
    gap: 24px;
  }

  .keys {
    display: none;
  }
}
</style>
