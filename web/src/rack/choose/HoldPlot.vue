<script setup lang="ts">
import { t } from '../../text'
import { computed } from 'vue'
import type { WireCandidate } from '../../api/client'
import { usePlotLook } from '../../drawing/plot'
import PlotPlace from '../../drawing/PlotPlace.vue'

/** What each wire holds against what it asks of the hands; a stroke leads to what the barrel adds. */
const props = defineProps<{
  candidates: WireCandidate[]
  set: string[]
  /** What is asked of the piece, g. */
  bears: number
}>()
const look = usePlotLook()

const described = computed(() =>
  t('hold-plot-hold-against-effort', {
    effort: props.candidates
      .map((one, i) =>
        t('hold-plot-effort', {
          i: i + 1,
          one: one.label,
          holdsshown: one.holds_text?.[0],
          effort: one.effort.toFixed(1),
        }),
      )
      .join('; '),
  }),
)

const option = computed(() => {
  const { colours, text, tooltip } = look.value
  const [ink, quiet] = [colours['on-background'], colours.quiet]
  const axis = { ...look.value.axis, axisLabel: { ...text, hideOverlap: true }, min: 0 }
  return {
    animation: false,
    grid: { left: 60, right: 20, top: 14, bottom: 42 },
    tooltip: {
      ...tooltip,
      formatter: (at: { name: string; value: number[]; dataIndex: number }) =>
        t('hold-plot-holds-effort', {
          name: at.name,
          at: props.candidates[at.dataIndex]?.holds_text?.[0],
          at2: at.value[0]!.toFixed(1),
        }),
    },
    xAxis: { ...axis, name: t('hold-plot-effort-bend'), nameGap: 26 },
    yAxis: { ...axis, name: t('hold-plot-opens-at-grams'), nameGap: 42 },
    series: [
      ...props.candidates.map((one) => ({
        type: 'line',
        silent: true,
        data: [
          [one.effort, one.holds_g?.[0] ?? 0],
          [one.effort, one.holds_g?.[1] ?? 0],
        ],
        showSymbol: false,
        lineStyle: { width: props.set.includes(one.label) ? 3 : 1.4, color: quiet },
      })),
      {
        type: 'scatter',
        symbolSize: (_: number[], at: { dataIndex: number }) =>
          props.set.includes(props.candidates[at.dataIndex]?.label ?? '') ? 27 : 22,
        data: props.candidates.map((one, i) => ({
          name: `${i + 1}, ${one.label}`,
          value: [one.effort, one.holds_g?.[0] ?? 0],
          itemStyle: {
            color: colours.background,
            borderColor: props.set.includes(one.label) ? colours.primary : one.colour,
            borderWidth: props.set.includes(one.label) ? 4 : 3,
          },
          label: { show: true, formatter: String(i + 1), ...text, fontSize: 13, fontWeight: 700, color: ink },
        })),
        markLine:
          props.bears > 0
            ? {
                silent: true,
                symbol: 'none',
                lineStyle: { color: colours.primary, type: 'dashed' },
                label: {
                  formatter: t('hold-plot-asked'),
                  position: 'insideEndTop',
                  ...text,
                  color: colours.primary,
                },
                data: [{ yAxis: props.bears }],
              }
            : undefined,
      },
    ],
  }
})
</script>

<template>
  <PlotPlace class="plot" :option="option" :described="described" data-test="hold-plot" />
</template>

<style scoped>
.plot {
  height: 300px;
}
</style>
