<script setup lang="ts">
import { t } from '../text'
import { computed } from 'vue'
import { useSettings } from '../shared/settings'

/**
 * The ruler under a strip, from its left end or from its right one, no closer than reads well: the unit read first next to the wire, the
 * other below it.
 */
const props = defineProps<{
  lengthMm: number
  scale: number
  edge: number
  width: number
  /** Whether it is laid on from the right end. */
  fromRight?: boolean
}>()

const settings = useSettings()
const x = (mm: number) => props.edge + (props.fromRight ? props.lengthMm - mm : mm) * props.scale

/** Ticks of a unit; those with a number stand out. */
function millimetres(ticks: (long: boolean) => Pick<Tick, 'from' | 'to'>) {
  const step = [1, 2, 5, 10, 20, 50, 100].find((mm) => mm * props.scale >= 9) ?? 200
  return marksEvery(step, (n) => ({
    ...ticks(n % 5 === 0),
    says: n % 5 === 0 ? (n === 0 ? '0 mm' : String(n * step)) : '',
  }))
}
function inches(ticks: (long: boolean) => Pick<Tick, 'from' | 'to'>) {
  // Sixteenths, eighths or quarters, as there is room.
  const parts = [16, 8, 4, 2, 1].find((n) => (settings.inchMm / n) * props.scale >= 7) ?? 1
  // Quarters have their numbers where they stand wide apart.
  const named = (settings.inchMm / 4) * props.scale > 96 && parts >= 4 ? parts / 4 : parts
  return marksEvery(settings.inchMm / parts, (n) => ({
    ...ticks(n % named === 0),
    says: n % named === 0 ? t('strip-ruler-in', { parts: quarters((4 * n) / parts) }) : '',
  }))
}
/** So many quarters, as a ruler has them: `1 3/4`. */
function quarters(n: number): string {
  const part = ['', '1/4', '1/2', '3/4'][n % 4]!
  const whole = Math.floor(n / 4)
  return part && whole ? `${whole} ${part}` : part || String(whole)
}
const above = (long: boolean) => ({ from: 0, to: long ? 9 : 5 })
const below = (long: boolean) => ({ from: long ? 28 : 33, to: 40 })
const inchFirst = computed(() => settings.settings.unit === 'inch')
const first = computed(() => (inchFirst.value ? inches(above) : millimetres(above)))
const second = computed(() => (inchFirst.value ? millimetres(below) : inches(below)))

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
    <path :d="first.path" />
    <text
      v-for="mark in first.texts"
      :key="mark.says"
      :x="mark.at"
      y="23"
      :text-anchor="mark.at < 10 ? 'start' : mark.at > width - 14 ? 'end' : 'middle'"
    >
      {{ mark.says }}
    </text>
    <path :d="second.path" class="second" />
    <text v-for="mark in second.texts" :key="mark.says" class="quiet" :x="mark.at + 5" y="40">
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

.second {
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
