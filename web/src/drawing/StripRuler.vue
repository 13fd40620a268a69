<script setup lang="ts">
import { computed } from 'vue'
import { useSettings } from '../shared/settings'

/** The ruler under a strip: millimetres and quarter inches from its left end, no closer than reads well. */
const props = defineProps<{ lengthMm: number; scale: number; edge: number; width: number }>()

const settings = useSettings()
const x = (mm: number) => props.edge + mm * props.scale

const millimetres = computed(() => {
  const step = [1, 2, 5, 10, 20, 50, 100].find((mm) => mm * props.scale >= 9) ?? 200
  return marksEvery(step, (n) => ({
    from: 0,
    to: n % 5 === 0 ? 9 : 5,
    says: n % 5 === 0 ? (n === 0 ? '0 mm' : String(n * step)) : '',
  }))
})
const inches = computed(() =>
  marksEvery(settings.inchMm / 4, (n) => ({
    from: n % 4 === 0 ? 28 : 33,
    to: 40,
    says: n % 4 === 0 ? `${n / 4} in` : '',
  })),
)

interface Tick {
  from: number
  to: number
  says: string
}

/** Ticks as one path, so that a ruler that changes while one drags is one change; and their numbers. */
function marksEvery(step: number, tick: (n: number) => Tick) {
  let path = ''
  const texts = []
  for (let n = 0; n * step <= props.lengthMm; n += 1) {
    const { from, to, says } = tick(n)
    const at = x(n * step)
    path += `M${at.toFixed(2)} ${from}V${to}`
    if (says) texts.push({ at, says })
  }
  return { path, texts }
}
</script>

<template>
  <g>
    <path :d="millimetres.path" />
    <text
      v-for="mark in millimetres.texts"
      :key="mark.says"
      :x="mark.at"
      y="23"
      :text-anchor="mark.at < 10 ? 'start' : mark.at > width - 14 ? 'end' : 'middle'"
    >
      {{ mark.says }}
    </text>
    <path :d="inches.path" class="inch" />
    <text v-for="mark in inches.texts" :key="mark.says" class="quiet" :x="mark.at + 5" y="40">
      {{ mark.says }}
    </text>
  </g>
</template>

<style scoped>
path {
  fill: none;
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
