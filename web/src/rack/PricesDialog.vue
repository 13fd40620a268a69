<script setup lang="ts">
import { t } from '../text'
import { ref, watch } from 'vue'
import { api, data, type Settings } from '../api/client'
import { readFields, useForm } from '../shared/form'
import { useNotice } from '../shared/notice'
import { useSettings } from '../shared/settings'
import { useWords } from '../shared/words'
import PaperDialog from '../shared/PaperDialog.vue'
import PaperField from '../shared/PaperField.vue'

/** What a gram of each metal is reckoned at, the currency and the hour rate; typed, or from a price list. */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ kept: [] }>()
const settings = useSettings()
const notice = useNotice()
const words = useWords()
const currency = ref('')
const rate = ref('')
const prices = ref<Record<string, string>>({})
const source = ref('')
const { faults, take, attempt } = useForm()

watch(open, (now) => {
  if (!now) return
  const { metal_prices, hour_rate } = settings.settings
  currency.value = settings.settings.currency ?? ''
  rate.value = hour_rate ?? '0'
  prices.value = Object.fromEntries((metal_prices ?? []).map((one) => [one.metal, one.per_gram]))
  source.value = ''
  faults.value = []
})

const fromFeed = () =>
  attempt(async () => {
    const feed = await data(api.GET('/api/metal-prices/feed'))
    for (const one of feed.prices) prices.value[one.metal] = one.per_gram
    source.value = t('prices-dialog-from-press-save-use-them', { source: feed.source, day: feed.day })
  })

async function keep() {
  try {
    faults.value = []
    const metals = Object.fromEntries(Object.keys(prices.value).map((metal) => [metal, 'money'] as const))
    const texts = { ...prices.value, hour_rate: rate.value }
    const { hour_rate, ...read } = await readFields(texts, { hour_rate: 'money', ...metals })
    const metal_prices = Object.entries(read).flatMap(([metal, per_gram]) =>
      per_gram ? [{ metal, per_gram }] : [],
    ) as Settings['metal_prices']
    await settings.keep({ currency: currency.value, hour_rate: hour_rate ?? '0', metal_prices })
    open.value = false
    emit('kept')
    notice.say(t('prices-dialog-prices-saved'))
  } catch (thrown) {
    take(thrown)
    await settings.load()
  }
}
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="t('prices-dialog-money')"
    :name="t('prices-dialog-named')"
    :width="560"
    :does="t('prices-dialog-save')"
    test="keep-prices"
    @submit="keep"
  >
    <div class="pair">
      <PaperField
        v-model="currency"
        name="currency"
        :label="t('prices-dialog-currency')"
        :placeholder="t('prices-dialog-florins')"
        maxlength="8"
        autofocus
        data-test="currency"
      />
      <PaperField
        v-model="rate"
        name="hour_rate"
        :label="t('prices-dialog-your-hour-rate')"
        figures
        data-test="hour-rate"
      />
    </div>
    <h2>{{ t('prices-dialog-gram-metal') }}</h2>
    <p class="quiet">{{ t('prices-dialog-used-for-scrap-for-pieces') }}</p>
    <v-btn class="from-list" data-test="from-feed" @click="fromFeed">{{
      t('prices-dialog-fill-in-from-price-list')
    }}</v-btn>
    <p v-if="source" class="quiet">{{ source }}</p>
    <div class="prices">
      <PaperField
        v-for="metal in words?.metals ?? []"
        :key="metal.word"
        v-model="prices[metal.word]"
        :name="metal.word"
        :label="metal.label"
        figures
        :data-test="`price-${metal.word}`"
      />
    </div>
  </PaperDialog>
</template>

<style scoped>
.pair,
.prices {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px 18px;
}

h2 {
  margin: 20px 0 0;
}

.from-list {
  align-self: start;
  margin-left: -16px;
}

.prices {
  grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
}
</style>
