<script setup lang="ts">
import { t } from '../../text'
import HelpLink from '../../shared/HelpLink.vue'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { api, data, type Stocked, type Wire } from '../../api/client'
import BuyingList from './BuyingList.vue'
import StockLevelDialog from './StockLevelDialog.vue'
import LotDialog from './LotDialog.vue'
import LotPanel from './LotPanel.vue'
import { groupsOf } from './groups'
import LotGroup from './LotGroup.vue'
import RackFiles from './RackFiles.vue'
import ScrapList from './ScrapList.vue'
import PaperField from '../../shared/PaperField.vue'
import { useFilterInAddress, useOpenedByAddress, useTickInAddress } from '../../shared/address'
import { useTyped } from '../../shared/form'
import { useWords } from '../../shared/words'
import { vOneStop } from '../../shared/oneStop'

const words = useWords()
const find = useFilterInAddress('find')
const metal = useFilterInAddress<Wire['metal']>('metal')
/** What wire comes as, spools and the rest together first. */
const kinds = computed(() => [
  { value: '', title: t('stock-view-spools-offcuts') },
  ...(words.value?.stock_kinds ?? []).map(({ word, label }) => ({ value: word, title: label })),
])
const kind = useFilterInAddress<'spool' | 'offcut' | 'straight'>('kind')
const usedUp = useTickInAddress('used-up')
const holds = ref('')
/** Where the next small piece could come from: a length, typed any way lengths are written. */
const { typed, faults: holdsFaults } = useTyped(() => ({ holds: holds.value }), { holds: 'length' })
const holdsMm = computed(() => typed.value?.holds)
const page = ref(0)
const most = 50
// Who comes to add a spool finds the form open.
const route = useRoute()
const receiving = ref<Stocked | 'new' | null>(route.query.add ? 'new' : null)
const opened = useOpenedByAddress('lot')
const keeping = ref<Wire | null>(null)

const { data: rack, error } = useQuery({
  queryKey: ['lots', find, metal, kind, usedUp, holdsMm, page],
  queryFn: () =>
    data(
      api.GET('/api/lots', {
        params: {
          query: {
            find: find.value ?? '',
            metal: metal.value || undefined,
            kind: kind.value || undefined,
            used_up: usedUp.value,
            holds_mm: holdsMm.value,
            most,
            skip: page.value * most,
          },
        },
      }),
    ),
  placeholderData: (before) => before,
})
const { data: metals } = useQuery({
  queryKey: ['lots', 'metals'],
  queryFn: () => data(api.GET('/api/lots/metals')),
})
const { data: needs } = useQuery({ queryKey: ['needs'], queryFn: () => data(api.GET('/api/buying-list')) })

const groups = computed(() => groupsOf(rack.value?.lots ?? []))
const missing = computed(() => new Map(needs.value?.map((need) => [need.label, need.missing_mm])))
const empty = computed(() => metals.value?.length === 0 && !usedUp.value)

function choose(next: Wire['metal']) {
  metal.value = metal.value === next ? '' : next
  page.value = 0
}
</script>

<template>
  <div class="stock">
    <section class="lots" :aria-label="t('stock-view-lots')">
      <div class="bar no-print">
        <v-btn variant="flat" color="primary" data-test="receive" @click="receiving = 'new'">
          {{ t('stock-view-add-wire') }}
        </v-btn>
        <PaperField
          v-if="!empty"
          v-model="find"
          class="find"
          :label="t('stock-view-find-by-tag-metal-size')"
          type="search"
          clearable
          data-test="find-lot"
          @update:model-value="page = 0"
        />
        <RackFiles />
      </div>
      <div v-if="!empty" class="bar filters no-print">
        <v-btn
          v-for="total in metals ?? []"
          :key="total.metal"
          class="toggle"
          :aria-pressed="metal === total.metal"
          data-test="filter-metal"
          @click="choose(total.metal)"
        >
          {{ total.label }}
          <span class="quiet">{{
            t('stock-view-g', { leftg: total.left_g.toFixed(total.left_g < 10 ? 1 : 0) })
          }}</span>
        </v-btn>
      </div>
      <div v-if="!empty" class="bar filters no-print">
        <v-select
          v-model="kind"
          class="kind"
          :items="kinds"
          :aria-label="t('stock-view-kind-lot')"
          data-test="filter-kind"
          @update:model-value="page = 0"
        />
        <label class="holds">
          {{ t('stock-view-that-make-piece')
          }}<input
            v-model.lazy="holds"
            class="word"
            :placeholder="t('stock-view-any-length')"
            autocomplete="off"
            data-test="holds"
            @change="page = 0"
          />
        </label>
        <span class="grow" />
        <v-checkbox-btn
          v-model="usedUp"
          inline
          :label="t('stock-view-used-up-or-archived')"
          data-test="used-up"
          @update:model-value="page = 0"
        />
      </div>
      <p v-for="fault in holdsFaults" :key="fault.message" class="stop" role="alert" data-test="holds-fault">
        {{ fault.message }}
      </p>
      <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
      <p v-else-if="!rack" class="quiet" role="status">{{ t('stock-view-loading-stock') }}</p>
      <p v-else-if="!groups.length" class="empty" :class="{ 'serif teach': empty }" data-test="no-lots">
        <template v-if="find || metal || kind || holdsMm">{{ t('stock-view-no-wire-matches') }}</template>
        <template v-else-if="usedUp">{{ t('stock-view-no-lot-used-up-or') }}</template>
        <template v-else> {{ t('stock-view-no-wire-yet-add-spool') }} <HelpLink about="wire" /> </template>
      </p>
      <div v-else v-one-stop="'.lot'" data-test="lots">
        <LotGroup
          v-for="group in groups"
          :key="group.shown"
          :group="group"
          :short-mm="missing.get(group.shown) ?? 0"
          @keep="keeping = group.wire"
          @open="opened = $event"
        />
        <nav v-if="rack.total > most" class="pages" :aria-label="t('stock-view-pages')">
          <v-btn :disabled="page === 0" @click="page -= 1">{{ t('stock-view-back') }}</v-btn>
          <span class="quiet">{{
            t('stock-view-to-of', {
              most: page * most + 1,
              lots: page * most + rack.lots.length,
              total: rack.total,
            })
          }}</span>
          <v-btn :disabled="(page + 1) * most >= rack.total" @click="page += 1">{{
            t('stock-view-next')
          }}</v-btn>
        </nav>
      </div>
    </section>
    <aside>
      <BuyingList :needs="needs" @keep="keeping = $event" />
      <ScrapList />
    </aside>
    <LotDialog v-model="receiving" />
    <LotPanel v-model="opened" @edit="receiving = $event" />
    <StockLevelDialog v-model="keeping" />
  </div>
</template>

<style scoped>
.stock {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  gap: 24px 56px;
  align-items: start;
}

.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
}

.filters {
  gap: 0 16px;
}

.teach {
  font-size: 1.35rem;
  line-height: 1.35;
  max-width: 52ch;
}

.find {
  flex: 1 1 180px;
  max-width: 300px;
}

.grow {
  flex: 1;
}

.kind {
  flex: 0 1 190px;
}

.holds input {
  min-width: 5em;
}

.pages {
  display: flex;
  align-items: center;
  gap: 12px;
  margin-top: 16px;
}

@media (max-width: 1000px) {
  .stock {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
