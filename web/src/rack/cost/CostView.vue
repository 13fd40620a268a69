<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { refDebounced, useSessionStorage } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { api, data, faultsOf, type CostRequest } from '../../api/client'
import PaperField from '../../shared/PaperField.vue'
import { useForm, useShownLengths, useTyped } from '../../shared/form'
import PiecePicker from '../PiecePicker.vue'
import type { ChosenPiece } from '../../shared/asked'
import PricesDialog from '../PricesDialog.vue'
import { useAmounts } from '../../shared/amounts'

/** What a piece costs to make, against what it costs to buy. */
const { currency, money } = useAmounts()
const piece = ref<ChosenPiece | null>(null)
const pricing = ref(false)
/** What was typed stays when one looks at something else meanwhile. */
const texts = useSessionStorage<Record<string, string>>('lorimant.cost', {})
const notes = ref({ wire: '', price: '' })
/** Whether it is counted, and so sold, in pairs. */
const inPairs = ref(false)
/** Whether wire is priced by the foot. */
const byFoot = ref(false)
const { show, exact } = useShownLengths()
const { faults, elsewhere, attempt } = useForm()

const fields = computed(() => [
  { key: 'pieces_n', label: 'How many are made', unit: '' },
  { key: 'wire_mm', label: 'Wire of one, as cut', unit: '' },
  { key: 'loss_share', label: 'Lost besides: scrap, trials', unit: '%' },
  {
    key: 'wire_price',
    label: byFoot.value ? 'A foot of the wire' : 'A metre of the wire',
    unit: currency.value,
  },
  { key: 'consumables', label: 'Blades, abrasives, fuel for one', unit: currency.value },
  { key: 'minutes', label: 'Your hands, for one', unit: 'min' },
  { key: 'setting_up_minutes', label: 'Setting up, once', unit: 'min' },
  { key: 'hour_rate', label: 'Your hour', unit: currency.value },
  { key: 'bought', label: inPairs.value ? 'A pair bought' : 'One bought', unit: currency.value },
])

const start = () =>
  attempt(async () => {
    if (!piece.value) return
    const known = await data(api.POST('/api/costs/start', { body: piece.value.purpose }))
    const { request } = known
    notes.value = { wire: known.wire_shown, price: known.price_from }
    inPairs.value = request.bought_pair ?? false
    byFoot.value = request.price_of_foot ?? false
    texts.value = {
      ...texts.value,
      pieces_n: String(request.pieces_n),
      wire_mm: show(request.wire_mm),
      loss_share: String(Number(((request.loss_share ?? 0) * 100).toFixed(2))),
      wire_price: request.wire_price,
      consumables: texts.value.consumables ?? '0',
      minutes: texts.value.minutes ?? '',
      setting_up_minutes: texts.value.setting_up_minutes ?? '',
      hour_rate: request.hour_rate,
      bought: texts.value.bought ?? '',
    }
  })
watch(piece, start)

const settled = refDebounced(texts, 100)
const { typed, faults: typedFaults } = useTyped(() => settled.value, {
  pieces_n: 'count',
  wire_mm: 'length',
  loss_share: 'percent',
  wire_price: 'money',
  consumables: 'money',
  minutes: 'minutes',
  setting_up_minutes: 'minutes',
  hour_rate: 'money',
  bought: 'money',
})
/** What is typed, once a piece is chosen; an empty line is nothing. */
const request = computed<CostRequest | null>(() => {
  const read = typed.value && exact(typed.value, settled.value)
  if (!piece.value || !read?.wire_mm) return null
  return {
    pieces_n: read.pieces_n ?? 0,
    wire_mm: read.wire_mm,
    loss_share: read.loss_share ?? 0,
    wire_price: read.wire_price ?? '0',
    price_of_foot: byFoot.value,
    consumables: read.consumables ?? '0',
    minutes: read.minutes ?? 0,
    setting_up_minutes: read.setting_up_minutes ?? 0,
    hour_rate: read.hour_rate ?? '0',
    bought: read.bought,
    bought_pair: inPairs.value,
  }
})
const { data: cost, error } = useQuery({
  queryKey: ['cost', request],
  queryFn: () => data(api.POST('/api/costs', { body: request.value! })),
  enabled: () => !!request.value,
  placeholderData: (before) => before,
})
/** What stands there is the answer to something else than is typed now. */
const old = computed(() => !request.value || !!error.value)
watch([typedFaults, error], () => {
  faults.value = [...typedFaults.value, ...(error.value ? faultsOf(error.value) : [])]
})
</script>

<template>
  <div class="cost">
    <section class="form" aria-label="What goes into it">
      <p class="wish serif">What does <PiecePicker v-model="piece" label="choose a piece" first /> cost?</p>
      <p v-if="notes.wire" class="quiet">{{ notes.wire }}. {{ notes.price }}</p>
      <div v-if="piece" class="fields">
        <template v-for="field in fields" :key="field.key">
          <PaperField
            v-model="texts[field.key]"
            :name="field.key"
            :label="field.label"
            :suffix="field.unit"
            figures
            :data-test="`cost-${field.key}`"
          />
        </template>
      </div>
      <p v-for="fault in elsewhere" :key="fault.sentence" class="stop" role="alert">{{ fault.sentence }}</p>
      <v-btn class="ml-n4 no-print" @click="pricing = true">Prices, currency and hour rate</v-btn>
      <PricesDialog v-model="pricing" @kept="start" />
    </section>
    <section v-if="cost" class="answer" aria-label="What it comes to" aria-live="polite" data-test="cost">
      <p v-if="old" class="watch" data-test="old">This is of what stood there before.</p>
      <p class="large">
        <span class="num" data-test="cost-each">{{ money(cost.each) }}</span> <span class="quiet">one</span>
      </p>
      <p class="large second">
        <span class="num">{{ money(cost.pair) }}</span> <span class="quiet">a pair</span>
      </p>
      <table class="ledger">
        <tbody>
          <tr>
            <td>Wire, losses included</td>
            <td class="right num">{{ money(cost.wire) }}</td>
          </tr>
          <tr>
            <td>Consumables</td>
            <td class="right num">{{ money(cost.consumables) }}</td>
          </tr>
          <tr>
            <td>Your hands, setting up shared out</td>
            <td class="right num">{{ money(cost.hand) }}</td>
          </tr>
          <tr>
            <td>All {{ request?.pieces_n }}</td>
            <td class="right num">{{ money(cost.all) }}</td>
          </tr>
        </tbody>
      </table>
      <p class="serif verdict" data-test="verdict">{{ cost.sentence }}</p>
      <p class="quiet working">One: {{ cost.working }}</p>
    </section>
    <p v-else-if="!piece" class="empty">
      Keep a plan or a finding first, or choose one as it is usually made.
    </p>
  </div>
</template>

<style scoped>
.cost {
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr);
  gap: 24px 64px;
  align-items: start;
}

.wish {
  font-size: 1.35rem;
  margin: 0;
}

.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 4px 24px;
}

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

@media (max-width: 900px) {
  .cost {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
