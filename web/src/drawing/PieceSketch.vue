<script setup lang="ts">
import { computed } from 'vue'
import type { Drawing } from '../api/client'
import DrawnShapes from './DrawnShapes.vue'

/** A piece drawn small, in its metal, as large as its place allows; or at a scale of its own. */
const props = defineProps<{
  drawing: Drawing
  colour?: string
  pixels?: number
  /** Whether what is long and thin lies down, so that it is drawn larger. */
  lying?: boolean
}>()

const box = computed(() => {
  const { left_mm, top_mm, width_mm, height_mm } = props.drawing.frame
  return { x: left_mm - 0.3, y: top_mm - 0.3, width: width_mm + 0.6, height: height_mm + 0.6 }
})
/** Long pieces lie on their side, their head to the left. */
const lies = computed(() => props.lying && box.value.height > 2.2 * box.value.width)
const view = computed(() => {
  const { x, y, width, height } = box.value
  return lies.value ? `${y} ${-x - width} ${height} ${width}` : `${x} ${y} ${width} ${height}`
})
const size = computed(() =>
  props.pixels ? { width: box.value.width * props.pixels, height: box.value.height * props.pixels } : {},
)
</script>

<template>
  <svg
    :viewBox="view"
    v-bind="size"
    :style="colour ? { '--metal': colour } : undefined"
    role="img"
    :aria-label="drawing.described"
  >
    <g :transform="lies ? 'rotate(-90)' : undefined"><DrawnShapes :drawing="drawing" /></g>
  </svg>
</template>
