<script setup lang="ts">
import { computed } from 'vue'
import type { AgendaSitting, Alone, SatWork } from '../api/client'

/** A sitting along its hours: what hands do, and under it what was started and then runs by itself. */
const props = defineProps<{
  sitting: AgendaSitting
  alone: Alone[]
  /** The tone of a work's batch, by its number. */
  tone: (work: SatWork) => number
  clock: (moment: string) => string
}>()

const HOUR_MS = 3_600_000
/** Most hours that are written along the line. */
const MOST_HOURS = 12
const at = (moment: string) => Date.parse(moment)

const started = computed(() =>
  props.alone.filter(
    (one) => at(one.from) >= at(props.sitting.from) && at(one.from) <= at(props.sitting.to) + 1,
  ),
)
const from = computed(() => at(props.sitting.from))
/** The line goes on to where what was started is ready. */
const all = computed(
  () => Math.max(at(props.sitting.to), ...started.value.map((one) => at(one.to))) - from.value,
)
const percent = (ms: number) => `${(100 * ms) / all.value}%`
const along = (one: { from: string; to: string }) => ({
  left: percent(at(one.from) - from.value),
  width: percent(Math.max(at(one.to) - at(one.from), 0.006 * all.value)),
})
const hours = computed(() => {
  const step = HOUR_MS * Math.max(1, Math.ceil(all.value / HOUR_MS / MOST_HOURS))
  const first = Math.ceil(from.value / HOUR_MS) * HOUR_MS
  const n = Math.max(0, Math.floor((from.value + all.value - first) / step) + 1)
  return Array.from({ length: n }, (_, i) => first + i * step).map((moment) => ({
    moment: new Date(moment).toISOString(),
    left: percent(moment - from.value),
  }))
})
</script>

<template>
  <div class="line" aria-hidden="true">
    <i class="sat" :style="along(sitting)" />
    <i
      v-for="(work, i) in sitting.works"
      :key="i"
      :class="['work', `tone-${tone(work)}`, { out: work.lays_out }]"
      :style="along(work)"
    />
    <span v-for="one in started" :key="one.from + one.name" class="by-itself" :style="along(one)"
      >{{ one.named }}, {{ one.name }}</span
    >
    <span v-for="one in hours" :key="one.moment" class="hour" :style="{ left: one.left }">{{
      clock(one.moment)
    }}</span>
  </div>
</template>

<style scoped>
.line {
  position: relative;
  height: 62px;
  margin: 4px 0 6px;
}

.sat {
  position: absolute;
  top: 22px;
  height: 3px;
  background: rgb(var(--v-theme-quiet));
}

.work {
  position: absolute;
  top: 0;
  height: 22px;
}

.by-itself {
  position: absolute;
  top: 25px;
  height: 16px;
  overflow: hidden;
  white-space: nowrap;
  border-left: 2px solid rgb(var(--v-theme-warning));
  border-bottom: 3px solid rgb(var(--v-theme-warning));
  padding-left: 4px;
  font-size: 0.85rem;
  line-height: 1;
}

.hour {
  position: absolute;
  top: 44px;
  font-size: 0.85rem;
  color: rgb(var(--v-theme-quiet));
  border-left: 1px solid rgb(var(--v-theme-quiet));
  padding-left: 3px;
  line-height: 1;
}

.hour:last-child {
  transform: translateX(-100%);
  border-left: 0;
  border-right: 1px solid rgb(var(--v-theme-quiet));
  padding: 0 3px 0 0;
}

.work.out {
  border-left: 3px solid rgb(var(--v-theme-on-background));
}
</style>
