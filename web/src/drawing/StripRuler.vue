<script setup lang="ts">
import { computed } from 'vue'

/** The ruler under a strip: millimetres and quarter inches from its left end, no closer than reads well. */
const props = defineProps<{ lengthMm: number; scale: number; edge: number; width: number }>()

const INCH = 25.4
const x = (mm: number) => props.edge + mm * props.scale

const millimetres = computed(() => {
  const step = [1, 2, 5, 10, 20, 50, 100].find((mm) => mm * props.scale >= 9) ?? 200
  const marks = []
  for (let n = 0; n * step <= props.lengthMm; n += 1) {
    const says = n % 5 === 0 ? (n === 0 ? '0 mm' : String(n * step)) : ''
    marks.push({ at: x(n * step), long: n % 5 === 0, says })
  }
  return marks
})
const inches = computed(() => {
  const marks = []
  for (let n = 0; (n * INCH) / 4 <= props.lengthMm; n += 1) {
    marks.push({ at: x((n * INCH) / 4), says: n % 4 === 0 ? String(n / 4) : '' })
  }
  return marks
})
</script>

<template>
  <g>
    <template v-for="mark in millimetres" :key="`mm${mark.at}`">
      <line :x1="mark.at" :x2="mark.at" y1="0" :y2="mark.long ? 9 : 5" />
      <text
        v-if="mark.says"
        :x="mark.at"
        y="23"
        :text-anchor="mark.at < 10 ? 'start' : mark.at > width - 14 ? 'end' : 'middle'"
      >
        {{ mark.says }}
      </text>
    </template>
    <template v-for="mark in inches" :key="`in${mark.at}`">
      <line class="inch" :x1="mark.at" :x2="mark.at" :y1="mark.says ? 28 : 33" y2="40" />
      <text v-if="mark.says" class="quiet" :x="mark.at + 5" y="40">{{ mark.says }} in</text>
    </template>
  </g>
</template>

<style scoped>
line {
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 1.2;
}

.inch {
  stroke: rgb(var(--v-theme-quiet));
}

text {
  font-size: 14.5px;
  fill: rgb(var(--v-theme-on-surface));
}

text.quiet {
  fill: rgb(var(--v-theme-quiet));
}
</style>
