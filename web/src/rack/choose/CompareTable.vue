<script setup lang="ts">
import { t } from '../../text'
import { computed } from 'vue'
import type { WireCandidate } from '../../api/client'
import { useAmounts } from '../../shared/amounts'

/** Wires side by side, figure by figure. */
const props = defineProps<{
  compared: WireCandidate[]
  /** Which place a wire has among the candidates. */
  nthOf: (one: WireCandidate) => number
  /** Whether no load is given for the piece. */
  loadless: boolean
}>()
const { money } = useAmounts()
const percent = (share: number) => `${Math.round(100 * share)} %`
const loads = [
  { label: t('choose-view-opens-at-as-made'), of: (one: WireCandidate) => one.holds_text?.[0] ?? '' },
  { label: t('choose-view-after-tumbling'), of: (one: WireCandidate) => one.holds_text?.[1] ?? '' },
]
const others: { label: string; of: (one: WireCandidate) => string }[] = [
  { label: t('choose-view-effort-20-awg-soft-copper'), of: (one) => one.effort.toFixed(1) },
  { label: t('choose-view-stretch-used-at-tightest-bend'), of: (one) => percent(one.strain_used) },
  { label: t('choose-view-springs-back'), of: (one) => `${(100 * (1 - one.springback_ratio)).toFixed(1)} %` },
  { label: t('choose-view-wire-one-as-cut'), of: (one) => one.cut_text },
  { label: t('choose-view-costs'), of: (one) => money(one.cost) || t('choose-view-no-price-yet') },
]

const rows = computed(() => (props.loadless ? others : [...loads, ...others]))
</script>

<template>
  <v-table id="compared" class="ledger side" tabindex="-1" data-test="compared">
    <thead>
      <tr>
        <th>
          <span class="visually-hidden">{{ t('choose-view-figure') }}</span>
        </th>
        <th v-for="one in compared" :key="one.label" class="right">
          {{ nthOf(one) }}
          <span class="quiet">{{ one.label }}</span>
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.label">
        <td class="quiet">{{ row.label }}</td>
        <td v-for="one in compared" :key="one.label" class="right num">{{ row.of(one) }}</td>
      </tr>
    </tbody>
  </v-table>
</template>

<style scoped>
.side th {
  vertical-align: bottom;
  line-height: 1.15;
}

.side th .quiet {
  display: block;
  font-size: 0.92rem;
}

.side td {
  padding-block: 4px;
}

@media (max-width: 900px) {
  .side {
    overflow-x: auto;
  }
}
</style>
