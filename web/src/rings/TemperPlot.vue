<script setup lang="ts">
import { LineChart, ScatterChart } from 'echarts/charts'
import { GridComponent, TooltipComponent } from 'echarts/components'
import * as echarts from 'echarts/core'
import { CanvasRenderer } from 'echarts/renderers'
import { useElementSize } from '@vueuse/core'
import { computed, onBeforeUnmount, onMounted, useTemplateRef, watch } from 'vue'
import { useTheme } from 'vuetify'
import type { Curve, CurvePoint, PlacedRod } from '../api/client'

echarts.use([LineChart, ScatterChart, GridComponent, TooltipComponent, CanvasRenderer])

const props = defineProps<{ curves: Curve[]; rods: PlacedRod[]; here: CurvePoint }>()

const theme = useTheme()
const place = useTemplateRef<HTMLElement>('place')
const { width, height } = useElementSize(place)
let chart: echarts.ECharts | null = null

const described = computed(() => {
  const ends = props.curves
    .map((curve) => ({ name: curve.shown, last: curve.points.at(-1) }))
    .filter((end) => end.last)
    .map(
      (end) =>
        `${end.name}: ring ${end.last!.ring_mm.toFixed(2)} mm on a ${end.last!.rod_mm.toFixed(2)} mm rod`,
    )
  return `Ring inside against rod, by temper. ${ends.join('; ')}.`
})

/** Neighbouring curves end close together: the plan's own is named, and the outermost where they are clear of it. */
function named(i: number): boolean {
  const chosen = props.curves.findIndex((curve) => curve.chosen)
  return i === chosen || ((i === 0 || i === props.curves.length - 1) && Math.abs(i - chosen) > 1)
}

const option = computed<echarts.EChartsCoreOption>(() => {
  const colours = theme.current.value.colors
  const [ink, quiet, line, accent] = [
    colours['on-background'],
    colours.quiet,
    colours.hairline,
    colours.primary,
  ]
  const text = { fontFamily: 'Alegreya Sans', fontSize: 14, color: quiet }
  const axis = {
    type: 'value',
    axisLabel: text,
    nameTextStyle: { ...text, color: ink },
    splitLine: { lineStyle: { color: line, opacity: 0.5 } },
    axisLine: { lineStyle: { color: line } },
    nameLocation: 'middle',
  }
  const rods = props.curves[0]?.points.map((point) => point.rod_mm) ?? []
  return {
    animation: false,
    grid: { left: 54, right: 128, top: 14, bottom: 42 },
    tooltip: {
      trigger: 'item',
      renderMode: 'richText',
      backgroundColor: colours.surface,
      borderColor: line,
      textStyle: { ...text, color: ink },
      formatter: (at: { seriesName: string; name: string; value: number[] }) =>
        `${at.name || at.seriesName}: rod ${at.value[0]!.toFixed(2)} mm, ring ${at.value[1]!.toFixed(2)} mm`,
    },
    xAxis: {
      ...axis,
      name: 'rod, mm',
      nameGap: 26,
      min: rods[0],
      max: rods.at(-1),
      axisLabel: {
        ...text,
        showMinLabel: false,
        showMaxLabel: false,
        formatter: (mm: number) => mm.toFixed(1),
      },
    },
    yAxis: { ...axis, name: 'ring inside, mm', nameGap: 36, scale: true },
    series: [
      ...props.curves.map((curve, i) => ({
        type: 'line',
        name: curve.shown,
        data: curve.points.map((point) => [point.rod_mm, point.ring_mm]),
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
        name: 'rods you own',
        symbolSize: 9,
        itemStyle: { color: colours.background, borderColor: ink, borderWidth: 1.6 },
        data: props.rods
          .filter(
            (r) => r.mandrel.diameter_mm >= (rods[0] ?? 0) && r.mandrel.diameter_mm <= (rods.at(-1) ?? 0),
          )
          .map((r) => ({ name: r.shown, value: [r.mandrel.diameter_mm, r.ring_inside_diameter_mm] })),
      },
      {
        type: 'scatter',
        name: 'this plan',
        symbolSize: 15,
        itemStyle: { color: accent },
        data: [[props.here.rod_mm, props.here.ring_mm]],
      },
    ],
  }
})

onMounted(() => {
  chart = echarts.init(place.value, undefined, { renderer: 'canvas' })
  chart.setOption(option.value)
})
watch(option, (now) => chart?.setOption(now, true))
watch([width, height], () => chart?.resize())
onBeforeUnmount(() => chart?.dispose())
</script>

<template>
  <div ref="place" class="plot" role="img" :aria-label="described" data-test="plot" />
</template>

<style scoped>
.plot {
  min-height: 240px;
}
</style>
