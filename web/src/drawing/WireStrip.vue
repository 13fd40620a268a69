<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, useId, useTemplateRef } from 'vue'
import type { Strip } from '../api/client'
import MetalGradient from './MetalGradient.vue'

const props = defineProps<{ strip: Strip; truePixels?: number | null }>()

const id = useId()
const place = useTemplateRef<HTMLElement>('place')
const { width } = useElementSize(place)
const INCH = 25.4
const edge = 4

const scale = computed(
  () => props.truePixels ?? Math.max((width.value - 2 * edge) / props.strip.length_mm, 0.01),
)
const x = (mm: number) => edge + mm * scale.value
const thick = computed(() => Math.min(24, Math.max(9, props.strip.thickness_mm * scale.value)))

/** Marks of a ruler under the strip, no closer than reads well. */
const millimetres = computed(() => {
  const step = [1, 2, 5, 10, 20, 50, 100].find((mm) => mm * scale.value >= 9) ?? 200
  const marks = []
  for (let n = 0; n * step <= props.strip.length_mm; n += 1) {
    marks.push({
      at: x(n * step),
      long: n % 5 === 0,
      says: n % 5 === 0 ? (n === 0 ? '0 mm' : String(n * step)) : '',
    })
  }
  return marks
})
const inches = computed(() => {
  const marks = []
  for (let n = 0; (n * INCH) / 4 <= props.strip.length_mm; n += 1) {
    marks.push({ at: x((n * INCH) / 4), says: n % 4 === 0 ? String(n / 4) : '' })
  }
  return marks
})
const last = computed(() => props.strip.zones.at(-1))
</script>

<template>
  <section class="strip" aria-label="The strip: one ring as straight wire">
    <div class="head">
      <b>The strip: one ring, straight</b>
      <span data-test="sum">{{ strip.sum }}</span>
    </div>
    <div ref="place" class="place">
      <svg
        :width="width"
        :height="76 + thick"
        role="img"
        :aria-label="strip.zones.map((z) => z.text).join(', ')"
      >
        <defs>
          <MetalGradient :id="id" />
        </defs>
        <template v-for="zone in strip.zones" :key="zone.kind">
          <rect
            v-if="zone.kind === 'ring' || zone.kind === 'next'"
            :x="x(zone.from_mm)"
            y="22"
            :width="Math.max(0, (zone.to_mm - zone.from_mm) * scale)"
            :height="thick"
            :fill="`url(#${id})`"
            :opacity="zone.kind === 'next' ? 0.35 : 1"
          />
          <rect
            v-else
            class="lost"
            :x="x(zone.from_mm)"
            y="17"
            :width="Math.max(2, (zone.to_mm - zone.from_mm) * scale)"
            :height="thick + 10"
          />
          <text
            v-if="zone.kind === 'ring'"
            :x="x((zone.from_mm + zone.to_mm) / 2)"
            y="14"
            text-anchor="middle"
          >
            {{ zone.text }}
          </text>
          <text
            v-else-if="zone.kind !== 'next'"
            class="stop"
            :x="x(zone.from_mm) - 6"
            y="14"
            text-anchor="end"
          >
            {{ zone.text }}
          </text>
        </template>
        <text v-if="last" class="quiet" :x="width - edge" y="14" text-anchor="end">{{ last.text }}</text>
        <g :transform="`translate(0 ${30 + thick})`">
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
      </svg>
    </div>
  </section>
</template>

<style scoped>
.strip {
  background: rgb(var(--v-theme-surface));
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding: 7px var(--gutter) 2px;
}

.head {
  display: flex;
  justify-content: space-between;
  gap: 18px;
}

.place {
  overflow-x: auto;
}

svg {
  display: block;
}

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

text.stop {
  fill: rgb(var(--v-theme-error));
}

text.quiet {
  fill: rgb(var(--v-theme-quiet));
}

.lost {
  fill: rgb(var(--v-theme-surface));
  stroke: rgb(var(--v-theme-error));
  stroke-width: 1.5;
}
</style>
