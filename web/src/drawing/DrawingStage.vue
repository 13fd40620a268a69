<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, useId, useTemplateRef } from 'vue'
import type { Drawing, Place } from '../api/client'
import MetalGradient from './MetalGradient.vue'

const props = defineProps<{
  drawing: Drawing
  /** Pixels in a millimetre for true size; without it the drawing fills its place. */
  truePixels?: number | null
}>()

const id = useId()
const place = useTemplateRef<HTMLElement>('place')
const { width, height } = useElementSize(place)

/** Room round the drawing for its dimensions and notes, in pixels. */
const room = { left: 8, right: 8, top: 26, bottom: 28 }

const view = computed(() => {
  const { left_mm: left, top_mm: top, width_mm: w, height_mm: h } = props.drawing.frame
  const fit = Math.min(
    (width.value - room.left - room.right) / w,
    (height.value - room.top - room.bottom) / h,
  )
  const scale = props.truePixels ?? Math.max(fit, 0.1)
  const x = (width.value - w * scale) / 2 - left * scale
  const y = room.top + Math.max(0, (height.value - room.top - room.bottom - h * scale) / 2) - top * scale
  return { scale, x, y }
})

const put = (place: Place) =>
  [place.x_mm * view.value.scale + view.value.x, place.y_mm * view.value.scale + view.value.y] as const

const dimensions = computed(() =>
  props.drawing.dimensions.map((dimension) => {
    const [x1, y1] = put(dimension.from)
    const [x2, y2] = put(dimension.to)
    const upright = Math.abs(y2 - y1) > Math.abs(x2 - x1)
    return { ...dimension, x1, y1, x2, y2, upright }
  }),
)
/** A note stands centred under its place, unless it would run off the right edge. */
function beside(note: Drawing['notes'][number]) {
  const [x, y] = put(note.at)
  const near = x + note.text.length * 3.6 > width.value
  return { x: near ? width.value - 4 : x, y: y + 20, 'text-anchor': near ? 'end' : 'middle' }
}
</script>

<template>
  <div ref="place" class="stage">
    <svg :width="width" :height="height" role="img" :aria-label="drawing.described" data-test="drawing">
      <defs>
        <MetalGradient :id="`${id}-wire`" />
        <linearGradient :id="`${id}-rod`" x1="0" y1="0" x2="0" y2="1">
          <stop offset="0" class="rod-edge" />
          <stop offset="0.3" class="rod-light" />
          <stop offset="1" class="rod-edge" />
        </linearGradient>
      </defs>
      <g :transform="`translate(${view.x} ${view.y}) scale(${view.scale})`">
        <template v-for="(shape, i) in drawing.shapes" :key="i">
          <g v-if="shape.role === 'wire'" :stroke-linecap="shape.round_ends ? 'round' : 'butt'">
            <path :d="shape.path" class="wire-edge" :stroke-width="shape.width_mm!" />
            <path
              :d="shape.path"
              :stroke="`url(#${id}-wire)`"
              :stroke-width="shape.width_mm! * 0.86"
              fill="none"
            />
            <path :d="shape.path" class="wire-shine" :stroke-width="shape.width_mm! * 0.18" />
          </g>
          <path v-else-if="shape.role === 'rod'" :d="shape.path" :fill="`url(#${id}-rod)`" />
          <path
            v-else
            :d="shape.path"
            :class="shape.role"
            :stroke-width="shape.role === 'kerf' ? 2 : undefined"
            vector-effect="non-scaling-stroke"
          />
        </template>
      </g>
      <g v-for="dimension in dimensions" :key="dimension.figure" class="dimension">
        <line :x1="dimension.x1" :y1="dimension.y1" :x2="dimension.x2" :y2="dimension.y2" />
        <template v-if="dimension.upright">
          <line :x1="dimension.x1 - 5" :x2="dimension.x1 + 5" :y1="dimension.y1" :y2="dimension.y1" />
          <line :x1="dimension.x2 - 5" :x2="dimension.x2 + 5" :y1="dimension.y2" :y2="dimension.y2" />
          <text :x="dimension.x1 + 9" :y="(dimension.y1 + dimension.y2) / 2 + 5">{{ dimension.text }}</text>
        </template>
        <template v-else>
          <line :x1="dimension.x1" :x2="dimension.x1" :y1="dimension.y1 - 5" :y2="dimension.y1 + 5" />
          <line :x1="dimension.x2" :x2="dimension.x2" :y1="dimension.y2 - 5" :y2="dimension.y2 + 5" />
          <text :x="(dimension.x1 + dimension.x2) / 2" :y="dimension.y1 - 8" text-anchor="middle">
            {{ dimension.text }}
          </text>
        </template>
      </g>
      <text v-for="note in drawing.notes" :key="note.text" class="note" v-bind="beside(note)">
        {{ note.text }}
      </text>
    </svg>
  </div>
</template>

<style scoped>
.stage {
  position: relative;
  min-height: 0;
  overflow: hidden;
}

svg {
  display: block;
  position: absolute;
  inset: 0;
}

.rod-edge {
  stop-color: #868e96;
}

.rod-light {
  stop-color: #e4e7e9;
}

.wire-edge {
  fill: none;
  stroke: color-mix(in oklab, var(--metal) 45%, black);
}

.wire-shine {
  fill: none;
  stroke: rgb(255 255 255 / 22%);
}

.tape {
  fill: #e2d5b0;
  stroke: #9a8f70;
  stroke-width: 1;
}

.rod-edge {
  fill: none;
  stroke: rgb(60 66 72 / 45%);
  stroke-width: 1;
}

.ghost {
  fill: none;
  stroke: rgb(var(--v-theme-on-background));
  stroke-opacity: 0.62;
  stroke-width: 1.3;
  stroke-dasharray: 5 5;
}

.kerf {
  fill: none;
  stroke: rgb(var(--v-theme-error));
}

.break {
  fill: rgb(var(--v-theme-background));
}

.dimension line {
  stroke: rgb(var(--v-theme-on-background));
  stroke-width: 1.2;
}

.dimension text,
.note {
  font-size: 15px;
  fill: rgb(var(--v-theme-on-background));
  paint-order: stroke;
  stroke: rgb(var(--v-theme-background));
  stroke-width: 4px;
  stroke-linejoin: round;
}

.note {
  fill: rgb(var(--v-theme-quiet));
}
</style>
