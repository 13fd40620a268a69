<script setup lang="ts">
import { t } from '../text'
import type { Drawing, Step } from '../api/client'
import PieceSketch from '../drawing/PieceSketch.vue'
import { vOneStop } from '../shared/oneStop'

/** The route as small drawings on a line, from the spool to the finished piece. */
defineProps<{ steps: Step[]; stages: Drawing[] }>()
const at = defineModel<number>({ required: true })
</script>

<template>
  <div class="scroll">
    <div class="forming" :style="{ minWidth: `${steps.length * 74}px` }" data-test="forming">
      <ol v-one-stop>
        <li v-for="(step, i) in steps" :key="step.step_n">
          <button
            type="button"
            class="plain stop-at"
            :class="{ now: at === i, done: i < at }"
            :aria-current="at === i ? 'step' : undefined"
            :data-step="step.step_n"
            @click="at = i"
          >
            <span class="what">{{ step.named }}</span>
            <PieceSketch v-if="stages[i]" :drawing="stages[i]!" class="sketch" />
            <span class="dot" aria-hidden="true" />
          </button>
        </li>
      </ol>
      <input
        v-model.number="at"
        type="range"
        min="0"
        :max="steps.length - 1"
        step="1"
        :aria-label="t('forming-line-steps-from-straight-finished')"
        :aria-valuetext="
          steps[at] ? t('forming-line-step', { at: at + 1, all: steps.length, named: steps[at]!.named }) : ''
        "
        data-test="slider"
      />
    </div>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}

.forming {
  position: relative;
  margin-top: 6px;
  padding-bottom: 8px;
}

ol {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
}

li {
  flex: 1 1 0;
  min-width: 0;
}

.stop-at {
  display: flex;
  flex-direction: column;
  align-items: center;
  width: 100%;
  gap: 4px;
  color: rgb(var(--v-theme-quiet));
}

.what {
  width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  text-align: center;
  font-size: 0.98rem;
}

.now .what {
  color: rgb(var(--v-theme-primary));
  font-weight: 700;
}

.sketch {
  height: 46px;
  width: 84%;
  opacity: 0.62;
}

.now .sketch,
.stop-at:hover .sketch {
  opacity: 1;
}

.dot {
  width: 12px;
  height: 12px;
  border-radius: 50%;
  border: 2px solid rgb(var(--v-theme-primary));
  background: rgb(var(--v-theme-background));
  z-index: 1;
}

.done .dot,
.now .dot {
  background: rgb(var(--v-theme-primary));
}

.now .dot {
  width: 18px;
  height: 18px;
  margin: -3px 0;
}

/* The slider lies on the dots; they are its face, and it keeps the focus and the keys. */
input {
  position: absolute;
  left: 4%;
  right: 4%;
  bottom: 2px;
  height: 24px;
  width: 92%;
  margin: 0;
  appearance: none;
  background: none;
  pointer-events: none;
}

input::before {
  content: '';
  position: absolute;
  left: 0;
  right: 0;
  top: 11px;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}

input::-webkit-slider-thumb {
  appearance: none;
  width: 26px;
  height: 24px;
  opacity: 0;
  pointer-events: auto;
  cursor: grab;
}

input::-moz-range-thumb {
  opacity: 0;
}
</style>
