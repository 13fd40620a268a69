<script setup lang="ts">
import type { Cost } from '../../api/client'
import { useAmounts } from '../../shared/amounts'
import { t } from '../../text'

/** What one costs to make, what it is made up of, and whether it is worth it. */
defineProps<{
  cost: Cost
  piecesN: number
  /** It is the answer to something else than is typed now. */
  old: boolean
}>()
const { money } = useAmounts()
</script>

<template>
  <section class="answer" :aria-label="t('cost-view-result')" aria-live="polite" data-test="cost">
    <p class="watch old" :class="{ now: old }" :aria-hidden="!old" :data-test="old ? 'old' : undefined">
      {{ t('cost-view-this-for-your-previous-entries') }}
    </p>
    <p class="large">
      <span class="num" data-test="cost-each">{{ money(cost.each) }}</span>{{ ' '
      }}<span class="quiet">{{ t('cost-view-one') }}</span>
    </p>
    <p class="large second">
      <span class="num">{{ money(cost.pair) }}</span> <span class="quiet">{{ t('cost-view-pair') }}</span>
    </p>
    <v-table class="ledger">
      <tbody>
        <tr>
          <td>{{ t('cost-view-wire-losses-included') }}</td>
          <td class="right num">{{ money(cost.wire) }}</td>
        </tr>
        <tr>
          <td>{{ t('cost-view-consumables') }}</td>
          <td class="right num">{{ money(cost.consumables) }}</td>
        </tr>
        <tr>
          <td>{{ t('cost-view-your-time-with-set-up') }}</td>
          <td class="right num">{{ money(cost.hand) }}</td>
        </tr>
        <tr>
          <td>{{ t('cost-view-all', { piecesn: piecesN }) }}</td>
          <td class="right num">{{ money(cost.all) }}</td>
        </tr>
      </tbody>
    </v-table>
    <p class="serif verdict" data-test="verdict">{{ cost.text }}</p>
    <p class="quiet working">{{ t('cost-view-one-2', { working: cost.working }) }}</p>
  </section>
</template>

<style scoped>
.large {
  font-size: 2.6rem;
  line-height: 1.1;
  margin: 0;
}

.second {
  font-size: 1.6rem;
  margin-bottom: 12px;
}

.large .quiet {
  font-size: 1.1rem;
}

.verdict {
  font-size: 1.35rem;
  line-height: 1.3;
  margin: 16px 0 6px;
}

.working {
  font-size: 0.98rem;
}

/* Its room is kept, so that nothing moves while one types. */
.old:not(.now) {
  visibility: hidden;
}
</style>
