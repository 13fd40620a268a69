<script setup lang="ts">
import { computed, useId } from 'vue'
import type { Mark, PatternForm } from '../../api/client'
import MetalGradient from '../../drawing/MetalGradient.vue'
import StripFoot from '../../drawing/StripFoot.vue'
import StripRuler from '../../drawing/StripRuler.vue'
import { useStrip } from '../../drawing/strip'
import { useAmounts } from '../../shared/amounts'

/** One blank as straight wire to scale: flush ends, bend zones, marks from the left end. */
const props = defineProps<{
  form: PatternForm
  thicknessMm: number
  truePixels?: number | null
  /** Forming steps that are done, cutting counted as 1: their zones are filled. */
  done: number
  lit: number[]
}>()
const emit = defineEmits<{ point: [mark: Mark | null] }>()

const id = useId()
const edge = 6
const { across, acrossNumber, acrossUnit } = useAmounts()
/** As a mark is measured off: to a tenth of a millimetre, or a thousandth of an inch. */
const marked = (mm: number) => acrossNumber(mm, acrossUnit.value === 'mm' ? 1 : 3)
/** The strip stays as high as it is while one drags. */
const lane = 22
const blank = computed(() => props.form.blank)
const { scale, x, thick, full } = useStrip(
  edge,
  () => blank.value.flush_mm,
  () => props.thicknessMm,
  () => props.truePixels,
  lane,
)

/** Marks with their zones; a mark's texts stand on the first of two lines where nothing else does. */
const zones = computed(() => {
  const ends = [-1e9, -1e9]
  return props.form.marks.map((mark) => {
    const from = x(mark.at_mm)
    const to = Math.max(x(mark.to_mm), from + 3)
    const number = mark.from_end ? 'end' : marked(mark.at_mm)
    const needs = number.length * 8 + mark.what.length * 7.2 + 14
    const right = from + needs > full.value
    const starts = right ? from - needs : from
    const line = starts > ends[0]! ? 0 : starts > ends[1]! ? 1 : 0
    ends[line] = right ? from + 6 : from + needs
    return {
      mark,
      from,
      to,
      number,
      line,
      right,
      lit: props.lit.includes(mark.segment_n),
      done: mark.forming_n <= props.done,
    }
  })
})
const top = 36
const wireTop = computed(() => top + (lane - thick.value) / 2)
const sum = computed(() => {
  const { developed_mm, trim_mm, filing_mm, left_tail_mm, right_tail_mm } = blank.value
  const tails = left_tail_mm + right_tail_mm
  const parts = [
    `${marked(developed_mm)} in the piece`,
    `trims ${marked(2 * trim_mm)}`,
    `filing ${marked(2 * filing_mm)}`,
  ]
  if (tails > 0) parts.push(`tails ${marked(tails)}`)
  return `${parts.join(' + ')} = ${across(blank.value.exact_mm)}, cut ${marked(blank.value.cut_mm)} ${acrossUnit.value}`
})
const said = computed(() =>
  props.form.marks
    .map((mark) =>
      mark.from_end
        ? `${mark.what} from the end`
        : `${mark.what} at ${marked(mark.at_mm)} ${acrossUnit.value}`,
    )
    .join(', '),
)
</script>

<template>
  <StripFoot
    label="The strip: one blank as straight wire"
    title="The strip: one blank, straight, marks from the flush left end"
  >
    <template #sum>
      <span class="quiet sum" data-test="sum">{{ sum }}</span>
    </template>
    <div ref="place" class="place">
      <svg :width="full" :height="top + lane + 48" role="img" :aria-label="said" data-test="strip">
        <defs>
          <MetalGradient :id="id" />
        </defs>
        <rect
          :x="x(0)"
          :y="wireTop"
          :width="blank.flush_mm * scale"
          :height="thick"
          :fill="`url(#${id})`"
          data-test="blank"
        />
        <rect
          v-if="blank.left_tail_mm > 0"
          class="tail"
          :x="x(0)"
          :y="wireTop"
          :width="blank.left_tail_mm * scale"
          :height="thick"
        />
        <rect
          v-if="blank.right_tail_mm + blank.surplus_mm > 0.01"
          class="tail"
          :x="x(blank.flush_mm - blank.right_tail_mm - blank.surplus_mm)"
          :y="wireTop"
          :width="(blank.right_tail_mm + blank.surplus_mm) * scale"
          :height="thick"
        />
        <g
          v-for="zone in zones"
          :key="`${zone.mark.segment_n}`"
          class="zone"
          :class="{ lit: zone.lit, done: zone.done }"
          :data-zone="zone.mark.segment_n"
          @pointerenter="emit('point', zone.mark)"
          @pointerleave="emit('point', null)"
        >
          <rect
            class="touch"
            :x="zone.from - 4"
            :y="0"
            :width="Math.max(zone.to - zone.from, 12) + 8"
            :height="top + lane + 8"
          />
          <rect class="bend" :x="zone.from" :y="wireTop" :width="zone.to - zone.from" :height="thick" />
          <line :x1="zone.from" :x2="zone.from" :y1="zone.line ? 2 : 18" :y2="top + lane + 6" />
          <text
            :x="zone.right ? zone.from - 4 : zone.from + 4"
            :y="zone.line ? 13 : 30"
            :text-anchor="zone.right ? 'end' : 'start'"
          >
            <tspan class="number">{{ zone.number }}</tspan>
            <tspan dx="6" class="what">{{ zone.mark.what }}</tspan>
          </text>
        </g>
        <StripRuler
          :transform="`translate(0 ${top + lane + 4})`"
          :length-mm="blank.flush_mm"
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

.sum {
  text-align: right;
}

.tail {
  fill: rgb(var(--v-theme-surface));
  fill-opacity: 0.66;
}

.touch {
  fill: transparent;
}

.bend {
  fill: rgb(var(--v-theme-primary));
  fill-opacity: 0.4;
}

.done .bend {
  fill-opacity: 0.72;
}

.lit .bend {
  fill-opacity: 1;
}

line {
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 1.6;
}

text {
  font-size: 14.5px;
  fill: rgb(var(--v-theme-on-surface));
}

.number {
  font-weight: 700;
}

.what {
  fill: rgb(var(--v-theme-quiet));
}

.lit .what {
  fill: rgb(var(--v-theme-primary));
  font-weight: 700;
}
</style>
