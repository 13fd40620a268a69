<script setup lang="ts">
import { t } from '../../text'
import HelpLink from '../../shared/HelpLink.vue'
import { useQuery } from '@tanstack/vue-query'
import { refDebounced, useSessionStorage } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { api, data, faultsOf, type CostRequest } from '../../api/client'
import PaperWord from '../../shared/PaperWord.vue'
import { useForm, useShownLengths, useTyped } from '../../shared/form'
import PiecePicker from '../PiecePicker.vue'
import type { ChosenPiece } from '../../shared/asked'
import PricesDialog from '../PricesDialog.vue'
import CostAnswer from './CostAnswer.vue'
import { useAmounts } from '../../shared/amounts'

/** What a piece costs to make, against what it costs to buy. */
const { currency } = useAmounts()
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

/** A price nobody has said yet is not nought. */
const unlessZero = (price: string) => (Number(price) ? price : '')

const start = () =>
  attempt(async () => {
    const asked = piece.value
    if (!asked) return
    const before = { ...texts.value }
    const known = await data(api.POST('/api/costs/start', { body: asked.purpose }))
    if (piece.value !== asked) return
    const { request } = known
    // What was typed while the answer was on its way stays.
    const typed = Object.entries(texts.value).filter(([name, text]) => text !== before[name])
    notes.value = { wire: known.wire_label, price: known.price_from }
    inPairs.value = request.bought_pair ?? false
    byFoot.value = request.price_of_foot ?? false
    texts.value = {
      ...texts.value,
      pieces_n: String(request.pieces_n),
      wire_mm: show(request.wire_mm),
      loss_share: String(Number(((request.loss_share ?? 0) * 100).toFixed(2))),
      wire_price: unlessZero(request.wire_price),
      consumables: texts.value.consumables ?? '0',
      minutes: String(request.minutes),
      setting_up_minutes: String(request.setting_up_minutes),
      hour_rate: unlessZero(request.hour_rate),
      bought: texts.value.bought ?? '',
      ...Object.fromEntries(typed),
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
  if (!piece.value || !read?.wire_mm || read.wire_price === undefined) return null
  return {
    pieces_n: read.pieces_n ?? 0,
    wire_mm: read.wire_mm,
    loss_share: read.loss_share ?? 0,
    wire_price: read.wire_price,
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
    <section class="form" :aria-label="t('cost-view-what-goes-into')">
      <p class="wish serif">
        {{ t('cost-view-what-does')
        }}<PiecePicker v-model="piece" :label="t('cost-view-choose-piece')" first />{{ t('cost-view-cost') }}
      </p>
      <p v-if="notes.wire" class="quiet from">{{ notes.wire }}. {{ notes.price }}</p>
      <p v-if="piece" class="wish serif summary" data-test="cost-sentence">
        <PaperWord
          v-model="texts.pieces_n"
          name="pieces_n"
          :label="t('cost-view-how-many-made')"
          figures
          data-test="cost-pieces_n"
        />{{ t('cost-view-made-each-cut-from')
        }}<PaperWord
          v-model="texts.wire_mm"
          name="wire_mm"
          :label="t('cost-view-wire-one-as-cut')"
          data-test="cost-wire_mm"
        />{{ t('cost-view-wire-at')
        }}<PaperWord
          v-model="texts.wire_price"
          name="wire_price"
          :label="t('cost-view-what-wire-costs')"
          :placeholder="t('cost-view-how-much')"
          figures
          data-test="cost-wire_price"
        />{{ t('cost-view-a', { currency, metre: byFoot ? t('cost-view-foot') : t('cost-view-metre') })
        }}<PaperWord
          v-model="texts.loss_share"
          name="loss_share"
          :label="t('cost-view-other-losses-scrap-trials-percent')"
          figures
          data-test="cost-loss_share"
        />{{ t('cost-view-more-goes-scrap-trials-blades')
        }}<PaperWord
          v-model="texts.consumables"
          name="consumables"
          :label="t('cost-view-blades-abrasives-fuel-for-one')"
          figures
          data-test="cost-consumables"
        />{{ t('cost-view-each-my-time-for-one')
        }}<PaperWord
          v-model="texts.minutes"
          name="minutes"
          :label="t('cost-view-your-time-for-one-minutes')"
          :placeholder="t('cost-view-how-many')"
          figures
          data-test="cost-minutes"
        />{{ t('cost-view-minutes-set-up')
        }}<PaperWord
          v-model="texts.setting_up_minutes"
          name="setting_up_minutes"
          :label="t('cost-view-setting-up-once-minutes')"
          :placeholder="t('cost-view-how-many')"
          figures
          data-test="cost-setting_up_minutes"
        />{{ t('cost-view-once-hour-costs')
        }}<PaperWord
          v-model="texts.hour_rate"
          name="hour_rate"
          :label="t('cost-view-your-hour')"
          :placeholder="t('cost-view-how-much')"
          figures
          data-test="cost-hour_rate"
        />{{ t('cost-view-costs-buy', { one: inPairs ? t('cost-view-buy-pair') : t('cost-view-buy-one') })
        }}<PaperWord
          v-model="texts.bought"
          name="bought"
          :label="inPairs ? t('cost-view-pair-bought') : t('cost-view-one-bought')"
          :placeholder="t('cost-view-how-much')"
          figures
          data-test="cost-bought"
        />.
      </p>
      <p v-for="fault in elsewhere" :key="fault.message" class="stop" role="alert">{{ fault.message }}</p>
      <v-btn class="ml-n4 no-print" @click="pricing = true">{{
        t('cost-view-prices-currency-hour-rate')
      }}</v-btn>
      <PricesDialog v-model="pricing" @kept="start" />
    </section>
    <CostAnswer v-if="cost" :cost="cost" :pieces-n="request?.pieces_n ?? 0" :old="old" />
    <p v-else-if="!piece" class="empty">
      {{ t('cost-view-save-plan-or-finding-first') }} <HelpLink about="wire" />
    </p>
    <p v-else-if="!faults.length" class="empty serif teach" data-test="no-price">
      {{
        t('cost-view-enter-what-this-wire-costs', {
          metre: byFoot ? t('cost-view-a-foot') : t('cost-view-a-metre'),
        })
      }}
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

.summary {
  line-height: 1.75;
  margin-top: 12px;
}

.from {
  margin: 6px 0 0;
}

@media (max-width: 900px) {
  .cost {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
