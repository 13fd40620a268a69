<script setup lang="ts">
import { t } from '../text'
import { computed } from 'vue'
import type { LotKnown } from '../api/client'
import { usePlotLook } from '../drawing/plot'
import PlotPlace from '../drawing/PlotPlace.vue'

/** The factor of a lot: the handbook's band, each measurement with how sure it is, and the band now. */
const props = defineProps<{ known: LotKnown }>()
const look = usePlotLook()

/** A spread in whole per cent. */
const within = (spread: number) => (100 * spread).toFixed(0)
const per = (factor: number) => 100 * (factor - 1)
/** Coils and rings first, then pull tests. */
const all = computed(() => [...props.known.points, ...props.known.pulls])
const coils = computed(() => props.known.points.length)
const described = computed(() =>
  t('lot-plot-springback-compared-with-usual-usual', {
    handbookspread: within(props.known.handbook_spread),
    spread: all.value
      .map((point, i) =>
        t('lot-plot-point', {
          n: i + 1,
          flow: per(point.flow).toFixed(0),
          spread: within(point.spread),
        }),
      )
      .join('; '),
    flow: per(props.known.flow).toFixed(1),
    spread2: (100 * props.known.spread).toFixed(1),
  }),
)
/** Coils are round, pull tests square, what looks wrong stands on its tip; what is set aside is empty. */
function shape(i: number, point: { excluded: boolean; outlier: boolean }) {
  if (i >= coils.value) return point.excluded ? 'emptyRect' : point.outlier ? 'diamond' : 'rect'
  return point.excluded ? 'emptyCircle' : point.outlier ? 'diamond' : 'circle'
}
/** What stands under a measurement. */
function named(n: number) {
  if (n <= 0 || n > all.value.length) return ''
  return n > coils.value ? t('lot-plot-pull-n', { n: n - coils.value }) : String(n)
}
const option = computed(() => {
  const { colours, text, axis, tooltip } = look.value
  const { flow, spread, handbook_spread } = props.known
  const points = all.value
  const n = points.length
  /** As far as anything reaches, in whole tens; what reaches further goes off the paper. */
  const far = Math.max(30, ...points.map((point) => Math.abs(per(point.flow)) + 6))
  const edge = Math.min(90, 10 * Math.ceil(far / 10))
  /** A band from left to right, as a line and what lies between it and another. */
  const band = (name: string, from: number, to: number, colour: string, opacity: number) => [
    {
      type: 'line',
      stack: name,
      silent: true,
      symbol: 'none',
      lineStyle: { opacity: 0 },
      data: [
        [0, per(from)],
        [n + 1, per(from)],
      ],
    },
    {
      type: 'line',
      stack: name,
      name,
      silent: true,
      symbol: 'none',
      stackStrategy: 'all',
      lineStyle: { opacity: 0 },
      areaStyle: { color: colour, opacity },
      data: [
        [0, per(to) - per(from)],
        [n + 1, per(to) - per(from)],
      ],
    },
  ]
  const dots = points.map((point, i) => ({
    value: [i + 1, per(point.flow)],
    symbol: shape(i, point),
    itemStyle: { color: point.excluded ? colours.quiet : point.outlier ? colours.error : colours.primary },
  }))
  const bars = points.map((point, i) => ({
    type: 'line',
    silent: true,
    symbol: 'none',
    lineStyle: { color: point.excluded ? colours.quiet : colours.primary, width: 1.5 },
    data: [
      [i + 1, per(point.flow - point.spread)],
      [i + 1, per(point.flow + point.spread)],
    ],
  }))
  const name = (label: string, at: number, colour: string) => ({
    yAxis: per(at),
    lineStyle: { color: colour, width: 1.4 },
    label: { ...text, formatter: label, position: 'insideEndTop', color: colour },
  })
  return {
    animation: false,
    grid: { left: 64, right: 24, top: 16, bottom: 40 },
    tooltip: {
      ...tooltip,
      formatter: ({ value: [n, per] }: { value: [number, number] }) =>
        n > coils.value
          ? t('lot-plot-pull', { at: n - coils.value, at2: per.toFixed(1) })
          : t('lot-plot-measurement', { at: n, at2: per.toFixed(1) }),
    },
    xAxis: {
      ...axis,
      name: t('lot-plot-axis'),
      nameGap: 24,
      min: 0,
      max: n + 1,
      interval: 1,
      axisLabel: { ...text, formatter: named },
    },
    yAxis: { ...axis, name: t('lot-plot-springs-back-more'), nameGap: 44, min: -edge, max: edge },
    series: [
      ...band('handbook', 1 - handbook_spread, 1 + handbook_spread, String(colours.quiet), 0.16),
      ...band('now', flow - spread, flow + spread, String(colours.primary), 0.3),
      ...bars,
      {
        type: 'scatter',
        symbolSize: 11,
        data: dots,
        markLine: {
          symbol: 'none',
          silent: true,
          data: [
            name(t('lot-plot-usual', { handbookspread: within(handbook_spread) }), 1, String(colours.quiet)),
            name(t('lot-plot-now'), flow, String(colours.primary)),
          ],
        },
      },
    ],
  }
})
</script>

<template>
  <PlotPlace class="plot" :option="option" :described="described" data-test="lot-plot" />
</template>

<style scoped>
.plot {
  height: 320px;
  max-width: 820px;
}
</style>
