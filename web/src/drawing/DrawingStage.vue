<script setup lang="ts">
import { t } from '../text'
import { useElementSize, useEventListener } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import type { Comparison, Dimension, Drawing, DrawnPart, Place } from '../api/client'
import DrawnShapes from './DrawnShapes.vue'

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
  /** How far that one is moved. */
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

/** What each segment has spent, in figures, as far as they do not stand on each other. */
const labels = computed(() => {
  const stood: (readonly [number, number])[] = []
  return (props.tinted ? (props.parts ?? []) : []).map((part) => {
    const [x, y] = put(part.middle)
    const free = stood.every(([a, b]) => Math.abs(a - x) > 44 || Math.abs(b - y) > 20)
    if (free) stood.push([x, y])
    const share = part.spent_share
    return {
      part,
      x,
      y: y + 5,
      text: free ? `${Math.round(share * 100)} %` : '',
      kind: part.strain_level ?? (share > 0.3 ? 'worked' : 'calm'),
    }
  })
})

/** Room round the drawing for its dimensions and notes, in pixels. */
const room = computed(() => {
  const labelled = props.drawing.dimensions.some((dimension) => dimension.label)
  return labelled
    ? { left: 116, right: 116, top: 22, bottom: 18 }
    : { left: 8, right: 8, top: 26, bottom: 28 }
})

const view = computed(() => {
  const frame = props.atLeast ?? props.drawing.frame
  const { left_mm: left, top_mm: top, width_mm: w, height_mm: h } = frame
  const { left: west, right: east, top: north, bottom: south } = room.value
  const fit = Math.min((width.value - west - east) / w, (height.value - north - south) / h)
  const scale = props.truePixels ?? Math.min(Math.max(fit, 0.1), 60)
  const x = west + (width.value - west - east - w * scale) / 2 - left * scale
  const y = north + Math.max(0, (height.value - north - south - h * scale) / 2) - top * scale
  return { scale, x, y }
})

const put = (place: Place) =>
  [place.x_mm * view.value.scale + view.value.x, place.y_mm * view.value.scale + view.value.y] as const

/** Where a dimension's text stands: at its label, beside an upright line, over a level one. */
function textOf(dimension: Dimension, [x1, y1]: readonly number[], [x2, y2]: readonly number[]) {
  if (dimension.label) {
    const [x, y] = put(dimension.label.at)
    const gap = { start: 8, middle: 0, end: -8 }[dimension.label.anchor]
    return { x: x + gap, y: y + 5, 'text-anchor': dimension.label.anchor }
  }
  const upright = Math.abs(y2! - y1!) > Math.abs(x2! - x1!)
  return upright
    ? { x: x1! + 9, y: (y1! + y2!) / 2 + 5, 'text-anchor': 'start' as const }
    : { x: (x1! + x2!) / 2, y: y1! - 8, 'text-anchor': 'middle' as const }
}

/** How wide a text is drawn, near enough to keep two apart. */
const CHARACTER = 7.3
const LINE = 15
interface Label {
  text: string
  at: ReturnType<typeof textOf>
}
function across({ text, at }: Label) {
  const wide = text.length * CHARACTER
  const left = at.x - { start: 0, middle: wide / 2, end: wide }[at['text-anchor']]
  return { left, wide }
}
function apart<T extends Label>(labels: T[]): T[] {
  const boxes: { left: number; right: number; y: number }[] = []
  for (const label of labels) {
    const { at } = label
    const { left, wide } = across(label)
    const meets = (y: number) =>
      boxes.some((box) => left < box.right && box.left < left + wide && Math.abs(box.y - y) < LINE)
    // Downward, since most labels that meet stand under the piece.
    while (meets(at.y) && at.y < height.value - 4) at.y += 3
    boxes.push({ left, right: left + wide, y: at.y })
  }
  return labels
}

const dimensions = computed(() => apart(laid.value))
/** Where a label can be taken hold of: as high as a fingertip wants it. */
function grip(label: Label) {
  const { left, wide } = across(label)
  return { x: left - 4, y: label.at.y - 19, width: wide + 8, height: 28 }
}
const laid = computed(() =>
  props.drawing.dimensions.map((dimension) => {
    const [from, to] = [put(dimension.from), put(dimension.to)]
    const length = Math.hypot(to[0] - from[0], to[1] - from[1])
    const along = length > 0.5 ? [(to[0] - from[0]) / length, (to[1] - from[1]) / length] : [0, 0]
    const tick = ([x, y]: readonly number[]) => ({
      x1: x! - along[1]! * 5,
      y1: y! + along[0]! * 5,
      x2: x! + along[1]! * 5,
      y2: y! - along[0]! * 5,
    })
    const at = textOf(dimension, from, to)
    // A label that stands away from its line is led to it.
    let lead = null
    if (
      dimension.label &&
      dimension.label.anchor !== 'middle' &&
      Math.abs(to[1] - from[1]) < 0.5 &&
      length > 0.5
    ) {
      const [x, y] = put(dimension.label.at)
      const near = Math.abs(x - from[0]) < Math.abs(x - to[0]) ? from : to
      lead = { x1: near[0], y1: near[1], x2: x, y2: y }
    }
    return {
      ...dimension,
      line: { x1: from[0], y1: from[1], x2: to[0], y2: to[1] },
      along,
      length,
      at,
      lead,
      ticks: length > 0.5 ? [tick(from), tick(to)] : [],
    }
  }),
)

/** A note stands centred under its place, unless it would run off the right edge. */
function beside(note: Drawing['notes'][number]) {
  const [x, y] = put(note.at)
  const near = x + note.text.length * 3.6 > width.value
  return { x: near ? width.value - 4 : x, y: y + 20, 'text-anchor': near ? 'end' : 'middle' }
}

const grabbed = ref<{
  name: string
  at: [number, number]
  along: number[]
  moved: boolean
  scale: number
} | null>(null)

function grab(dimension: (typeof dimensions.value)[number], event: PointerEvent) {
  if (!props.handles?.[dimension.figure] || event.button !== 0) return
  event.preventDefault()
  ;(event.currentTarget as HTMLElement).focus()
  // An angle has no line: dragging to the right opens it.
  const along = dimension.length > 0.5 ? dimension.along : [1, 0]
  // A line is longer when its nearer end is pulled outward.
  const far = dimension.length > 0.5 && nearer(dimension.line, event)
  const signed = far ? along : along.map((part) => -part)
  grabbed.value = {
    name: dimension.figure,
    at: [event.clientX, event.clientY],
    along: signed,
    moved: false,
    scale: view.value.scale,
  }
}

/** Whether a place is nearer to a line's second end. */
function nearer(line: { x1: number; y1: number; x2: number; y2: number }, event: PointerEvent): boolean {
  const box = place.value!.getBoundingClientRect()
  const [x, y] = [event.clientX - box.left, event.clientY - box.top]
  return Math.hypot(x - line.x2, y - line.y2) <= Math.hypot(x - line.x1, y - line.y1)
}

useEventListener('pointermove', (event) => {
  const held = grabbed.value
  if (!held) return
  const [dx, dy] = [event.clientX - held.at[0], event.clientY - held.at[1]]
  if (!held.moved && Math.hypot(dx, dy) < 4) return
  if (!held.moved) {
    // Nothing is pointed at while one drags: the places to point at are taken away.
    emit('point', null)
    emit('drag', held.name, 0, 'start')
  }
  held.moved = true
  emit('drag', held.name, (dx * held.along[0]! + dy * held.along[1]!) / held.scale, 'move')
})
useEventListener('pointerup', (event) => {
  const held = grabbed.value
  grabbed.value = null
  if (!held) return
  if (held.moved) emit('drag', held.name, 0, 'end')
  else {
    const at = (event.target as Element).closest<SVGElement>('[data-dimension]')
    if (at) emit('edit', held.name, at as unknown as HTMLElement)
  }
})
useEventListener('pointercancel', () => {
  if (grabbed.value?.moved) emit('drag', grabbed.value.name, 0, 'end')
  grabbed.value = null
})
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
            :stroke-width="drawing.shapes.find((shape) => shape.width_mm)?.width_mm ?? 1"
            data-test="lit"
          />
          <path
            v-if="tinted"
            :d="part.path"
            :class="['tint', labels.find((one) => one.part === part)?.kind]"
            :stroke-width="(drawing.shapes.find((shape) => shape.width_mm)?.width_mm ?? 1) * 0.55"
            data-test="tint"
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
        @pointerdown="grab(dimension, $event)"
        @keydown.enter.prevent="emit('edit', dimension.figure, $event.currentTarget as HTMLElement)"
      >
        <template v-if="handles?.[dimension.figure]">
          <line class="hit" v-bind="dimension.line" />
          <rect class="grip" v-bind="grip(dimension)" />
        </template>
        <line v-if="dimension.length > 0.5" v-bind="dimension.line" />
        <line v-for="(tick, i) in dimension.ticks" :key="i" v-bind="tick" />
        <line v-if="dimension.lead" class="lead" v-bind="dimension.lead" />
        <text v-bind="dimension.at">{{ dimension.text }}</text>
      </g>
      <text v-for="(one, i) in labels" :key="`spent-${i}`" class="spent-text" :x="one.x" :y="one.y">
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

/* Not by colour alone: the more is spent, the closer the dashes; the figure stands beside. */
.tint {
  fill: none;
  pointer-events: none;
  stroke: rgb(var(--v-theme-primary));
}

.tint.calm {
  stroke-dasharray: 0.25 1.4;
  stroke-opacity: 0.8;
}

.tint.worked {
  stroke-dasharray: 0.7 0.7;
}

.tint.watch {
  stroke: rgb(var(--v-theme-warning));
  stroke-dasharray: 1.4 0.35;
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
