<script setup lang="ts">
import { t } from '../text'
import { computed } from 'vue'
import type { AgendaSession, Alone, BatchRun } from '../api/client'

/** A session along its hours: a block for each batch that is worked on, and under it what then runs on its own. */
const props = defineProps<{
  session: AgendaSession
  alone: Alone[]
  /** The tone of a batch, by its number. */
  tone: (run: BatchRun) => number
  clock: (moment: string) => string
  /** The moment of the block whose steps are shown. */
  opened: string
}>()
const emit = defineEmits<{ open: [from: string] }>()

const at = (moment: string) => Date.parse(moment)
const started = computed(() =>
  props.alone.filter(
    (one) => at(one.from) >= at(props.session.from) && at(one.from) <= at(props.session.to) + 1,
  ),
)
const all = computed(() => at(props.session.to) - at(props.session.from))
const percent = (ms: number) => `${(100 * ms) / all.value}%`
const along = (one: { from: string; to: string }) => {
  const from = at(one.from) - at(props.session.from)
  // What runs on past the session is cut off at its end.
  return { left: percent(from), width: percent(Math.min(at(one.to), at(props.session.to)) - at(one.from)) }
}
</script>

<template>
  <div class="line">
    <div class="track">
      <button
        v-for="run in session.runs"
        :key="run.from"
        type="button"
        class="block"
        :class="[`block-${tone(run)}`, { open: opened === run.from }]"
        :style="along(run)"
        :aria-expanded="opened === run.from"
        :title="`${clock(run.from)} ${run.name}: ${run.counted}, ${run.steps_text}. ${run.reason}`"
        data-test="run"
        @click="emit('open', run.from)"
      >
        <span class="num from">{{ clock(run.from) }}</span>
        <span class="name">{{ run.name }} · {{ run.counted }}</span>
        <span class="steps">{{ run.steps_text }} · {{ run.reason }}</span>
      </button>
    </div>
    <div v-if="started.length" class="own">
      <span
        v-for="one in started"
        :key="one.from + one.name"
        class="alone"
        :style="{ left: along(one).left }"
        >{{ t('session-line-until', { named: one.named, name: one.name, to: clock(one.to) }) }}</span
      >
    </div>
  </div>
</template>

<style scoped>
.track {
  position: relative;
  height: 50px;
  background: rgba(var(--v-theme-hairline), 0.4);
  border-radius: 3px;
}

.block {
  position: absolute;
  top: 0;
  bottom: 0;
  min-width: 26px;
  overflow: hidden;
  text-align: left;
  padding: 4px 10px;
  border: 1px solid rgb(var(--v-theme-background));
  border-radius: 3px;
  line-height: 1.25;
  cursor: pointer;
}

.block > span {
  display: block;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}

.block .from {
  display: none;
}

.name {
  font-weight: 500;
}

.steps {
  font-size: 0.9rem;
}

.open {
  outline: 2px solid rgb(var(--v-theme-on-background));
  outline-offset: 1px;
}

.own {
  position: relative;
  height: 24px;
  margin-top: 3px;
}

.alone {
  position: absolute;
  max-width: 60%;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  border: 1px solid rgb(var(--v-theme-quiet));
  border-radius: 3px;
  padding: 0 6px;
  font-size: 0.9rem;
}

/* On a phone each block is a line of its own. */
@media (max-width: 900px) {
  .track {
    height: auto;
    background: none;
  }

  .block {
    position: static;
    display: block;
    width: 100% !important;
    min-height: 44px;
    margin-bottom: 3px;
  }

  .block .from {
    display: inline;
    margin-right: 8px;
  }

  .block .name {
    display: inline;
  }

  .own {
    height: auto;
  }

  .alone {
    position: static;
    display: block;
    max-width: none;
  }
}
</style>
