<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { api, data } from '../api/client'

const { data: metals } = useQuery({
  queryKey: ['metals'],
  queryFn: () => data(api.GET('/api/metals')),
  staleTime: Infinity,
})
const range = (c: number[]) => (c[0] === c[1] ? `${c[0]}` : `${c[0]}–${c[1]}`)
</script>

<template>
  <section class="metals" aria-labelledby="metals">
    <h1 id="metals">Metals and their figures</h1>
    <p class="quiet">
      Typical handbook values for wrought wire, not a certificate: flow stress ±15 %, stiffness ±3 %,
      temperatures about. Source: metals handbooks (ASM Handbook vol. 2) and wire makers’ sheets; hardening
      constants fitted to the strengths listed for the tempers.
    </p>
    <div class="scroll" tabindex="0" role="region" aria-label="Metals">
      <table class="ledger" data-test="metals">
        <thead>
          <tr>
            <th>Metal</th>
            <th class="right">stiffness, GPa</th>
            <th class="right">yields at, MPa: soft</th>
            <th class="right">fully worked</th>
            <th class="right">breaks at strain</th>
            <th class="right">g/cm³</th>
            <th class="right">anneals, °C</th>
            <th>how to tell it is hot enough; then</th>
            <th class="right">melts, °C</th>
            <th>joins by</th>
            <th>care</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="{ metal, shown, figures, joining, annealing } in metals ?? []" :key="metal">
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
        </tbody>
      </table>
    </div>
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
