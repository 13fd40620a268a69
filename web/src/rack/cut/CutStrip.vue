<script setup lang="ts">
import { t } from '../../text'
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import type { StockCut } from '../../api/client'
import { useAmounts } from '../../shared/amounts'

/** A piece of stock to scale with the others of its plan: blanks, the rest that stays, scrap at the end. */
const props = defineProps<{ piece: StockCut; longest: number; colour: string }>()
const place = useTemplateRef<HTMLElement>('place')
const { width } = useElementSize(place)
const { acrossNumber, acrossUnit } = useAmounts()
const scale = computed(() => (width.value - 2) / props.longest)

const groups = computed(() => {
  let at = 0
  return props.piece.cuts.map((cut, i) => {
    const from = at
    const each = cut.length_mm * scale.value
    at += cut.n * each
    // A line between blanks only where they are wide enough to tell apart.
    const lines = each > 3 ? Array.from({ length: cut.n - 1 }, (_, k) => from + (k + 1) * each) : []
    const label = `${cut.n} × ${Number(acrossNumber(cut.ruler_mm ?? cut.length_mm))} ${acrossUnit.value}`
    return { i, from, to: at, lines, label: at - from > label.length * 8 ? label : '' }
  })
})
const rest = computed(() => groups.value.at(-1)?.to ?? 0)
const stays = computed(() => props.piece.offcut_mm * scale.value)
const lost = computed(() => Math.max(props.piece.scrap_mm > 0 ? 2 : 0, props.piece.scrap_mm * scale.value))
</script>

<template>
  <div ref="place" class="cut-strip" aria-hidden="true">
    <svg v-if="width > 0" :width="width" height="24">
      <rect
        v-for="group in groups"
        :key="group.i"
        :class="['blanks', { other: group.i % 2 }]"
        :x="group.from"
        y="3"
        :width="Math.max(1, group.to - group.from)"
        height="18"
        :fill="colour"
      />
      <path
        v-for="group in groups"
        :key="`lines ${group.i}`"
        class="between"
        :d="group.lines.map((x) => `M${x} 3V21`).join('')"
      />
      <rect v-if="stays > 0" class="stays" :x="rest" y="3.5" :width="stays" height="17" :stroke="colour" />
      <rect class="lost" :x="rest + stays" y="3" :width="lost" height="18" />
      <text
        v-for="group in groups.filter((one) => one.label)"
        :key="`label ${group.i}`"
        :x="(group.from + group.to) / 2"
        y="16.5"
      >
        {{ group.label }}
      </text>
      <text v-if="stays > 90" class="quiet-text" :x="rest + stays / 2" y="16.5">
        {{ t('cut-strip-left') }}
      </text>
    </svg>
  </div>
</template>

<style scoped>
.cut-strip {
  height: 24px;
}

svg {
  display: block;
}

.other {
  opacity: 0.8;
}

.between {
  stroke: rgb(var(--v-theme-background));
  stroke-width: 1;
}

.stays {
  fill: none;
  stroke-dasharray: 5 3;
}

.lost {
  fill: rgb(var(--v-theme-error));
}

text {
  font: 500 14px var(--sans);
  text-anchor: middle;
  fill: #1a1d20;
  paint-order: stroke;
  stroke: rgb(255 255 255 / 70%);
  stroke-width: 3px;
}

.quiet-text {
  fill: rgb(var(--v-theme-quiet));
  stroke: none;
}
</style>
