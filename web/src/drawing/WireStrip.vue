<script setup lang="ts">
import { t } from '../text'
import { computed, useId } from 'vue'
import type { Strip, Workpiece } from '../api/client'
import MetalGradient from './MetalGradient.vue'
import StripFoot from './StripFoot.vue'
import StripRuler from './StripRuler.vue'
import { useStrip } from './strip'

const props = defineProps<{
  strip: Strip
  truePixels?: number | null
  /** The wire after the step that is looked at: how much of what it bears is spent. */
  workpiece?: Workpiece
}>()
const spent = computed(() => Math.max(0, ...(props.workpiece?.stretches ?? []).map((one) => one.spent_share)))

const id = useId()
const edge = 4
const { scale, x, thick, full } = useStrip(
  edge,
  () => props.strip.length_mm,
  () => props.strip.thickness_mm,
  () => props.truePixels,
  24,
)

const last = computed(() => props.strip.zones.at(-1))
</script>

<template>
  <StripFoot
    :label="t('wire-strip-strip-one-ring-as-straight')"
    :title="t('wire-strip-strip-one-ring-straight')"
    class="strip"
  >
    <template #sum>
      <span data-test="sum">{{ strip.sum }}</span>
    </template>
    <div ref="place" class="place">
      <svg
        :width="full"
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
        <g v-if="workpiece" class="spent" data-test="spent-strip">
          <rect
            :x="edge"
            :y="24 + thick"
            :width="full - 2 * edge"
            height="4"
            :style="{ fillOpacity: Math.min(1, 0.06 + spent * 1.4) }"
          />
          <text :x="edge" y="14" class="quiet">
            {{ t('wire-strip-used', { spent: Math.round(spent * 100) }) }}
          </text>
        </g>
        <text v-if="last" class="quiet" :x="full - edge" y="14" text-anchor="end">{{ last.text }}</text>
        <StripRuler
          :transform="`translate(0 ${30 + thick})`"
          :length-mm="strip.length_mm"
          :scale="scale"
          :edge="edge"
          :width="full"
        />
      </svg>
    </div>
  </StripFoot>
</template>

<style scoped>
.place {
  overflow-x: auto;
}

svg {
  display: block;
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

/* How much of what the metal bears is spent: said in figures, and the darker the more. */
.spent rect {
  fill: rgb(var(--v-theme-warning));
}

.lost {
  fill: rgb(var(--v-theme-surface));
  stroke: rgb(var(--v-theme-error));
  stroke-width: 1.5;
}
</style>
