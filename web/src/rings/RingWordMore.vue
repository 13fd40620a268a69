<script setup lang="ts">
import { t } from '../text'
import { useDebounceFn } from '@vueuse/core'
import { onMounted, ref, watch } from 'vue'
import { api, data, faultsOf, type Candidate, type RingRequest } from '../api/client'
import type { MoreOfWord } from '../desk/types'
import { useAmounts } from '../shared/amounts'
import PaperField from '../shared/PaperField.vue'
import { usePlan } from './plan'
import MenuLine from '../shared/MenuLine.vue'

/** What else the words of a ring plan offer: a count from a supply, rods ranked for a ring. */
const props = defineProps<MoreOfWord<RingRequest>>()

const plan = usePlan()
const { across, acrossNumber, acrossUnit } = useAmounts()
const supply = ref('')
const supplySaid = ref('')
const candidates = ref<Candidate[]>([])
const ideal = ref<number | null>(null)

/** Ranks the workshop's rods for the ring wanted. */
async function rank() {
  const wanted = props.readMm ?? plan.worked?.plan.ring_inside_diameter_mm
  if (props.slotName !== 'inside' || !wanted) return
  const { wire, rings_n, winding, cutting, ends, mandrel, pulls_n, hammered_mm, route } = props.from
  const body = {
    target_inside_diameter_mm: wanted,
    shape: mandrel.shape ?? 'round',
    wire,
    rings_n,
    winding,
    cutting,
    ends,
    pulls_n,
    hammered_mm,
    route,
  } as const
  try {
    const answer = await data(api.POST('/api/rings/mandrel', { body }))
    ideal.value = answer.mandrel_diameter_mm
    candidates.value = answer.candidates.slice(0, 8)
  } catch {
    // What is wrong with the ring is typed at the field it was typed in.
    ideal.value = null
    candidates.value = []
  }
}

const supplied = useDebounceFn(async () => {
  supplySaid.value = ''
  const typed = supply.value.trim()
  if (!typed) return
  try {
    const many = await data(api.POST('/api/rings/how-many', { body: { request: props.from, typed: typed } }))
    supplySaid.value = many.text
    // The supply stays the wish: the count follows whatever else is changed.
    if (many.rings_n > 0) await plan.type('rings', typed, props.from)
  } catch (thrown) {
    supplySaid.value = faultsOf(thrown)
      .map((fault) => fault.message)
      .join(' ')
  }
}, 160)

watch(() => props.readMm, rank)
onMounted(rank)
</script>

<template>
  <form v-if="slotName === 'rings'" class="part" @submit.prevent="plan.draft && choose(plan.draft)">
    <PaperField
      v-model="supply"
      :label="t('ring-word-more-or-enter-wire-you-have')"
      :placeholder="t('ring-word-more-3-m-10-ft-50')"
      persistent-placeholder
      :hint="supplySaid || t('ring-word-more-length-or-weight-number-rings')"
      data-test="supply"
      @update:model-value="supplied"
    />
  </form>
  <template v-if="slotName === 'inside' && ideal">
    <p class="part">
      {{ t('ring-word-more-ideal-rod') }}<b>{{ acrossNumber(ideal) }} {{ acrossUnit }}</b
      >{{ t('ring-word-more-your-closest-rods') }}
    </p>
    <MenuLine
      v-for="candidate in candidates"
      :key="candidate.label"
      class="choice"
      data-test="candidate"
      @click="choose({ ...from, mandrel: candidate.mandrel, wish: plan.draft?.wish })"
    >
      <span>{{ candidate.label }}</span>
      <span class="quiet">
        {{
          t('ring-word-more-gives', {
            ringinsidediametermm: across(candidate.ring_inside_diameter_mm),
            offmm: candidate.off_mm >= 0 ? '+' : '−',
            offmm2: acrossNumber(Math.abs(candidate.off_mm)),
          })
        }}
      </span>
    </MenuLine>
    <p v-if="!candidates.length" class="quiet">
      {{ t('ring-word-more-you-have-no-rod-this')
      }}<router-link to="/tools">{{ t('ring-word-more-tools') }}</router-link
      >.
    </p>
  </template>
</template>

<style scoped>
.part {
  margin: 14px 0 6px;
}

.choice {
  display: grid;
}
</style>
