<script setup lang="ts">
import { t } from '../text'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { api, data } from '../api/client'
import { useAmounts } from '../shared/amounts'
import LotBox from './LotBox.vue'
import LotPlot from './LotPlot.vue'
import PullList from './PullList.vue'

/** How the lots on the rack spring against the handbook, and what of each was measured. */
const route = useRoute()
const { across } = useAmounts()
const { data: lots, error } = useQuery({
  queryKey: ['learned'],
  queryFn: () => data(api.GET('/api/learned')),
  staleTime: 0,
})
const measured = computed(() => (lots.value ?? []).filter((lot) => lot.measured))
const others = computed(() => (lots.value ?? []).filter((lot) => !lot.measured))
const chosen = computed(
  () => Number(route.query.lot) || (measured.value[0]?.lot_n ?? others.value[0]?.lot_n ?? null),
)
const { data: known } = useQuery({
  queryKey: ['lot-learned', chosen],
  queryFn: () => data(api.GET('/api/lots/{id}/learned', { params: { path: { id: chosen.value! } } })),
  enabled: () => chosen.value !== null,
  staleTime: 0,
})
</script>

<template>
  <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
  <p v-else-if="!lots" class="quiet" role="status">{{ t('lots-view-loading') }}</p>
  <p v-else-if="!lots.length" class="empty">
    {{ t('lots-view-no-wire-in-stock-yet')
    }}<router-link to="/wire">{{ t('lots-view-add-wire') }}</router-link>
  </p>
  <div v-else class="lots">
    <nav class="list" :aria-label="t('lots-view-lots')">
      <p v-if="!measured.length" class="empty" data-test="no-lots">
        {{ t('lots-view-no-lot-measured-yet-plans')
        }}<router-link to="/measure">{{ t('lots-view-measure-coil') }}</router-link>
      </p>
      <router-link
        v-for="lot in measured"
        :key="lot.lot_n"
        :to="`/measure/springback?lot=${lot.lot_n}`"
        class="line"
        :aria-current="lot.lot_n === chosen ? 'true' : undefined"
        data-test="lot-line"
      >
        <span class="serif name">{{ t('lots-view-lot', { lotn: lot.lot_n, name: lot.name }) }}</span>
        <span>{{ lot.text }}</span>
      </router-link>
      <details v-if="others.length" :open="others.some((lot) => lot.lot_n === chosen)">
        <summary class="quiet">{{ t('lots-view-not-measured', { others: others.length }) }}</summary>
        <router-link
          v-for="lot in others"
          :key="lot.lot_n"
          :to="`/measure/springback?lot=${lot.lot_n}`"
          class="line"
          :aria-current="lot.lot_n === chosen ? 'true' : undefined"
          data-test="other-lot"
          >{{ t('lots-view-lot', { lotn: lot.lot_n, name: lot.name }) }}</router-link
        >
      </details>
    </nav>
    <section v-if="chosen && known" class="one">
      <LotBox :lot-n="chosen" open />
      <LotPlot v-if="known.points.length + known.pulls.length" :known="known" />
      <ul v-if="known.points.length" class="points">
        <li
          v-for="(point, i) in known.points"
          :key="i"
          :class="{ watch: point.outlier, quiet: point.excluded }"
        >
          <router-link :to="`/measure/${known.of[i]!.check}`">{{ known.of[i]!.name }}</router-link>{{ ' ' }}
          <span class="num">{{ across(point.inside_mm) }}</span>{{
            t('lots-view-inside-usually', { handbookmm: across(point.handbook_mm) })
          }}<template v-if="point.excluded">{{ t('lots-view-set-aside') }}</template>
          <template v-else-if="point.outlier">{{ t('lots-view-looks-wrong-measure-again-or') }}</template>
        </li>
      </ul>
      <PullList :known="known" />
    </section>
  </div>
</template>

<style scoped>
.lots {
  display: grid;
  grid-template-columns: minmax(250px, 340px) minmax(0, 1fr);
  gap: 14px 44px;
}

.line {
  display: block;
  color: inherit !important;
  text-decoration: none;
  padding: 8px 10px;
  margin-left: -10px;
  border-left: 3px solid transparent;
}

.line[aria-current] {
  border-color: rgb(var(--v-theme-primary));
}

.line span {
  display: block;
  text-wrap: balance;
}

.name {
  font-size: 1.25rem;
}

.points {
  padding-left: 1.2em;
}

@media (max-width: 820px) {
  .lots {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
