<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { LineChart, ScatterChart } from 'echarts/charts'
import { GridComponent, MarkLineComponent, TooltipComponent } from 'echarts/components'
import * as echarts from 'echarts/core'
import { CanvasRenderer } from 'echarts/renderers'
import { onBeforeUnmount, onMounted, useTemplateRef, watch } from 'vue'

echarts.use([LineChart, ScatterChart, GridComponent, TooltipComponent, MarkLineComponent, CanvasRenderer])

/** Where a plot is drawn; what it shows is said in words for those who do not see it. */
const props = defineProps<{ option: echarts.EChartsCoreOption; described: string }>()
const place = useTemplateRef<HTMLElement>('place')
const { width, height } = useElementSize(place)
let chart: echarts.ECharts | null = null

onMounted(() => {
  chart = echarts.init(place.value, undefined, { renderer: 'canvas' })
  chart.setOption(props.option)
})
watch(
  () => props.option,
  (now) => chart?.setOption(now, true),
)
watch([width, height], () => chart?.resize())
onBeforeUnmount(() => chart?.dispose())
</script>

<template>
  <div ref="place" role="img" :aria-label="described" />
</template>
