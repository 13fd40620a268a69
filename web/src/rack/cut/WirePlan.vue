<script setup lang="ts">
import { t } from '../../text'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { api, data, type CutPlan, type CutRequest, type StockCut, type Wanted } from '../../api/client'
import { exportFile } from '../../shared/download'
import { readFields, useForm, useShownLengths } from '../../shared/form'
import { useNotice } from '../../shared/notice'
import CutStrip from './CutStrip.vue'
import PaperField from '../../shared/PaperField.vue'
import { useAmounts } from '../../shared/amounts'
import { useRackRefresh } from '../../shared/picking'
import { useWords } from '../../shared/words'
import { holdBack } from '../../shared/coming'

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

const losses = ref({ trim_mm: '', kerf_mm: '0', shortest_useful_mm: '' })
const plan = ref<CutPlan | null>(null)
const job = ref<number | null>(null)
const progress = ref<{ tried_n: number; of_n: number; scrap_mm: number } | null>(null)
const { elsewhere, take, attempt } = useForm()
const cut = ref<string[]>([])
const setting = ref(false)
let timer = 0

/** What is lost at ends and cuts, as it was last read. */
const lost = ref({ trim_mm: 0, kerf_mm: 0, shortest_useful_mm: 0 })
const request = computed<CutRequest>(() => ({
  stock: props.of.stock,
  demand: props.of.demand,
  ...lost.value,
}))

const { show, exact } = useShownLengths()
watch(
  () => props.of.label,
  () => {
    const { trim_mm, shortest_useful_mm } = props.of
    losses.value = { trim_mm: show(trim_mm), kerf_mm: show(0), shortest_useful_mm: show(shortest_useful_mm) }
  },
  { immediate: true },
)
// What is ticked stays ticked as long as there is the same to cut from the same: asking again changes nothing.
watch(
  () => JSON.stringify([props.of.stock, props.of.demand]),
  () => holdBack(solve()),
  { immediate: true },
)

async function solve() {
  window.clearTimeout(timer)
  cut.value = []
  progress.value = null
  job.value = null
  await attempt(async () => {
    const asked = {
      trim_mm: 'length',
      kerf_mm: 'length',
      shortest_useful_mm: 'length',
    } as const
    const {
      trim_mm = 0,
      kerf_mm = 0,
      shortest_useful_mm = 0,
    } = exact(await readFields(losses.value, asked), losses.value)
    lost.value = { trim_mm, kerf_mm, shortest_useful_mm }
    const state = await data(api.POST('/api/cut-plans/jobs', { body: request.value }))
    job.value = state.job
    await look(state.job)
  })
}

async function look(id: number) {
  if (job.value !== id) return
  try {
    const state = await data(api.GET('/api/cut-plans/jobs/{id}', { params: { path: { id } } }))
    if (job.value !== id) return
    progress.value = state.progress ?? null
    if (state.plan) {
      plan.value = state.plan
      job.value = null
    } else {
      timer = window.setTimeout(() => void look(id), 120)
    }
  } catch (thrown) {
    take(thrown)
    job.value = null
  }
}

async function stop() {
  if (job.value === null) return
  try {
    await data(api.POST('/api/cut-plans/jobs/{id}/stop', { params: { path: { id: job.value } } }))
  } catch (thrown) {
    take(thrown)
  }
}
onBeforeUnmount(() => {
  window.clearTimeout(timer)
  void stop()
})

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
        <button
          type="button"
          class="plain act"
          :aria-expanded="setting"
          data-test="losses"
          @click="setting = !setting"
        >
          {{ t('wire-plan-trims-offcuts') }}
        </button>
        <button type="button" class="plain act" data-test="plan-pdf" @click="takeFile('cut-plan.pdf')">
          {{ t('wire-plan-pdf') }}
        </button>
        <button type="button" class="plain act" data-test="plan-csv" @click="takeFile('cut-plan.csv')">
          {{ t('wire-plan-csv') }}
        </button>
      </span>
    </header>
    <p v-for="line in of.of_lots ?? []" :key="line" class="watch">{{ line }}</p>
    <div v-if="setting" class="losses no-print">
      <PaperField
        v-model="losses.trim_mm"
        name="trim_mm"
        :label="t('wire-plan-lost-at-each-flush-trim')"
        figures
        data-test="trim"
        @change="solve"
      />
      <PaperField
        v-model="losses.kerf_mm"
        name="kerf_mm"
        :label="t('wire-plan-lost-at-each-cut')"
        :hint="t('wire-plan-0-for-nippers-blades-kerf')"
        figures
        @change="solve"
      />
      <PaperField
        v-model="losses.shortest_useful_mm"
        name="shortest_useful_mm"
        :label="t('wire-plan-shortest-offcut-worth-keeping')"
        figures
        @change="solve"
      />
    </div>
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

.losses {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
  gap: 0 20px;
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
