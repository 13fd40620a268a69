<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data, type MetalRow } from '../api/client'
import { usePlotLook } from '../drawing/plot'
import PaperChoice from '../shared/PaperChoice.vue'
import { onDemand } from '../shared/onDemand'
import { t } from '../text'

/** How one metal hardens as it is drawn or worked, its tempers on the curve, and the lots here that were measured. */
const props = defineProps<{
  metals: readonly (Pick<MetalRow, 'metal' | 'label' | 'hardening'> & { figures: { colour: string } })[]
}>()
// The plotting library is large, and everything above it is read without it.
const PlotPlace = onDemand(() => import('../drawing/PlotPlace.vue'))
const look = usePlotLook()
const chosen = ref<string | null>('sterling-silver')
const { data: learned } = useQuery({
  queryKey: ['learned'],
  queryFn: () => data(api.GET('/api/learned')),
  staleTime: 0,
})

const choices = computed(() => props.metals.map(({ metal, label }) => ({ word: metal, label })))
const row = computed(() => props.metals.find(({ metal }) => metal === chosen.value))
const curve = computed(() => row.value?.hardening)
const lots = computed(() => (learned.value ?? []).filter((lot) => lot.measured && lot.metal === chosen.value))
const whole = (mpa: number) => mpa.toFixed(0)
const described = computed(() =>
  t('hardening-plot-described', {
    metal: row.value?.label ?? '',
    tempers: (curve.value?.tempers ?? [])
      .map((one) => t('hardening-plot-temper-at', { temper: one.label, mpa: whole(one.yields_mpa) }))
      .join('; '),
  }),
)

const option = computed(() => {
  const { colours, text, axis, tooltip } = look.value
  const { points = [], tempers = [] } = curve.value ?? {}
  const line = { type: 'line', silent: true, symbol: 'none' }
  const unseen = { ...line, stack: 'spread', stackStrategy: 'all', lineStyle: { opacity: 0 } }
  const label = (formatter: string, color: unknown, position: 'left' | 'right', down: number) => ({
    label: { ...text, show: true, formatter, color, position, offset: [0, down] },
  })
  return {
    animation: false,
    grid: { left: 68, right: 24, top: 16, bottom: 44 },
    tooltip: {
      ...tooltip,
      formatter: ({ name, value: [, mpa] }: { name: string; value: [number, number] }) =>
        t('hardening-plot-temper-at', { temper: name, mpa: whole(mpa) }),
    },
    xAxis: { ...axis, name: t('hardening-plot-drawn'), nameGap: 26, min: 0, max: 8, interval: 1 },
    yAxis: { ...axis, name: t('hardening-plot-yields'), nameGap: 48, min: 0 },
    series: [
      { ...unseen, data: points.map((one) => [one.drawn_n, one.yields_mpa - one.spread_mpa]) },
      {
        ...unseen,
        data: points.map((one) => [one.drawn_n, 2 * one.spread_mpa]),
        areaStyle: { color: colours.quiet, opacity: 0.16 },
      },
      {
        ...line,
        lineStyle: { color: row.value?.figures.colour, width: 4 },
        data: points.map((one) => [one.drawn_n, one.yields_mpa]),
      },
      {
        type: 'scatter',
        symbolSize: 9,
        itemStyle: { color: colours['on-background'] },
        data: tempers.map((one) => ({
          name: one.label,
          value: [one.drawn_n, one.yields_mpa],
          // Under the curve; the last has no room on its right.
          ...label(one.label, colours['on-background'], one.drawn_n > 6 ? 'left' : 'right', 14),
        })),
      },
      ...lots.value.map(({ hardened: at }) => ({
        ...line,
        lineStyle: { color: colours.primary, width: 1.5 },
        data: [
          [at.drawn_n, at.yields_mpa - at.spread_mpa],
          [at.drawn_n, at.yields_mpa + at.spread_mpa],
        ],
      })),
      {
        type: 'scatter',
        symbol: 'rect',
        symbolSize: 10,
        itemStyle: { color: colours.primary },
        data: lots.value.map(({ lot_n, name, hardened: at }) => ({
          name: t('lots-view-lot', { lotn: lot_n, name }),
          value: [at.drawn_n, at.yields_mpa],
          // Above the curve; the first has no room on its left.
          ...label(
            t('hardening-plot-lot', { lotn: lot_n }),
            colours.primary,
            at.drawn_n > 1 ? 'left' : 'right',
            -14,
          ),
        })),
      },
    ],
  }
})
</script>

<template>
  <section class="hardening" aria-labelledby="hardening">
    <h2 id="hardening">{{ t('hardening-plot-title') }}</h2>
    <p class="quiet about">
      {{ t('hardening-plot-about')
      }}<router-link to="/measure/springback">{{ t('hardening-plot-springback') }}</router-link>
    </p>
    <PaperChoice
      v-model="chosen"
      class="metal"
      :label="t('metal-table-metal')"
      :choices="choices"
      data-test="hardening-metal"
    />
    <div class="both">
      <div class="plot">
        <PlotPlace v-if="curve" class="place" :option="option" :described="described" data-test="hardening" />
      </div>
      <v-table v-if="curve" class="ledger" data-test="hardening-tempers">
        <thead>
          <tr>
            <th>{{ t('hardening-plot-temper') }}</th>
            <th class="right">{{ t('hardening-plot-gives-at') }}</th>
            <th class="right">{{ t('hardening-plot-breaks-at') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in curve.tempers" :key="one.label">
            <td class="temper">{{ one.label }}</td>
            <td class="right num">{{ whole(one.yields_mpa) }}</td>
            <td class="right num">{{ whole(one.breaks_mpa) }}</td>
          </tr>
        </tbody>
      </v-table>
    </div>
  </section>
</template>

<style scoped>
.hardening {
  margin-top: 32px;
}

.about {
  max-width: 80ch;
}

.metal {
  max-width: 280px;
}

.both {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(240px, 2fr);
  gap: 12px 40px;
  align-items: start;
}

/* The plot comes later, and what is below it stays where it is. */
.plot,
.place {
  height: 340px;
}

.temper {
  white-space: nowrap;
}

@media (max-width: 820px) {
  .both {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
