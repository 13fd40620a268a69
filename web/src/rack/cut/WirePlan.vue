<script setup lang="ts">
import { t } from '../../text'
import { computed, ref } from 'vue'
import { api, data, type StockCut, type Wanted } from '../../api/client'
import { exportFile } from '../../shared/download'
import { useNotice } from '../../shared/notice'
import CutLosses from './CutLosses.vue'
import CutStrip from './CutStrip.vue'
import { useSolving } from './solving'
import { useAmounts } from '../../shared/amounts'
import { useRackRefresh } from '../../shared/picking'
import { useWords } from '../../shared/words'

/** The cut plan of one wire: solved, drawn, ticked off as it is cut, booked in one step. */
const props = defineProps<{ of: Wanted }>()
const refresh = useRackRefresh()
const notice = useNotice()
const { metres } = useAmounts()
const words = useWords()
/** What the wire comes as, where it is no spool. */
const kindOf = ({ kind }: StockCut) => {
  const named = kind === 'spool' ? undefined : words.value?.stock_kinds.find(({ word }) => word === kind)
  return named ? t('wire-plan-kind', { kind: named.label }) : ''
}

const { losses, lost, plan, job, progress, cut, elsewhere, attempt, solve, stop } = useSolving(() => props.of)
const setting = ref(false)

const longest = computed(() => Math.max(1, ...(plan.value?.stock ?? []).map((piece) => piece.length_mm)))
const name = (piece: StockCut) => props.of.names[piece.stock] ?? piece.stock

const book = () =>
  attempt(async () => {
    const now = plan.value
    if (!now) return
    const lots = now.stock
      .filter((piece) => cut.value.includes(piece.stock))
      .map((piece) => ({
        lot: Number(piece.stock),
        cuts: piece.cuts.map((one) => ({ what: one.demand, length_mm: one.length_mm, n: one.n })),
        ...lost.value,
      }))
    const body = { lots, picks: props.of.picks }
    const { undo, text: sentence } = await data(api.POST('/api/cut-plans/book', { body }))
    await refresh()
    notice.did(sentence, undo, refresh)
  })

async function takeFile(file: string) {
  if (!plan.value) return
  try {
    const body = { wire: props.of.wire, plan: plan.value, names: props.of.names }
    await exportFile(`/api/cut-plans/files/${file}`, body)
  } catch (thrown) {
    notice.fail(thrown)
  }
}
</script>

<template>
  <article class="wire-plan" data-test="wire-plan">
    <header>
      <h2>{{ of.label }}</h2>
      <span class="quiet">{{ t('wire-plan-needed', { wantedmm: metres(of.wanted_mm) }) }}</span>
      <span class="acts no-print">
        <v-btn class="act inline" :aria-expanded="setting" data-test="losses" @click="setting = !setting">
          {{ t('wire-plan-trims-offcuts') }}
        </v-btn>
        <v-btn class="act inline" data-test="plan-pdf" @click="takeFile('cut-plan.pdf')">
          {{ t('wire-plan-pdf') }}
        </v-btn>
        <v-btn class="act inline" data-test="plan-csv" @click="takeFile('cut-plan.csv')">
          {{ t('wire-plan-csv') }}
        </v-btn>
      </span>
    </header>
    <p v-for="line in of.of_lots ?? []" :key="line" class="watch">{{ line }}</p>
    <CutLosses v-if="setting" v-model="losses" @change="solve" />
    <p v-if="job !== null" class="quiet working" role="status" data-test="working">
      <progress :value="progress?.tried_n ?? 0" :max="progress?.of_n ?? 1" />
      {{
        progress
          ? t('wire-plan-best-so-far-scrap', { scrapmm: metres(progress.scrap_mm) })
          : t('wire-plan-planning-cuts')
      }}
      <v-btn size="small" @click="stop">{{ t('wire-plan-stop-use-best-so-far') }}</v-btn>
    </p>
    <p v-for="fault in elsewhere" :key="fault.field + fault.message" class="stop" role="alert">
      {{ fault.message }}
    </p>
    <template v-if="plan">
      <p v-for="short in plan.short" :key="short.demand" class="stop" data-test="short">
        <b>{{ t('wire-plan-short', { short: short.n, demand: short.demand }) }}</b>{{
          t('wire-plan-wire', { lengthmm: metres(short.length_mm) })
        }}
      </p>
      <ul class="strips">
        <li v-for="piece in plan.stock" :key="piece.stock" data-test="strip">
          <v-checkbox-btn
            v-model="cut"
            class="no-print"
            :value="piece.stock"
            :aria-label="t('wire-plan-cut', { piece: name(piece) })"
            data-test="tick"
          />
          <div class="strip">
            <p class="do">
              <b>{{ name(piece) }}</b>
              <span class="quiet">{{ kindOf(piece) }}{{ metres(piece.length_mm) }}</span>
            </p>
            <CutStrip :piece="piece" :longest="longest" :colour="of.colour" />
            <p class="says">{{ piece.text }}</p>
          </div>
        </li>
      </ul>
      <p class="sum">
        {{ plan.text }}
        <span class="quiet">{{
          t('wire-plan-any-plan-uses-at-least', { lowerboundmm: metres(plan.lower_bound_mm) })
        }}</span>
        <span class="watch caution">{{ plan.caution }}</span>
      </p>
      <div class="no-print">
        <v-btn variant="flat" color="primary" :disabled="!cut.length" data-test="book-cuts" @click="book">
          {{ t('wire-plan-book-selected-cuts') }}
        </v-btn>
        <v-btn data-test="tick-all" @click="cut = plan.stock.map((piece) => piece.stock)">{{
          t('wire-plan-select-all')
        }}</v-btn>
        <span v-if="cut.length && of.picks.length" class="quiet">{{
          t('wire-plan-what-you-book-comes-off')
        }}</span>
        <p v-if="of.at_the_bench.length" class="quiet bench" data-test="at-the-bench">
          {{ t('wire-plan-for-batches-orders-count-book', { atthebench: of.at_the_bench.join(', ') }) }}
        </p>
      </div>
    </template>
  </article>
</template>

<style scoped>
.wire-plan {
  padding-bottom: 22px;
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 14px;
  border-bottom: 1px solid rgb(var(--v-theme-hairline));
}

h2 {
  margin: 0 0 4px;
}

.acts {
  margin-left: auto;
  display: flex;
  gap: 18px;
}

.act {
  color: rgb(var(--v-theme-primary));
  min-height: 30px;
}

.act:hover {
  text-decoration: underline;
}

.working {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
}

progress {
  accent-color: rgb(var(--v-theme-primary));
}

.strips {
  list-style: none;
  margin: 0;
  padding: 0;
}

.strips li {
  display: grid;
  align-items: start;
  grid-template-columns: 30px minmax(0, 1fr);
  padding-top: 9px;
}

.strip p {
  margin: 0;
}

.do {
  display: flex;
  gap: 12px;
}

.says {
  font-size: 1.12rem;
}

.sum {
  margin: 10px 0 4px 30px;
}

.caution {
  display: block;
}

@media print {
  .wire-plan {
    break-inside: avoid;
  }
}
.bench {
  margin: 6px 0 0;
}
</style>
