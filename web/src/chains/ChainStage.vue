<script setup lang="ts">
import { t } from '../text'
import { useElementSize, useRafFn } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useTheme } from 'vuetify'
import type { RingDrawn } from '../api/client'
import { covers, draw, mixed, prepare, QUICK, sides, type Look, type Turn } from './picture'

/** A chain as it lies, drawn from its rings; turned by dragging, or by the arrows. */
const props = defineProps<{
  rings: RingDrawn[]
  /** Colour of each part's metal. */
  colours: string[]
  /** What it shows, in a sentence. */
  says: string
  /** Pixels in a millimetre for true size; without it the drawing fills its place. */
  truePixels?: number | null
  /** Whether what is put in stands out, and what is there stands back. */
  placing?: boolean
}>()
const turn = defineModel<Turn>('turn', { required: true })
const place = useTemplateRef<HTMLElement>('place')
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const { width, height } = useElementSize(place)
const theme = useTheme()

const prepared = shallowRef(prepare(props.rings))
/** The same in fewer arcs, for while it is turned. */
const coarse = shallowRef(prepare(props.rings, QUICK))
watch(
  () => props.rings,
  (rings) => {
    prepared.value = prepare(rings)
    coarse.value = prepare(rings, QUICK)
  },
)

const tones = computed(() => theme.current.value.colors)
function look(ring: RingDrawn): Look {
  const { 'on-background': ink, background, primary, warning, quiet } = tones.value as Record<string, string>
  const metal = props.colours[ring.part] ?? props.colours[0] ?? '#b9683a'
  const dark = theme.current.value.dark
  const plain = {
    body: metal,
    edge: mixed(metal, dark ? '#000000' : ink!, dark ? 0.75 : 0.72),
    light: mixed(metal, '#ffffff', 0.55),
    ticked: ring.part > 0,
    bold: false,
  }
  if (!props.placing) return plain
  if (ring.role === 'there')
    return {
      ...plain,
      body: mixed(background!, quiet!, 0.22),
      edge: mixed(background!, quiet!, 0.6),
      light: background!,
    }
  const by = { new: primary!, through: metal, 'taken-up': warning! }[ring.role]
  return {
    body: ring.role === 'new' ? mixed(primary!, background!, 0.1) : by,
    edge: mixed(by, ink!, dark ? 0.2 : 0.55),
    light: mixed(by, '#ffffff', 0.5),
    ticked: ring.role === 'taken-up',
    bold: ring.role === 'new',
  }
}

/** Where it was grabbed, while it is turned. */
const from = ref<{ x: number; y: number; turn: Turn; scale: number } | null>(null)

const scale = computed((): number => {
  if (props.truePixels) return props.truePixels
  // While it is turned it does not breathe.
  if (from.value) return from.value.scale
  const [wide, high] = covers(prepared.value, turn.value)
  const room = 18
  // A few rings are not blown up beyond what a hand lens shows.
  const most = 26 / Math.max(...props.rings.map((ring) => ring.wire_mm), 0.1)
  return Math.min((width.value / 2 - room) / wide, (height.value / 2 - room) / high, most)
})

// Drawn once a frame at most, however often it is turned.
let stale = true
const { resume, pause } = useRafFn(
  () => {
    const into = canvas.value?.getContext('2d')
    if (!stale || !into || !canvas.value || width.value < 2) return
    stale = false
    const pixels = window.devicePixelRatio
    const [wide, high] = [Math.round(width.value * pixels), Math.round(height.value * pixels)]
    if (canvas.value.width !== wide) canvas.value.width = wide
    if (canvas.value.height !== high) canvas.value.height = high
    const letters = props.placing ? (theme.current.value.dark ? '#10211F' : '#ffffff') : null
    // Few rings are drawn in full even then.
    const turning = from.value !== null && props.rings.length > 24
    draw(into, turning ? coarse.value : prepared.value, turn.value, scale.value * pixels, look, letters)
  },
  { immediate: true },
)
watch([prepared, turn, from, scale, width, height, tones, () => props.colours, () => props.placing], () => {
  stale = true
  resume()
})
onBeforeUnmount(pause)

function grab(event: PointerEvent) {
  from.value = { x: event.clientX, y: event.clientY, turn: turn.value, scale: scale.value }
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
}
function drag(event: PointerEvent) {
  if (!from.value) return
  const { x, y, turn: start } = from.value
  turn.value = {
    yaw: start.yaw + (event.clientX - x) * 0.008,
    pitch: start.pitch + (event.clientY - y) * 0.008,
  }
}
function arrow(event: KeyboardEvent) {
  const step = Math.PI / 24
  const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, -step], ArrowDown: [0, step] }[
    event.key
  ]
  if (!by) return
  event.preventDefault()
  turn.value = { yaw: turn.value.yaw + by[0]!, pitch: turn.value.pitch + by[1]! }
}
const seenFrom = (side: (typeof sides)[number]) =>
  Math.abs(turn.value.yaw - side.turn.yaw) < 1e-6 && Math.abs(turn.value.pitch - side.turn.pitch) < 1e-6
</script>

<template>
  <div class="stage">
    <div
      ref="place"
      class="place"
      tabindex="0"
      role="img"
      :aria-label="t('chain-stage-drag-or-use-arrow-keys', { says })"
      data-test="chain-stage"
      @pointerdown="grab"
      @pointermove="drag"
      @pointerup="from = null"
      @pointercancel="from = null"
      @keydown="arrow"
    >
      <canvas ref="canvas" aria-hidden="true" />
    </div>
    <span class="from no-print" role="group" :aria-label="t('chain-stage-view-from')">
      <v-btn
        v-for="side in sides"
        :key="side.key"
        class="toggle"
        :aria-pressed="seenFrom(side)"
        :data-test="`from-${side.key}`"
        @click="turn = { ...side.turn }"
      >
        {{ side.says }}
      </v-btn>
      <span class="quiet hint">{{ t('chain-stage-drag-turn') }}</span>
      <slot />
    </span>
  </div>
</template>

<style scoped>
.stage {
  display: flex;
  flex-direction: column;
  min-height: 0;
}

.place {
  flex: 1 1 180px;
  min-height: 140px;
  position: relative;
  cursor: grab;
  touch-action: pan-y;
  overflow: hidden;
}

.place:active {
  cursor: grabbing;
}

canvas {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}

.from {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 16px;
}

.hint {
  font-size: 0.95rem;
  font-style: italic;
}
</style>
