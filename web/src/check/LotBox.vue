<script setup lang="ts">
import { t } from '../text'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { api, data } from '../api/client'
import { usePlan } from '../rings/plan'

/** What is known of the lot that is measured, and the rod its next plan takes. */
const props = defineProps<{ lotN: number; open?: boolean }>()
const router = useRouter()
const plan = usePlan()
const { data: known } = useQuery({
  queryKey: ['lot-learned', computed(() => props.lotN)],
  queryFn: () => data(api.GET('/api/lots/{id}/learned', { params: { path: { id: props.lotN } } })),
  staleTime: 0,
})
async function planWith() {
  await plan.start(known.value!.rod!.request)
  await router.push('/rings')
}
</script>

<template>
  <section v-if="known" class="lot" data-test="lot-known">
    <h2>
      {{ t('lot-box-lot', { lotn: known.lot_n }) }}<span class="quiet">{{ known.wire }}</span>
    </h2>
    <p class="told" data-test="lot-told">{{ known.text }}</p>
    <p v-if="known.rod && known.measured_n" data-test="lot-rod">
      {{ known.rod.text }}
      <v-btn class="no-print" data-test="plan-with-lot" @click="planWith">{{
        t('lot-box-plan-with-this-rod')
      }}</v-btn>
    </p>
    <p v-for="rod in known.rods ?? []" :key="rod" class="watch" data-test="lot-rod-error">{{ rod }}</p>
    <p v-if="known.next" class="quiet" data-test="lot-next">{{ known.next.text }}</p>
    <router-link v-if="!open && known.measured_n" class="no-print" :to="`/measure/springback?lot=${lotN}`">{{
      t('lot-box-all-its-measurements')
    }}</router-link>
  </section>
</template>

<style scoped>
.lot {
  margin: 0 0 16px;
  max-width: 80ch;
}

h2 .quiet {
  font-weight: 400;
  margin-left: 8px;
}

.told {
  font-size: 1.15rem;
  margin: 0 0 6px;
}
</style>
