<script setup lang="ts">
import { ref, watch } from 'vue'
import { api, data, faultsOf, type Fault, type Settings } from '../api/client'
import { moneyAt } from '../shared/faults'
import { useNotice } from '../shared/notice'
import { useSettings } from '../shared/settings'
import { useWords } from '../shared/words'
import PaperDialog from '../shared/PaperDialog.vue'

/** What a gram of each metal is reckoned at, the currency and the hour rate; typed, or from the feed. */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ kept: [] }>()
const settings = useSettings()
const notice = useNotice()
const words = useWords()
const currency = ref('')
const rate = ref('')
const prices = ref<Record<string, string>>({})
const source = ref('')
const faults = ref<Fault[]>([])

watch(open, (now) => {
  if (!now) return
  const { metal_prices, hour_rate } = settings.settings
  currency.value = settings.settings.currency ?? ''
  rate.value = hour_rate ?? '0'
  prices.value = Object.fromEntries((metal_prices ?? []).map((one) => [one.metal, one.per_gram]))
  source.value = ''
  faults.value = []
})

async function fromFeed() {
  try {
    const feed = await data(api.GET('/api/metal-prices/feed'))
    for (const one of feed.prices) prices.value[one.metal] = one.per_gram
    source.value = `From ${feed.source}, ${feed.day}. They count once you keep them.`
  } catch (thrown) {
    faults.value = faultsOf(thrown)
  }
}

async function keep() {
  const wrong: Fault[] = []
  const hour_rate = moneyAt('hour_rate', wrong, rate.value) ?? '0'
  const metal_prices = Object.entries(prices.value)
    .map(([metal, text]) => ({ metal, per_gram: moneyAt(metal, wrong, text) }))
    .filter(({ per_gram }) => per_gram) as Settings['metal_prices']
  faults.value = wrong
  if (wrong.length) return
  try {
    await settings.keep({ currency: currency.value, hour_rate, metal_prices })
    open.value = false
    emit('kept')
    notice.say('Prices are kept.')
  } catch (thrown) {
    faults.value = faultsOf(thrown)
    await settings.load()
  }
}
</script>

<template>
  <PaperDialog
    v-model="open"
    title="Money"
    name="Metal prices and hour rate"
    :width="560"
    form
    @submit="keep"
  >
    <div class="pair">
      <v-text-field
        v-model="currency"
        label="What you reckon in"
        placeholder="florins"
        maxlength="8"
        autofocus
        data-test="currency"
      />
      <v-text-field v-model="rate" label="Your hour rate" inputmode="decimal" data-test="hour-rate" />
    </div>
    <h2 class="mt-4">A gram of metal</h2>
    <p class="quiet">For what scrap is worth, and what the wire of a piece costs where no lot says.</p>
    <v-btn class="ml-n4" data-test="from-feed" @click="fromFeed">Fill in from the feed</v-btn>
    <p v-if="source" class="quiet">{{ source }}</p>
    <div class="prices">
      <v-text-field
        v-for="metal in words?.metals ?? []"
        :key="metal.word"
        v-model="prices[metal.word]"
        :label="metal.shown"
        inputmode="decimal"
        autocomplete="off"
      />
    </div>
    <p v-for="fault in faults" :key="fault.field" class="stop" role="alert">{{ fault.sentence }}</p>
    <div class="mt-4">
      <v-btn type="submit" variant="flat" color="primary" data-test="keep-prices">Keep</v-btn>
      <v-btn @click="open = false">Cancel</v-btn>
    </div>
  </PaperDialog>
</template>

<style scoped>
.form {
  overflow-y: auto;
}

.pair,
.prices {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 18px;
}

.prices {
  grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
}
</style>
