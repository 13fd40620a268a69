<script setup lang="ts">
import { computed } from 'vue'
import type { Drawing } from '../api/client'
import DrawnShapes from './DrawnShapes.vue'

/** A piece drawn small, in its metal, as large as its place allows; or at a scale of its own. */
const props = defineProps<{ drawing: Drawing; colour?: string; pixels?: number }>()

const box = computed(() => {
  const { left_mm, top_mm, width_mm, height_mm } = props.drawing.frame
  return { x: left_mm - 0.3, y: top_mm - 0.3, width: width_mm + 0.6, height: height_mm + 0.6 }
})
const size = computed(() =>
  props.pixels ? { width: box.value.width * props.pixels, height: box.value.height * props.pixels } : {},
)
</script>

<template>
  <svg
    :viewBox="`${box.x} ${box.y} ${box.width} ${box.height}`"
    v-bind="size"
    :style="colour ? { '--metal': colour } : undefined"
    role="img"
    :aria-label="drawing.described"
  >
    <DrawnShapes :drawing="drawing" />
  </svg>
</template>
