<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { api, data } from '../api/client'
import { usePlan } from '../rings/plan'
import { useAmounts } from '../shared/amounts'

/** What is known of the lot that is measured, and the rod its next plan takes. */
const props = defineProps<{ lotN: number; open?: boolean }>()
const router = useRouter()
const plan = usePlan()
const { across } = useAmounts()
const { data: known } = useQuery({
  queryKey: ['lot-learned', computed(() => props.lotN)],
  queryFn: () => data(api.GET('/api/lots/{id}/learned', { params: { path: { id: props.lotN } } })),
  staleTime: 0,
})
const other = computed(() => known.value?.rod && known.value.rod.now !== known.value.rod.handbook)
/** Whether it is surer by what a caliper shows. */
const surer = computed(
  () => known.value?.rod && across(known.value.rod.now_mm) !== across(known.value.rod.handbook_mm),
)
async function planWith() {
  await plan.start(known.value!.rod!.request)
  await router.push('/rings')
}
</script>

<template>
  <section v-if="known" class="lot" data-test="lot-known">
    <h2>
      Lot {{ known.lot_n }} <span class="quiet">{{ known.wire }}</span>
    </h2>
    <p class="told" data-test="lot-told">{{ known.told }}</p>
    <p v-if="known.rod && known.measured_n" data-test="lot-rod">
      A ring {{ across(known.rod.inside_mm) }} inside now needs the <b>{{ known.rod.now }}</b><template
        v-if="other"
      >
        instead of the {{ known.rod.handbook }}</template
      ><template v-if="surer"
        >: ± {{ across(known.rod.now_mm) }} instead of ± {{ across(known.rod.handbook_mm) }}</template
      >.
      <v-btn class="no-print" data-test="plan-with-lot" @click="planWith">Plan with it</v-btn>
    </p>
    <router-link v-if="!open && known.measured_n" class="no-print" :to="`/check/lots?lot=${lotN}`"
      >All its measurements</router-link
    >
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
