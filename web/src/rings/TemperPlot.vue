<script setup lang="ts">
import { t } from '../text'
import { computed } from 'vue'
import type { Curve, CurvePoint, PlacedRod } from '../api/client'
import { usePlotLook } from '../drawing/plot'
import PlotPlace from '../drawing/PlotPlace.vue'
import { useAmounts } from '../shared/amounts'
import { useSettings } from '../shared/settings'

const props = defineProps<{ curves: Curve[]; rods: PlacedRod[]; here: CurvePoint }>()

const look = usePlotLook()
const settings = useSettings()
const { across, acrossUnit } = useAmounts()

const described = computed(() => {
  const ends = props.curves
    .map((curve) => ({ name: curve.label, last: curve.points.at(-1) }))
    .filter((end) => end.last)
    .map((end) =>
      t('temper-plot-ring-on-rod', {
        name: end.name,
        ringmm: across(end.last!.ring_mm),
        rodmm: across(end.last!.rod_mm),
      }),
    )
  return t('temper-plot-ring-inside-against-rod-by', { ends: ends.join('; ') })
})

/** Neighbouring curves end close together: the plan's own is named, and the outermost where they are clear of it. */
function named(i: number): boolean {
  const chosen = props.curves.findIndex((curve) => curve.chosen)
  return i === chosen || ((i === 0 || i === props.curves.length - 1) && Math.abs(i - chosen) > 1)
}

const option = computed(() => {
  const { colours, text, axis, tooltip } = look.value
  const [ink, quiet, accent] = [colours['on-background'], colours.quiet, colours.primary]
  const { one_mm, places_n } = settings.caliper
  /** A length as it lies on the axes. */
  const on = (mm: number) => mm / one_mm
  const read = (length: number) => `${length.toFixed(places_n)} ${acrossUnit.value}`
  const rods = props.curves[0]?.points.map((point) => on(point.rod_mm)) ?? []
  return {
    animation: false,
    grid: { left: 54, right: 128, top: 14, bottom: 42 },
    tooltip: {
      ...tooltip,
      formatter: (at: { seriesName: string; name: string; value: number[] }) =>
        t('temper-plot-rod-ring', {
          series_name: at.name || at.seriesName,
          at: read(at.value[0]!),
          at2: read(at.value[1]!),
        }),
    },
    xAxis: {
      ...axis,
      name: `rod, ${acrossUnit.value}`,
      nameGap: 26,
      min: rods[0],
      max: rods.at(-1),
      axisLabel: {
        ...text,
        showMinLabel: false,
        showMaxLabel: false,
        formatter: (length: number) => length.toFixed(places_n - 1),
      },
    },
    yAxis: {
      ...axis,
      name: t('temper-plot-ring-inside', { across_unit: acrossUnit.value }),
      nameGap: 36,
      scale: true,
    },
    series: [
      ...props.curves.map((curve, i) => ({
        type: 'line',
        name: curve.label,
        data: curve.points.map((point) => [on(point.rod_mm), on(point.ring_mm)]),
        showSymbol: false,
        lineStyle: {
          width: curve.chosen ? 3 : 1.3,
          color: curve.chosen ? accent : quiet,
          type: curve.chosen ? 'solid' : 'dashed',
        },
        itemStyle: { color: curve.chosen ? accent : quiet },
        endLabel: {
          show: named(i),
          formatter: '{a}',
          ...text,
          color: curve.chosen ? accent : quiet,
          fontWeight: curve.chosen ? 700 : 400,
        },
      })),
      {
        type: 'scatter',
        name: t('temper-plot-rods-you-own'),
        symbolSize: 9,
        itemStyle: { color: colours.background, borderColor: ink, borderWidth: 1.6 },
        data: props.rods
          .filter(
            (r) =>
              on(r.mandrel.diameter_mm) >= (rods[0] ?? 0) && on(r.mandrel.diameter_mm) <= (rods.at(-1) ?? 0),
          )
          .map((r) => ({ name: r.label, value: [on(r.mandrel.diameter_mm), on(r.ring_inside_diameter_mm)] })),
      },
      {
        type: 'scatter',
        name: t('temper-plot-this-plan'),
        symbolSize: 15,
        itemStyle: { color: accent },
        data: [[on(props.here.rod_mm), on(props.here.ring_mm)]],
      },
    ],
  }
})
</script>

<template>
  <PlotPlace class="plot" :option="option" :described="described" data-test="plot" />
</template>

<style scoped>
.plot {
  min-height: 240px;
}
</style>
