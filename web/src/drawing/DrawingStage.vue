<script setup lang="ts">
import { t } from '../text'
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import type { Comparison, Drawing, DrawnPart } from '../api/client'
import DrawnShapes from './DrawnShapes.vue'
import { useGrab } from './grab'
import { gripOf, tintsOf, useLayout, type LaidDimension } from './layout'

const props = defineProps<{
  drawing: Drawing
  /** Pixels in a millimetre for true size; without it the drawing fills its place. */
  truePixels?: number | null
  /** Millimetres the drawing is kept large enough for, so that it does not jump while one drags. */
  atLeast?: Drawing['frame'] | null
  /** Lines of the segments, for pointing at them. */
  parts?: DrawnPart[]
  /** The segments that are lit. */
  lit?: number[]
  /** Whether each segment says how much of what its metal bears is spent. */
  tinted?: boolean
  /** A second piece laid over the first, in outline. */
  over?: Comparison | null
  /** Dimensions that can be grabbed and typed into, by what they show, and what each is called. */
  handles?: Record<string, string>
}>()
const emit = defineEmits<{
  point: [segment: number | null]
  /** A dimension was dragged so many mm longer or shorter than it was when it was grabbed. */
  drag: [name: string, mm: number, phase: 'start' | 'move' | 'end']
  /** A dimension was clicked, to be typed into. */
  edit: [name: string, at: HTMLElement]
}>()

const place = useTemplateRef<HTMLElement>('place')
const { width, height } = useElementSize(place)
const { view, put, dimensions, beside } = useLayout(props, width, height)
const tints = computed(() => (props.tinted ? tintsOf(props.parts ?? [], put) : []))
/** How wide the wire is drawn. */
const thick = computed(() => props.drawing.shapes.find((shape) => shape.width_mm)?.width_mm ?? 1)

const { grabbed, grab } = useGrab({
  leave: () => emit('point', null),
  drag: (name, mm, phase) => emit('drag', name, mm, phase),
  edit: (name, at) => emit('edit', name, at),
})
function take(dimension: LaidDimension, event: PointerEvent) {
  if (props.handles?.[dimension.figure])
    grab(dimension, event, place.value!.getBoundingClientRect(), view.value.scale)
}
</script>

<template>
  <div ref="place" class="stage" :class="{ dragging: grabbed?.moved }">
    <svg
      :width="width"
      :height="height"
      :role="handles ? 'group' : 'img'"
      :aria-label="drawing.described"
      data-test="drawing"
    >
      <g :transform="`translate(${view.x} ${view.y}) scale(${view.scale})`">
        <DrawnShapes :drawing="drawing" />
        <g
          v-if="over"
          class="over"
          :transform="`translate(${over.shift_x_mm} ${over.shift_y_mm})`"
          data-test="over"
        >
          <template v-for="(shape, i) in over.drawing.shapes" :key="i">
            <path v-if="shape.width_mm" :d="shape.path" :stroke-width="shape.width_mm" class="over-body" />
            <path
              v-if="shape.width_mm"
              :d="shape.path"
              class="over-line"
              vector-effect="non-scaling-stroke"
            />
          </template>
        </g>
        <template v-for="part in parts" :key="part.segment_n">
          <path
            v-if="lit?.includes(part.segment_n)"
            :d="part.path"
            class="lit"
            :stroke-width="thick"
            data-test="lit"
          />
          <path
            v-if="!grabbed?.moved"
            :d="part.path"
            class="touch"
            stroke-width="18"
            vector-effect="non-scaling-stroke"
            :data-segment="part.segment_n"
            @pointerenter="emit('point', part.segment_n)"
            @pointerleave="emit('point', null)"
          />
        </template>
        <path
          v-for="{ part, dashes } in tints"
          :key="part.segment_n"
          :d="part.path"
          class="tint"
          :class="part.strain_level"
          :stroke-width="thick * 0.55"
          :stroke-dasharray="dashes"
          data-test="tint"
        />
      </g>
      <g
        v-for="dimension in dimensions"
        :key="dimension.figure"
        class="dimension"
        :class="{ handle: handles?.[dimension.figure], held: grabbed?.name === dimension.figure }"
        :data-dimension="dimension.figure"
        :role="handles?.[dimension.figure] ? 'button' : undefined"
        :tabindex="handles?.[dimension.figure] ? 0 : undefined"
        :aria-label="
          handles?.[dimension.figure]
            ? t('drawing-stage-drag-or-type', { dimension: dimension.text })
            : undefined
        "
        @pointerdown="take(dimension, $event)"
        @keydown.enter.prevent="emit('edit', dimension.figure, $event.currentTarget as HTMLElement)"
      >
        <template v-if="handles?.[dimension.figure]">
          <line class="hit" v-bind="dimension.line" />
          <rect class="grip" v-bind="gripOf(dimension)" />
        </template>
        <line v-if="dimension.lined" v-bind="dimension.line" />
        <line v-for="(tick, i) in dimension.ticks" :key="i" v-bind="tick" />
        <line v-if="dimension.lead" class="lead" v-bind="dimension.lead" />
        <text v-bind="dimension.at">{{ dimension.text }}</text>
      </g>
      <text v-for="(one, i) in tints" :key="`spent-${i}`" class="spent-text" :x="one.x" :y="one.y">
        {{ one.text }}
      </text>
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
  contain: strict;
}

svg {
  display: block;
  position: absolute;
  inset: 0;
}

/* A layer of its own, so that only it is painted anew while one drags. */
.dragging svg {
  will-change: transform;
}

.touch {
  fill: none;
  stroke: transparent;
  pointer-events: stroke;
}

.lit {
  fill: none;
  stroke: rgb(var(--v-theme-primary));
  stroke-opacity: 0.82;
  pointer-events: none;
}

.tint {
  fill: none;
  pointer-events: none;
  stroke: rgb(var(--v-theme-primary));
}

.tint.watch {
  stroke: rgb(var(--v-theme-warning));
}

.tint.stop {
  stroke: rgb(var(--v-theme-error));
}

.spent-text {
  font-size: 15px;
  font-weight: 700;
  text-anchor: middle;
  fill: rgb(var(--v-theme-on-background));
  paint-order: stroke;
  stroke: rgb(var(--v-theme-background));
  stroke-width: 4px;
}

.over-body {
  fill: none;
  stroke: rgb(var(--v-theme-primary));
  stroke-opacity: 0.24;
}

.over-line {
  fill: none;
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 1.5;
  stroke-dasharray: 6 4;
}

.dimension line {
  stroke: rgb(var(--v-theme-on-background));
  stroke-width: 1.2;
}

.dimension .lead {
  stroke-width: 0.8;
}

.dimension .hit {
  stroke: transparent;
  stroke-width: 26;
}

.dimension .grip {
  fill: transparent;
}

.handle {
  cursor: grab;
  touch-action: none;
}

.handle:hover text,
.handle:focus-visible text,
.held text {
  fill: rgb(var(--v-theme-primary));
  text-decoration: underline;
  text-underline-offset: 4px;
}

.handle:hover line:not(.hit),
.held line:not(.hit) {
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 2;
}

.held {
  cursor: grabbing;
}

.dimension text,
.note {
  font-size: 15px;
  fill: rgb(var(--v-theme-on-background));
  paint-order: stroke;
  stroke: rgb(var(--v-theme-background));
  stroke-width: 4px;
  stroke-linejoin: round;
  user-select: none;
}

.note {
  fill: rgb(var(--v-theme-quiet));
}
</style>
