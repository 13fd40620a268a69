<script setup lang="ts">
import { t } from '../text'
import { useQuery } from '@tanstack/vue-query'
import { api, data } from '../api/client'
import HardeningPlot from './HardeningPlot.vue'

const { data: metals } = useQuery({
  queryKey: ['metals'],
  queryFn: () => data(api.GET('/api/metals')),
  staleTime: Infinity,
})
const headers = [
  { key: 'label', title: t('metal-table-metal') },
  { key: 'figures.modulus_gpa', title: t('metal-table-stiffness-gpa'), align: 'end' },
  { key: 'figures.annealed_mpa', title: t('metal-table-yields-at-mpa-soft'), align: 'end' },
  { key: 'figures.saturated_mpa', title: t('metal-table-fully-worked'), align: 'end' },
  { key: 'figures.fracture_strain', title: t('metal-table-breaks-at-strain'), align: 'end' },
  { key: 'figures.density_g_cm3', title: t('metal-table-g-cm'), align: 'end' },
  { key: 'figures.anneals_c[0]', title: t('metal-table-anneals-c'), align: 'end' },
  { key: 'annealing', title: t('metal-table-how-tell-hot-enough-then'), sortable: false },
  { key: 'figures.melts_c[0]', title: t('metal-table-melts-c'), align: 'end' },
  { key: 'joining', title: t('metal-table-joins-by'), sortable: false },
  { key: 'figures.care', title: t('metal-table-care'), sortable: false },
] as const
const range = (c: number[]) => (c[0] === c[1] ? `${c[0]}` : `${c[0]}–${c[1]}`)
</script>

<template>
  <section class="metals" aria-labelledby="metals">
    <h1 id="metals">{{ t('metal-table-metals-their-figures') }}</h1>
    <p class="quiet">
      {{ t('metal-table-typical-handbook-values-for-wrought') }}
    </p>
    <div class="scroll" tabindex="0" role="region" :aria-label="t('metal-table-metals')">
      <v-data-table class="ledger" :headers="headers" :items="metals ?? []" data-test="metals">
        <template #item="{ item: { label: shown, figures, joining, annealing } }">
          <tr>
            <td class="name"><span class="swatch" :style="{ background: figures.colour }" />{{ shown }}</td>
            <td class="right">{{ figures.modulus_gpa }}</td>
            <td class="right num">{{ figures.annealed_mpa }}</td>
            <td class="right num">{{ figures.saturated_mpa }}</td>
            <td class="right">{{ figures.fracture_strain.toFixed(1) }}</td>
            <td class="right">{{ figures.density_g_cm3.toFixed(2) }}</td>
            <td class="right">{{ range(figures.anneals_c) }}</td>
            <td class="quiet care">{{ annealing }}</td>
            <td class="right">{{ range(figures.melts_c) }}</td>
            <td>{{ joining }}</td>
            <td class="quiet care">{{ figures.care }}</td>
          </tr>
        </template>
      </v-data-table>
    </div>
    <HardeningPlot :metals="metals ?? []" />
  </section>
</template>

<style scoped>
.metals {
  margin-top: 48px;
}

.scroll {
  overflow-x: auto;
}

th {
  vertical-align: bottom;
}

.name {
  white-space: nowrap;
  font-weight: 700;
}

.swatch {
  display: inline-block;
  width: 26px;
  height: 9px;
  border-radius: 5px;
  margin-right: 9px;
}

.care {
  min-width: 200px;
  font-size: 0.96rem;
}
</style>
