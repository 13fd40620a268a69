<script setup lang="ts">
import { useId } from 'vue'
import type { Drawing } from '../api/client'

/** The shapes of a drawing, in millimetres: round wire in its metal, rods, tape, what cutting takes. */
defineProps<{ drawing: Drawing }>()
const id = useId()
</script>

<template>
  <defs>
    <radialGradient :id="`${id}-ball`" cx="0.38" cy="0.34" r="0.75">
      <stop offset="0" class="ball-light" />
      <stop offset="0.5" class="ball-body" />
      <stop offset="1" class="ball-edge" />
    </radialGradient>
    <linearGradient :id="`${id}-rod`" x1="0" y1="0" x2="0" y2="1">
      <stop offset="0" class="rod-dark" />
      <stop offset="0.3" class="rod-light" />
      <stop offset="1" class="rod-dark" />
    </linearGradient>
  </defs>
  <g class="metal">
    <template v-for="(shape, i) in drawing.shapes" :key="i">
      <g v-if="shape.role === 'wire'" :stroke-linecap="shape.round_ends ? 'round' : 'butt'">
        <path :d="shape.path" class="wire-edge" :stroke-width="shape.width_mm!" />
        <path :d="shape.path" class="wire-body" :stroke-width="shape.width_mm! * 0.86" />
        <path :d="shape.path" class="wire-bright" :stroke-width="shape.width_mm! * 0.5" />
        <path :d="shape.path" class="wire-shine" :stroke-width="shape.width_mm! * 0.18" />
      </g>
      <path v-else-if="shape.role === 'ball'" :d="shape.path" :fill="`url(#${id}-ball)`" />
      <path v-else-if="shape.role === 'rod'" :d="shape.path" :fill="`url(#${id}-rod)`" class="rod" />
      <path
        v-else
        :d="shape.path"
        :class="shape.role"
        :stroke-width="shape.role === 'kerf' ? 2 : undefined"
        vector-effect="non-scaling-stroke"
      />
    </template>
  </g>
</template>

<style scoped>
.rod-dark {
  stop-color: #868e96;
}

.rod-light {
  stop-color: #e4e7e9;
}

/* Mixed once for all the strokes of a drawing. */
.metal {
  --wire-edge: color-mix(in oklab, var(--metal) 45%, black);
  --wire-body: color-mix(in oklab, var(--metal) 82%, black);
  --wire-bright: color-mix(in oklab, var(--metal) 90%, white);
  --wire-shine: color-mix(in oklab, var(--metal) 45%, white);
}

.ball-light {
  stop-color: color-mix(in oklab, var(--metal) 30%, white);
}

.ball-body {
  stop-color: var(--metal);
}

.ball-edge {
  stop-color: color-mix(in oklab, var(--metal) 50%, black);
}

.wire-edge {
  fill: none;
  stroke: var(--wire-edge);
}

.wire-body {
  fill: none;
  stroke: var(--wire-body);
}

.wire-bright {
  fill: none;
  stroke: var(--wire-bright);
}

.wire-shine {
  fill: none;
  stroke: var(--wire-shine);
}

.tape {
  fill: #e2d5b0;
  stroke: #9a8f70;
  stroke-width: 1;
}

.rod-edge {
  fill: none;
  stroke: rgba(var(--v-theme-on-background), 0.45);
  stroke-width: 1;
}

.ghost {
  fill: none;
  stroke: rgb(var(--v-theme-on-background));
  stroke-opacity: 0.62;
  stroke-width: 1.3;
  stroke-dasharray: 5 5;
}

.ruler {
  fill: color-mix(in srgb, rgb(var(--v-theme-on-background)) 12%, rgb(var(--v-theme-background)));
  stroke: #8d8a7c;
  stroke-width: 1;
}

.mark {
  fill: none;
  stroke: rgb(var(--v-theme-on-background));
  stroke-width: 2;
}
.kerf {
  fill: none;
  stroke: rgb(var(--v-theme-error));
}

.break {
  fill: rgb(var(--v-theme-background));
}
</style>
