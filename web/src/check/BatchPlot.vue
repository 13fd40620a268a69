<script setup lang="ts">
import { t } from '../text'
import { computed } from 'vue'
import type { BatchChart } from '../api/client'
import { usePlotLook } from '../drawing/plot'
import PlotPlace from '../drawing/PlotPlace.vue'
import { useAmounts } from '../shared/amounts'
import { useSettings } from '../shared/settings'

/** One dimension of a batch, piece after piece, between the limits it may have. */
const props = defineProps<{ chart: BatchChart; what: string }>()
const look = usePlotLook()
const settings = useSettings()
const { across, acrossUnit } = useAmounts()

const described = computed(() =>
  t('batch-plot-pieces-on-mean-from-one', {
    what: props.what,
    pieces: props.chart.pieces.length,
    mean: across(props.chart.mean),
    spread: across(props.chart.spread),
    least: across(props.chart.least),
    most: across(props.chart.most),
  }),
)
const told = computed(() => new Set(props.chart.signs.flatMap((sign) => sign.pieces_n)))
const option = computed(() => {
  const { colours, text, axis, tooltip } = look.value
  const on = (mm: number) => mm / settings.caliper.one_mm
  const limit = (mm: number, name: string) => ({
    yAxis: on(mm),
    name,
    lineStyle: { color: colours.warning, type: 'dashed', width: 1.3 },
    label: { ...text, formatter: name, position: 'insideEndTop', color: colours.warning },
  })
  return {
    animation: false,
    grid: { left: 64, right: 24, top: 22, bottom: 40 },
    tooltip: {
      ...tooltip,
      formatter: (point: { value: number[] }) =>
        t('batch-plot-number', {
          point: point.value[0],
          placesn: point.value[1]!.toFixed(settings.caliper.places_n),
          across_unit: acrossUnit.value,
        }),
    },
    xAxis: {
      ...axis,
      name: 'number',
      nameGap: 24,
      minInterval: 1,
      axisLabel: { ...text, showMinLabel: false, showMaxLabel: false },
      min: 0.5,
      max: props.chart.pieces.at(-1)!.piece_n + 0.5,
    },
    yAxis: {
      ...axis,
      scale: true,
      axisLabel: {
        ...text,
        showMinLabel: false,
        showMaxLabel: false,
        formatter: (mm: number) => mm.toFixed(settings.caliper.places_n),
      },
      min: (range: { min: number; max: number }) => Math.min(range.min, on(props.chart.least)) - on(0.03),
      max: (range: { min: number; max: number }) => Math.max(range.max, on(props.chart.most)) + on(0.03),
    },
    series: [
      {
        type: 'line',
        data: props.chart.pieces.map(({ piece_n: n, mm }) => ({
          value: [n, on(mm)],
          itemStyle: { color: told.value.has(n) ? colours.error : colours.primary },
          symbol: told.value.has(n) ? 'diamond' : 'circle',
        })),
        symbolSize: 8,
        lineStyle: { color: colours.quiet, width: 1 },
        markLine: {
          symbol: 'none',
          silent: true,
          data: [limit(props.chart.least, 'least'), limit(props.chart.most, 'most')],
        },
      },
    ],
  }
})
</script>

<template>
  <section class="chart" data-test="chart">
    <h2>
      {{ what }}
      <span class="quiet"
        >{{ t('batch-plot-on-mean', { mean: across(chart.mean), spread: across(chart.spread) })
        }}<template v-if="chart.would_pass">, {{ chart.would_pass }}</template></span
      >
    </h2>
    <PlotPlace class="plot" :option="option" :described="described" />
    <p v-for="sign in chart.signs" :key="sign.text" class="watch" data-test="sign">{{ sign.text }}</p>
  </section>
</template>

<style scoped>
.chart {
  margin: 14px 0;
}

.plot {
  height: 210px;
  max-width: 900px;
}

h2 .quiet {
  font-weight: 400;
  margin-left: 10px;
}
</style>
