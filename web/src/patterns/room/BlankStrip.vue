<script setup lang="ts">
import { t } from '../../text'
import { computed, useId } from 'vue'
import type { Mark, PatternForm, Workpiece } from '../../api/client'
import MetalGradient from '../../drawing/MetalGradient.vue'
import StripFoot from '../../drawing/StripFoot.vue'
import StripRuler from '../../drawing/StripRuler.vue'
import { useStrip } from '../../drawing/strip'
import { zonesOf } from './zones'
import { useAmounts } from '../../shared/amounts'

/** One blank as straight wire to scale: flush ends, bend zones, marks from the end each is measured from. */
const props = defineProps<{
  form: PatternForm
  thicknessMm: number
  truePixels?: number | null
  /** Forming steps that are done, cutting counted as 1: their zones are filled. */
  done: number
  lit: number[]
  /** The wire after the step that is looked at: how much of what it bears is spent, stretch by stretch. */
  workpiece?: Workpiece
}>()
/** The ruler is laid on from the end in hand. */
const fromRight = computed(() => props.form.steps[props.done - 1]?.from === 'far-end')
/** Where the wire is folded by now, so that its two halves lie on each other: the far end of the fold, mm. */
const folded = computed(() => {
  const doubled = props.form.doubled
  if (!doubled || props.done < doubled.from_step_n) return null
  return props.done < (doubled.parted_step_n ?? Infinity) ? doubled : null
})
const emit = defineEmits<{ point: [mark: Mark | null] }>()

const id = useId()
const edge = 6
const { acrossNumber, acrossUnit } = useAmounts()
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

const zones = computed(() =>
  zonesOf(props.form.marks, {
    x,
    wide: full.value,
    end: folded.value?.to_mm,
    lit: props.lit,
    done: props.done,
  }),
)
const spent = computed(() => {
  const piece = props.workpiece
  const shown = (piece?.stretches ?? []).filter(
    (stretch) => !folded.value || stretch.from_mm + piece!.starts_mm < folded.value.to_mm - 0.01,
  )
  return shown.map((stretch) => {
    const from = x(stretch.from_mm + piece!.starts_mm)
    const to = x(stretch.to_mm + piece!.starts_mm)
    return {
      from,
      width: to - from,
      share: stretch.spent_share,
      says: `${Math.round(stretch.spent_share * 100)} %`,
    }
  })
})
const top = 36
const wireTop = computed(() => top + (lane - thick.value) / 2)
const sum = computed(() => {
  const { developed_mm, left_filing_mm, right_filing_mm, left_tail_mm, right_tail_mm } = blank.value
  const { surplus_mm, surplus_at, flush_mm, cut_mm } = blank.value
  const others = [
    [t('blank-strip-filing'), left_filing_mm + right_filing_mm],
    [t('blank-strip-tails'), left_tail_mm + right_tail_mm],
    [surplus_at ? t('blank-strip-longer', { surplusat: surplus_at }) : t('blank-strip-rounding'), surplus_mm],
  ] as const
  const parts = others
    .filter(([, mm]) => marked(Math.abs(mm)) !== marked(0))
    .map(([what, mm]) => `${what} ${marked(mm)}`)
  const all = [t('blank-strip-in-piece', { developedmm: marked(developed_mm) }), ...parts].join(' + ')
  return t('blank-strip-flush-flush-off-spool', {
    all,
    flush: marked(flush_mm),
    cut: marked(cut_mm),
    unit: acrossUnit.value,
  })
})
const label = computed(() =>
  props.form.marks
    .map((mark) =>
      mark.from_end
        ? t('blank-strip-from-end', { what: mark.what })
        : mark.from === 'far-end'
          ? t('blank-strip-from-right-end', { what: mark.what, ruler: mark.ruler })
          : t('blank-strip-from-left-end', { what: mark.what, ruler: mark.ruler }),
    )
    .join(', '),
)
</script>

<template>
  <StripFoot
    :label="t('blank-strip-strip-one-blank-as-straight')"
    :title="
      folded
        ? t('blank-strip-strip-one-blank-folded-in')
        : fromRight
          ? t('blank-strip-ruler-from-right')
          : t('blank-strip-ruler-from-left')
    "
  >
    <template #sum>
      <span class="quiet sum" data-test="sum">{{ sum }}</span>
    </template>
    <div ref="place" class="place">
      <svg :width="full" :height="top + lane + 66" role="img" :aria-label="label" data-test="strip">
        <defs>
          <MetalGradient :id="id" />
        </defs>
        <rect
          :x="x(0)"
          :y="wireTop"
          :width="(folded ? folded.to_mm : blank.flush_mm) * scale"
          :height="thick"
          :fill="`url(#${id})`"
          data-test="blank"
        />
        <!-- Its other half, folded back on it. -->
        <rect
          v-if="folded"
          :x="x(0)"
          :y="wireTop + thick"
          :width="folded.to_mm * scale"
          :height="thick"
          :fill="`url(#${id})`"
          data-test="other-half"
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
          v-if="!folded && blank.right_tail_mm + blank.surplus_mm > 0.01"
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
          <line :x1="zone.place" :x2="zone.place" :y1="zone.line ? 2 : 18" :y2="top + lane + 6" />
          <text
            :x="zone.right ? zone.place - 4 : zone.place + 4"
            :y="zone.line ? 13 : 30"
            :text-anchor="zone.right ? 'end' : 'start'"
          >
            <tspan class="number">{{ zone.number }}</tspan>
            <tspan dx="6" class="what">{{ zone.mark.what }}</tspan>
          </text>
        </g>
        <g v-for="one in spent" :key="one.from" class="spent">
          <rect
            :x="one.from"
            :y="top + lane + 5"
            :width="one.width"
            height="4"
            :style="{ fillOpacity: Math.min(1, 0.06 + one.share * 1.4) }"
          />
          <text v-if="one.width > 44" :x="one.from + one.width / 2" :y="top + lane + 20" text-anchor="middle">
            {{ one.says }}{{ one.width > 130 ? t('blank-strip-used') : '' }}
          </text>
        </g>
        <StripRuler
          :transform="`translate(0 ${top + lane + 22})`"
          :length-mm="blank.flush_mm"
          :scale="scale"
          :edge="edge"
          :width="full"
          :from-right="fromRight"
          :data-from="fromRight ? 'right' : 'left'"
          data-test="ruler"
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

/* How much of what the metal bears is spent: label in figures, and the darker the more. */
.spent rect {
  fill: rgb(var(--v-theme-warning));
}

.spent text {
  font-size: 13px;
  fill: rgb(var(--v-theme-quiet));
}

.what {
  fill: rgb(var(--v-theme-quiet));
}

.lit .what {
  fill: rgb(var(--v-theme-primary));
  font-weight: 700;
}
</style>
