<script setup lang="ts">
import { t } from '../text'
import HelpLink from '../shared/HelpLink.vue'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { nextTick, ref, watch } from 'vue'
import { api, data, type OrderRow } from '../api/client'
import MoreMenu from '../shared/MoreMenu.vue'
import { useOpenedByAddress, useTickInAddress } from '../shared/address'
import { useNotice } from '../shared/notice'
import { vOneStop } from '../shared/oneStop'
import CountDialog from './CountDialog.vue'
import OrderDialog from './OrderDialog.vue'
import OrderLine from './OrderLine.vue'
import OrderSentence from './OrderSentence.vue'
import { useOrderActs } from './acts'
import { dueIn } from './words'
import { dayOf } from '../shared/dates'

/** What is ordered, how far each line is, and the next thing to do about it. */
const notice = useNotice()
const queries = useQueryClient()
const refresh = () => queries.invalidateQueries()

const { data: orders, error } = useQuery({
  queryKey: ['orders'],
  queryFn: () => data(api.GET('/api/orders')),
  staleTime: 0,
})
const away = useTickInAddress('closed')
const { data: past } = useQuery({
  queryKey: ['orders', 'past'],
  queryFn: () => data(api.GET('/api/orders/past', { params: { query: { most: 50 } } })),
  enabled: away,
  staleTime: 0,
})

/** When what is still to be made for each order is ready. */
const { data: planned } = useQuery({
  queryKey: ['schedule'],
  queryFn: () => data(api.GET('/api/schedule')),
  staleTime: 0,
})
function readyOf(order: OrderRow) {
  const own = (planned.value?.agenda.ready ?? []).filter((one) => one.orders.includes(order.id))
  const last = own.reduce((day, one) => (one.day > day ? one.day : day), '')
  const unmet = (planned.value?.agenda.unmet ?? []).find((one) => one.orders.includes(order.id))
  if (unmet) return { told: unmet.text, late: true }
  if (!last) return null
  return { told: t('orders-view-ready', { last: dayOf(last) }), late: own.some((one) => one.late) }
}

/** The order that the address names is brought into view; one that is not there is said. */
const named = useOpenedByAddress('order')
/** The one that was brought into view: the list comes anew with every change, and stays where it is. */
let lookedFor: number | null = null
watch(
  [orders, named],
  async ([all, id]) => {
    if (!all || id === lookedFor) return
    lookedFor = id
    if (id === null) return
    await nextTick()
    const order = document.querySelector(`[data-order="${id}"]`)
    if (order) order.scrollIntoView({ block: 'start' })
    else notice.say(t('orders-view-no-open-order', { id }))
  },
  { immediate: true },
)

const changing = ref<OrderRow | null>(null)
/** What is handed over, once it is said how many. */
const handing = ref<{ order: OrderRow; line: number; most: number } | null>(null)

const { begin, handOver, handOverAll, putAway, again } = useOrderActs(refresh)
const severalInBags = (order: OrderRow) => order.lines.filter((line) => line.in_bags_n > 0).length > 1

const acts = (order: OrderRow) => [
  { label: t('orders-view-change'), test: 'change-order', act: () => (changing.value = order) },
  { label: t('orders-view-order-same-again'), test: 'order-again', act: () => again(order) },
  { label: t('orders-view-close-order'), test: 'put-away-order', act: () => putAway(order, true) },
]

const states = {
  'to-make': t('orders-view-make'),
  'in-the-making': t('orders-view-in-progress'),
  ready: t('orders-view-ready-hand-over'),
  'handed-over': t('orders-view-handed-over-2'),
}
/** What is for stock is handed to nobody. */
const stateOf = (order: OrderRow) =>
  order.state === 'ready' && !order.record.customer ? t('orders-view-in-stock') : states[order.state]
</script>

<template>
  <OrderSentence @taken="refresh" />
  <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
  <p v-else-if="!orders" class="quiet" role="status">{{ t('orders-view-loading-orders') }}</p>
  <p v-else-if="!orders.length" class="empty" data-test="no-orders">
    {{ t('orders-view-no-orders-yet-enter-above') }} <HelpLink about="orders" />
  </p>
  <ul v-else class="sections" data-test="orders">
    <li v-for="order in orders" :key="order.id" :data-order="order.id" :class="{ named: order.id === named }">
      <header>
        <h2 class="serif">{{ order.for_whom }}</h2>
        <span class="due" :class="{ stop: (order.due_in_days ?? 1) < 0 && order.state !== 'handed-over' }">
          <template v-if="order.record.due">{{ dayOf(order.record.due) }}, </template>
          {{ dueIn(order.due_in_days) }}
        </span>
        <span class="state" data-test="order-state">{{ stateOf(order) }}</span>
        <span
          v-if="readyOf(order)"
          :class="readyOf(order)!.late ? 'stop' : 'quiet'"
          data-test="order-ready"
          >{{ readyOf(order)!.told }}</span
        >
        <v-btn
          v-if="order.record.customer && severalInBags(order)"
          variant="outlined"
          data-test="hand-over-all"
          @click="handOverAll(order)"
          >{{ t('orders-view-hand-over-everything') }}</v-btn
        >
        <MoreMenu :of="t('orders-view-order-for', { forwhom: order.for_whom })" :acts="acts(order)" />
      </header>
      <p v-if="order.short.length" class="watch short" data-test="order-short">
        {{ t('orders-view-short-of-wire', { short: order.short.join('; ') }) }}
        <router-link to="/wire">{{ t('orders-view-wire-stock') }}</router-link>
      </p>
      <p v-if="order.record.note" class="quiet note">{{ order.record.note }}</p>
      <OrderLine
        v-for="(line, i) in order.lines"
        :key="i"
        :ordered="order.record.lines[i]!"
        :line="line"
        :for-stock="!order.record.customer"
        @begin="begin(order, i)"
        @hand-over="handing = { order, line: i, most: line.in_bags_n }"
      />
    </li>
  </ul>
  <p class="after">
    <v-btn class="toggle" :aria-pressed="away" data-test="past-orders" @click="away = !away">
      {{ t('orders-view-closed-orders') }}
    </v-btn>
    <router-link v-if="orders?.length" to="/wire/cutting-plan">{{
      t('orders-view-cutting-plan-for-all-open')
    }}</router-link>
  </p>
  <ul v-if="away" v-one-stop class="past">
    <li v-for="one in past?.entries ?? []" :key="one.id">
      <span>{{ one.name }}: {{ one.description }}</span>
      <v-btn size="small" @click="putAway(one, false)">{{ t('orders-view-reopen') }}</v-btn>
    </li>
    <li v-if="past && !past.entries.length" class="quiet">{{ t('orders-view-none-closed') }}</li>
  </ul>
  <OrderDialog v-model="changing" @kept="refresh" />
  <CountDialog
    :open="!!handing"
    :title="
      handing ? t('orders-view-hand-over-2', { name: handing.order.record.lines[handing.line]!.name }) : ''
    "
    :hint="handing ? t('orders-view-in-bags-for-this-line', { most: handing.most }) : ''"
    :start="handing ? String(handing.most) : ''"
    :does="t('orders-view-hand-over')"
    :anyway="{ field: 'even_if_set_aside', label: t('orders-view-take-set-aside') }"
    :work="(n, anyway) => handOver(handing!.order, handing!.line, n, anyway)"
    @close="handing = null"
  />
</template>

<style scoped>
.empty {
  max-width: 62ch;
}

.named {
  scroll-margin-top: 70px;
  box-shadow: -12px 0 0 -9px rgb(var(--v-theme-primary));
}

.past {
  list-style: none;
  margin: 0;
  padding: 0;
}

.due {
  font-weight: 500;
}

.state {
  margin-left: auto;
  color: rgb(var(--v-theme-quiet));
}

.note {
  margin: 2px 0;
}

.after a {
  display: inline-block;
  min-height: 28px;
  line-height: 28px;
}

.after {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 26px;
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding-top: 8px;
}

.past li {
  display: flex;
  gap: 16px;
  align-items: center;
  justify-content: space-between;
  min-height: 44px;
}
</style>
