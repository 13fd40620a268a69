<script setup lang="ts">
import { t } from '../text'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { api, data, faultsOf, type CheckView, type CheckedPiece } from '../api/client'
import DrawingStage from '../drawing/DrawingStage.vue'
import { useAmounts } from '../shared/amounts'
import { token } from '../shared/token'
import { useNotice } from '../shared/notice'
import BatchPlot from './BatchPlot.vue'
import CausePanel from './CausePanel.vue'
import LotBox from './LotBox.vue'
import MatchPanel from './MatchPanel.vue'
import ReadingList from './ReadingList.vue'
import TrialPanel from './TrialPanel.vue'

/** One check: what to measure next, drawn; a reading; what comes of it. */
const route = useRoute()
const queries = useQueryClient()
const notice = useNotice()
const { across } = useAmounts()
const id = computed(() => Number(route.params.id))
const path = computed(() => ({ path: { id: id.value } }))

const { data: view, error } = useQuery({
  queryKey: ['check', id],
  queryFn: () => data(api.GET('/api/checks/{id}', { params: path.value })),
  staleTime: 0,
})
const sheet = computed(() => view.value?.sheet)
const check = computed(() => view.value?.entry.record)

/** What is measured by the maker's own choice rather than in turn. */
const chosen = ref<{ piece_n: number; key: string } | null>(null)
const at = computed(() => chosen.value ?? sheet.value?.next ?? null)
const dimension = computed(() => sheet.value?.to_measure.find((one) => one.key === at.value?.key))
/** The drawing with the one line that is measured next. */
const drawn = computed(() => {
  const drawing = sheet.value?.drawing
  if (!drawing) return null
  const lines = drawing.dimensions.filter((line) => line.figure === at.value?.key)
  return { ...drawing, dimensions: lines.length || at.value ? lines : drawing.dimensions }
})
const of = (piece: CheckedPiece, key: string) => piece.measured.find((one) => one.key === key)
/** What came of the last reading. */
const last = ref<{ piece_n: number; key: string } | null>(null)
const came = computed(() => {
  const piece = sheet.value?.pieces.find((one) => one.piece_n === last.value?.piece_n)
  return piece && last.value ? { piece, one: of(piece, last.value.key) } : null
})

const typed = ref('')
const faults = ref<string[]>([])
const told = ref('')
/** A reading that can hardly be: it is kept once the maker says that it is right. */
const doubt = ref<{ told: string; suggested?: number | null; read: Read } | null>(null)
const busy = ref(false)
const field = useTemplateRef<HTMLInputElement>('field')
watch(at, () => ((doubt.value = null), void nextTick(() => field.value?.focus())))
watch(typed, () => (doubt.value = null))
watch(id, () => ((chosen.value = null), (last.value = null), (told.value = '')))

function take(now: CheckView) {
  queries.setQueryData(['check', id.value], now)
  void queries.invalidateQueries({ queryKey: ['check'] })
  void queries.invalidateQueries({ queryKey: ['learned'] })
  // What plans know of the lot has changed.
  void queries.invalidateQueries({ queryKey: ['lot-learned'] })
}

interface Read {
  typed?: string
  value?: number
  from: 'typed' | 'caliper' | 'simulated'
  sure?: boolean
}

async function keep(read: Read) {
  const where = at.value
  if (!where || busy.value) return
  busy.value = true
  faults.value = []
  try {
    const body = { press: token(), piece_n: where.piece_n, key: where.key, ...read }
    const now = await data(api.POST('/api/checks/{id}/readings', { params: path.value, body }))
    last.value = { piece_n: where.piece_n, key: where.key }
    typed.value = ''
    take(now)
    // One's own choice is done once it has as many readings as one figure takes.
    const piece = now.sheet.pieces.find((one) => one.piece_n === where.piece_n)
    const enough = (piece && of(piece, where.key)?.readings_n) ?? 0
    if (enough >= (dimension.value?.readings_n ?? 1)) chosen.value = null
    doubt.value = null
  } catch (thrown) {
    const doubted = faultsOf(thrown).find((fault) => fault.field === 'doubt')
    if (doubted) doubt.value = { told: doubted.message, suggested: doubted.suggested, read }
    else faults.value = faultsOf(thrown).map((fault) => fault.message)
  } finally {
    busy.value = false
  }
}

async function readCaliper() {
  const where = at.value
  if (!where || busy.value) return
  faults.value = []
  told.value = ''
  busy.value = true
  let shows
  try {
    const query = { check: id.value, piece_n: where.piece_n, key: where.key }
    shows = await data(api.GET('/api/caliper', { params: { query } }))
  } catch (thrown) {
    faults.value = faultsOf(thrown).map((fault) => fault.message)
    return
  } finally {
    busy.value = false
  }
  told.value = `${shows.simulated ? t('check-view-simulated-caliper-shows') : t('check-view-caliper-shows')} ${shows.text}`
  if (!shows.steady) {
    faults.value = [t('check-view-not-saved-reading-isnt-steady')]
    return
  }
  await keep({ value: shows.mm, from: shows.simulated ? 'simulated' : 'caliper' })
}

async function setAside(reading_n: number, aside: boolean) {
  try {
    const body = { reading_n, excluded: aside }
    take(await data(api.POST('/api/checks/{id}/aside', { params: path.value, body })))
    notice.say(aside ? t('check-view-set-aside-no-longer-counts') : t('check-view-counts-again'), () =>
      setAside(reading_n, !aside),
    )
  } catch (thrown) {
    notice.fail(thrown)
  }
}

const verdicts = {
  pass: t('check-view-passes'),
  rework: t('check-view-fix'),
  reject: t('check-view-set-apart'),
}
const keys = computed(() => {
  const used = new Set([
    ...(sheet.value?.keys ?? []),
    ...(sheet.value?.pieces ?? []).flatMap((piece) => piece.measured.map((one) => one.key)),
  ])
  return (sheet.value?.to_measure ?? []).filter((one) => used.has(one.key))
})
const headers = computed(() => [
  { key: 'piece_n', title: t('check-view-number-3') },
  ...keys.value.map(({ key, what }) => ({
    key,
    title: what,
    align: 'end' as const,
    value: (piece: CheckedPiece) => of(piece, key)?.value,
  })),
  { key: 'verdict', title: t('check-view-results') },
])
const shown = (key: string, value: number) =>
  sheet.value?.to_measure.find((one) => one.key === key)?.grades?.[value] ?? across(value)
const whatOf = (key: string) => sheet.value?.to_measure.find((one) => one.key === key)?.what ?? key
const figure = (piece: CheckedPiece, key: string) => {
  const one = of(piece, key)
  return one ? shown(key, one.value) : '–'
}
const lot = computed(() => {
  const piece = check.value?.piece
  if (!piece) return null
  if ('rings' in piece) return piece.rings.wire.lot ?? null
  return 'chain' in piece ? (piece.chain.ring.wire.lot ?? null) : null
})
const causing = ref<number | null>(null)
const misfit = (piece: CheckedPiece) => piece.verdict !== 'pass'
const pairable = computed(() => (sheet.value?.pieces.length ?? 0) > 1)
function pick(key: string, piece_n = at.value?.piece_n ?? last.value?.piece_n ?? 1) {
  chosen.value = { piece_n, key }
}
</script>

<template>
  <div class="page check">
    <p class="crumb no-print">
      <router-link to="/measure">{{ t('check-view-measurements') }}</router-link>
    </p>
    <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
    <p v-else-if="!view" class="quiet" role="status">{{ t('check-view-loading') }}</p>
    <template v-else-if="sheet && check">
      <h1>{{ view.entry.name }}</h1>
      <p class="quiet sentence">{{ view.entry.description }}</p>
      <div class="bench">
        <div class="stage" data-test="check-drawing" :style="{ '--metal': sheet.colour }">
          <DrawingStage v-if="drawn" :drawing="drawn" />
        </div>
        <section class="now" :aria-label="t('check-view-what-measure')">
          <template v-if="at && dimension">
            <p class="which serif" data-test="measure-next">
              <template v-if="check.pieces_n > 1"
                >{{ t('check-view-number', { piecen: at.piece_n }) }} </template>{{ dimension.what }}
            </p>
            <p class="how">{{ chosen ? dimension.how : (sheet.next?.text ?? dimension.how) }}</p>
            <p class="quiet">
              {{ t('check-view-wanted') }}<span class="num">{{ dimension.text }}</span>
            </p>
            <form
              v-if="dimension.found === 'caliper'"
              class="reading no-print"
              @submit.prevent="typed.trim() && keep({ typed, from: 'typed' })"
            >
              <input
                ref="field"
                v-model="typed"
                class="field num"
                inputmode="decimal"
                autocomplete="off"
                :aria-label="t('check-view-measured', { what: dimension.what })"
                :placeholder="t('check-view-reading')"
                data-test="reading"
              />
              <v-btn type="submit" size="large" :disabled="!typed.trim() || busy" data-test="keep-reading">{{
                t('check-view-save-reading')
              }}</v-btn>
              <v-btn
                size="large"
                variant="flat"
                color="primary"
                :disabled="busy"
                data-test="read-caliper"
                @click="readCaliper"
                >{{ t('check-view-read-caliper') }}</v-btn
              >
            </form>
            <div v-else class="reading no-print">
              <v-btn
                v-for="(word, grade) in dimension.grades"
                :key="grade"
                size="large"
                :disabled="busy"
                :data-test="`grade-${grade}`"
                @click="keep({ value: grade, from: 'typed' })"
                >{{ word }}</v-btn
              >
            </div>
          </template>
          <p v-else class="which serif" data-test="all-measured">{{ t('check-view-everything-measured') }}</p>
          <p v-if="told" class="quiet" role="status" data-test="caliper-told">{{ told }}</p>
          <p v-for="fault in faults" :key="fault" class="stop" role="alert">{{ fault }}</p>
          <div v-if="doubt" class="doubt" role="alert" data-test="doubt">
            <p>{{ doubt.told }}</p>
            <v-btn
              v-if="doubt.suggested != null"
              color="primary"
              variant="flat"
              :disabled="busy"
              data-test="keep-suggested"
              @click="keep({ value: doubt.suggested, from: doubt.read.from })"
              >{{ t('check-view-save', { suggested: across(doubt.suggested) }) }}</v-btn
            >
            <v-btn :disabled="busy" data-test="keep-doubted" @click="keep({ ...doubt.read, sure: true })">{{
              t('check-view-right-save')
            }}</v-btn>
          </div>
          <div v-if="came?.one" class="came" :class="came.one.judged.verdict" role="status" data-test="came">
            <span class="figure num">{{ shown(came.one.key, came.one.value) }}</span>
            <span>
              <template v-if="check.pieces_n > 1"
                >{{ t('check-view-number-2', { piecen: came.piece.piece_n }) }} </template>{{
                whatOf(came.one.key)
              }}:
              <b>{{ verdicts[came.one.judged.verdict] }}</b>
              <template v-if="came.one.judged.verdict !== 'pass'">. {{ came.one.judged.text }}</template>
              <template v-if="came.one.disagreement"> {{ came.one.disagreement }}</template>
            </span>
          </div>
          <nav class="others no-print" :aria-label="t('check-view-another-dimension')">
            <button
              v-for="one in sheet.to_measure"
              :key="one.key"
              type="button"
              class="plain toggle"
              :aria-pressed="at?.key === one.key"
              :data-test="`measure-${one.key}`"
              @click="pick(one.key)"
            >
              {{ one.what }}
            </button>
          </nav>
        </section>
      </div>

      <TrialPanel v-if="sheet.next_blank" :view="view" :next="sheet.next_blank" />
      <p v-if="sheet.feedback" class="feedback serif" data-test="feedback">{{ sheet.feedback.text }}</p>
      <LotBox v-if="lot" :lot-n="lot.lot_n" />

      <p class="tally" data-test="tally">{{ sheet.text }}</p>
      <div v-if="sheet.pieces.length" class="scroll">
        <v-data-table class="ledger" :headers="headers" :items="sheet.pieces" data-test="measured">
          <template #item="{ item: piece }">
            <tr>
              <td class="num">{{ piece.piece_n }}</td>
              <td
                v-for="one in keys"
                :key="one.key"
                class="right num"
                :class="of(piece, one.key)?.judged.verdict"
              >
                <button
                  type="button"
                  class="plain cell"
                  :aria-label="
                    t('check-view-measure-number-again', {
                      key: figure(piece, one.key),
                      what: one.what,
                      piecen: piece.piece_n,
                    })
                  "
                  :data-test="`again-${piece.piece_n}-${one.key}`"
                  @click="pick(one.key, piece.piece_n)"
                >
                  {{ figure(piece, one.key) }}
                </button>
              </td>
              <td>
                {{ verdicts[piece.verdict] }}
                <v-btn
                  v-if="misfit(piece)"
                  density="compact"
                  class="no-print"
                  data-test="why"
                  @click="causing = piece.piece_n"
                  >{{ t('check-view-why') }}</v-btn
                >
              </td>
            </tr>
          </template>
        </v-data-table>
      </div>
      <CausePanel
        v-if="causing"
        :check="id"
        :piece-n="causing"
        @measure="pick($event, causing)"
        @close="causing = null"
      />
      <BatchPlot v-for="one in sheet.charts" :key="one.key" :chart="one.chart" :what="whatOf(one.key)" />
      <MatchPanel v-if="pairable && check.of === 'piece'" :check="id" :dimensions="keys" />
      <ReadingList :readings="view.readings" :dimensions="sheet.to_measure" @aside="setAside" />
    </template>
  </div>
</template>

<style scoped>
.check {
  padding-top: 16px;
}

.crumb {
  margin: 0 0 4px;
}

.sentence {
  margin: 0 0 10px;
}

.bench {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(320px, 440px);
  gap: 10px 36px;
  margin-bottom: 18px;
}

.stage {
  height: min(46vh, 420px);
  min-height: 220px;
  display: grid;
}

.which {
  font-size: 2rem;
  line-height: 1.15;
  margin: 0 0 6px;
}

.how {
  font-size: 1.15rem;
  margin: 0 0 6px;
}

.reading {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 12px 0;
}

.field {
  flex: 1 1 150px;
  min-width: 0;
  font-size: 1.7rem;
  padding: 4px 10px;
  border: 1px solid rgb(var(--v-theme-hairline));
  border-bottom: 2px solid rgb(var(--v-theme-primary));
  border-radius: 3px;
  background: rgb(var(--v-theme-surface));
  color: inherit;
}

.field::placeholder {
  font-weight: 400;
  font-size: 1.2rem;
  color: rgb(var(--v-theme-quiet));
}

.doubt {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  border-left: 4px solid rgb(var(--v-theme-warning));
  padding: 4px 0 4px 12px;
  margin: 10px 0;
}

.doubt p {
  flex-basis: 100%;
  margin: 0;
  font-size: 1.15rem;
}

.came {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 14px;
  align-items: baseline;
  border-left: 4px solid rgb(var(--v-theme-primary));
  padding: 4px 0 4px 12px;
  margin: 10px 0;
}

.came .figure {
  font-size: 1.9rem;
  white-space: nowrap;
}

.came.rework {
  border-color: rgb(var(--v-theme-warning));
}

.came.reject {
  border-color: rgb(var(--v-theme-error));
}

.cell {
  min-height: 28px;
}

.cell:hover {
  text-decoration: underline;
}

td.rework {
  color: rgb(var(--v-theme-warning));
}

td.reject {
  color: rgb(var(--v-theme-error));
}

.others {
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
}

.tally {
  font-size: 1.25rem;
  margin: 8px 0;
}

.feedback {
  font-size: 1.3rem;
  max-width: 70ch;
}

.scroll {
  overflow-x: auto;
  margin-bottom: 16px;
}

@media (max-width: 900px) {
  .bench {
    grid-template-columns: minmax(0, 1fr);
  }

  .stage {
    height: 240px;
  }
}
</style>
