<script setup lang="ts">
import { t } from '../text'
import { useEventListener, useWakeLock } from '@vueuse/core'
import { computed, onMounted, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { api, data, type BatchNow, type LedBatch } from '../api/client'
import DrawingStage from '../drawing/DrawingStage.vue'
import PieceSketch from '../drawing/PieceSketch.vue'
import { useNotice } from '../shared/notice'
import { vOneStop } from '../shared/oneStop'
import { isTyping } from '../shared/typing'
import RouteMenu from '../making/RouteMenu.vue'
import CautionNote from './CautionNote.vue'
import MadeBatch from './MadeBatch.vue'
import NoteDialog from './NoteDialog.vue'
import PlacingStep from './PlacingStep.vue'
import RestPrompt from './RestPrompt.vue'
import ScrapDialog from './ScrapDialog.vue'
import TurnCounter from './TurnCounter.vue'
import { minutesOf, spanOf, useServerClock } from './clock'
import { makingOf } from './making'
import { usePresses } from './presses'
import { useSound } from './sound'

/** One step of a batch, filling the view: what to do, the number to read from a metre away, one press a piece. */
const route = useRoute()
const notice = useNotice()
const id = Number(route.params.id)
const led = shallowRef<LedBatch | null>(null)
const gone = ref('')
const clock = useServerClock()
const wake = useWakeLock()

const sound = useSound()

/** Hands that have been at it for long are told to rest. */
const rest = ref<BatchNow | null>(null)
function heard(far: BatchNow) {
  clock.set(far.now)
  rest.value = far.rest_min ? far : null
  if (led.value) led.value = { ...led.value, progress: far.progress }
}
const { press, pending, unanswered } = usePresses(id, heard, notice.fail)

async function open() {
  try {
    led.value = await data(api.GET('/api/batches/{id}', { params: { path: { id } } }))
    clock.set(led.value.now)
  } catch (thrown) {
    gone.value = thrown instanceof Error ? thrown.message : String(thrown)
  }
}
onMounted(async () => {
  await open()
  if (wake.isSupported.value) await wake.request('screen').catch(() => {})
  big.value?.focus()
})

/** Nothing is done yet: how it is made can still be changed, for this batch alone. */
const fresh = computed(
  () =>
    !!led.value &&
    led.value.progress.tasks.every((one) => one.done_n === 0 && !one.started_at && !one.turns_done_n) &&
    !led.value.progress.scrapped.length &&
    waiting.value.done === 0,
)
const making = computed(
  () => led.value && (makingOf(led.value, remade) as Parameters<typeof RouteMenu>[0]['desk']),
)
/** Its steps are others now, and the next press counts again. */
async function remade() {
  await open()
  big.value?.focus()
}
/** A step that is looked at; the one in hand where none is. */
const looking = ref<number | null>(null)
const inHand = computed(() => led.value?.progress.at ?? null)
const at = computed(() => looking.value ?? inHand.value ?? null)
const task = computed(() => (at.value === null ? null : (led.value?.tasks[at.value] ?? null)))
const there = computed(() => (at.value === null ? null : (led.value?.progress.tasks[at.value] ?? null)))
const waiting = computed(() => pending.value((at.value ?? 0) + 1))
const done = computed(() => (there.value?.done_n ?? 0) + waiting.value.done)
const left = computed(() =>
  Math.max(0, (there.value?.left_n ?? 0) - waiting.value.done - waiting.value.scrapped),
)
const may = computed(() =>
  Math.max(0, (there.value?.ready_n ?? 0) - waiting.value.done - waiting.value.scrapped),
)
const all = computed(() => done.value + left.value)
const once = computed(() => task.value?.counted === 'once')
/** Which coil is wound or cut, where there are several. */
const coilInHand = computed(() =>
  task.value?.counted === 'coil' && all.value > 1 && left.value > 0
    ? t('lead-view-coil', { nth: done.value + 1, all: all.value })
    : '',
)
const alone = computed(() => (task.value?.step.takes.unattended_min ?? 0) > 0)
const running = computed(() => !!there.value?.ready_at)
const ready = computed(() => Date.parse(there.value?.ready_at ?? '') - clock.now.value)
watch(
  () => running.value && ready.value <= 0,
  (now, before) => now && before === false && sound.ready(),
)
/** Turns that make the coil in hand, where turns are counted. */
const turns = computed(() => {
  const { turns_n, turns_more_n } = task.value?.step ?? {}
  return task.value?.counted === 'coil' && turns_n ? turns_n + (turns_more_n ?? 0) : null
})
const turned = computed(() => waiting.value.turned ?? there.value?.turns_done_n ?? 0)

// The last piece of a step is the way to the next.
watch(inHand, () => (looking.value = null))

/** The lot that wire is cut from; none where it is not booked. */
const lot = ref<number | null>(null)
watch(
  () => led.value?.lots,
  (lots) => (lot.value ??= lots?.[0]?.id ?? null),
)

/** The chain whose rings are put in one by one at this step. */
const chain = computed(() => {
  const piece = led.value?.entry.record.piece
  return task.value?.counted === 'placing' && piece && 'chain' in piece ? piece.chain : null
})
/** So many rings more are in, or, where a lost place was found again, fewer. */
function placed(by: number) {
  if (at.value === null || by === 0) return
  press(at.value + 1, by > 0 ? 'done' : 'taken-back', {
    n: Math.min(Math.abs(by), by > 0 ? may.value : done.value),
  })
  big.value?.focus()
}

const does = computed(() => {
  if (chain.value) return t('lead-view-in')

  if (alone.value) return running.value ? t('lead-view-taken-out') : t('lead-view-start')
  return once.value || all.value === 1 ? t('lead-view-done-press') : t('lead-view-one-more')
})

function onward() {
  if (!task.value || at.value === null || may.value === 0) return
  const step_n = at.value + 1
  if (alone.value && !running.value) return press(step_n, 'started')
  const from = task.value.off_the_spool_mm !== undefined && lot.value ? { lot: lot.value } : {}
  press(step_n, 'done', from)
  sound.tick()
}

function back() {
  if (at.value !== null && done.value > 0) press(at.value + 1, 'taken-back')
}

function look(by: 1 | -1) {
  const to = (at.value ?? led.value?.tasks.length ?? 0) + by
  if (led.value?.tasks[to]) looking.value = to
}

const noting = ref(false)
const scrapping = ref(false)
function scrap(reason: string) {
  // Wire that was not cut off yet leaves its lot with the piece.
  const from = task.value?.wasted_mm !== undefined && lot.value ? { lot: lot.value } : {}
  if (at.value !== null) press(at.value + 1, 'spoiled', { reason, ...from })
}
/** How many were scrapped at this step. */
const scrapped = computed(() =>
  (led.value?.progress.scrapped ?? [])
    .filter((one) => one.step_n === (at.value ?? -1) + 1)
    .reduce((sum, one) => sum + one.n, waiting.value.scrapped),
)
function unscrap() {
  if (at.value !== null && scrapped.value > 0) press(at.value + 1, 'rescued')
}
/** A finding can still become something; of a ring nothing is lost but the ring. */
const rescue = computed(() => {
  const piece = led.value?.entry.record.piece
  return piece && 'finding' in piece && task.value
    ? `/measure/fix?batch=${id}&step=${task.value.step.step_n}`
    : undefined
})
const scrappable = computed(() => !!task.value?.scraps && may.value > 0)

const big = useTemplateRef<HTMLButtonElement>('big')
/** A press by key was counted already: what the browser makes of it is no second one. */
let keyed = false
useEventListener('keydown', (event) => {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey || scrapping.value || noting.value)
    return
  const on = event.target as HTMLElement
  const elsewhere = on !== big.value && !!on.closest('button, a, select')
  if ((event.key === ' ' || event.key === 'Enter') && !elsewhere) {
    event.preventDefault()
    keyed = true
    // A foot that stays down is one press.
    if (!event.repeat) onward()
  } else if (event.key === 'Backspace') {
    event.preventDefault()
    if (!event.repeat) back()
  } else if (event.key === 'x' && scrappable.value) {
    event.preventDefault()
    scrapping.value = true
  } else if (event.key === 'n') {
    event.preventDefault()
    noting.value = true
  } else if (event.key === '[' || event.key === ']') look(event.key === '[' ? -1 : 1)
})
useEventListener('keyup', () => setTimeout(() => (keyed = false)))
const clicked = () => (keyed ? undefined : onward())
</script>

<template>
  <div v-if="led" class="lead" :style="{ '--metal': led.colour }">
    <header>
      <router-link to="/bench" class="way">{{ t('lead-view-bench') }}</router-link>
      <h1>{{ led.entry.name }}</h1>
      <span class="quiet">
        <template v-if="task"
          >{{ t('lead-view-step', { stepn: task.step.step_n, tasks: led.tasks.length }) }}
        </template>
        <template v-if="led.progress.left_min > 0"
          >{{ t('lead-view-about-left', { leftmin: minutesOf(led.progress.left_min) }) }} </template>{{
          t('lead-view-good', { wholen: led.progress.whole_n })
        }}
      </span>
      <RouteMenu v-if="fresh && making" :desk="making" />
      <span v-if="unanswered" class="watch" role="status" data-test="unanswered">
        {{ t('lead-view-saved-here-will-sync-when') }}
      </span>
    </header>
    <p v-if="led.entry.record.note" class="note quiet" data-test="noted">{{ led.entry.record.note }}</p>
    <RestPrompt class="rest" :now="rest" />
    <template v-if="task && there">
      <PlacingStep v-if="chain && left > 0" :request="chain" :done="done" :colour="led.colour" @on="placed" />
      <section v-if="!chain || left === 0" class="moment">
        <DrawingStage v-if="task.at_tool" :drawing="task.at_tool" class="drawing tool" data-test="at-tool" />
        <PieceSketch :drawing="task.drawing" class="drawing" :class="{ beside: task.at_tool }" />
      </section>
      <section v-if="!chain || left === 0" class="say">
        <h2 class="what">{{ task.step.named }}</h2>
        <p v-if="task.number" class="reads" data-test="reads">
          {{ task.number }}
          <span class="of">{{ [task.number_of, coilInHand].filter(Boolean).join(', ') }}</span>
        </p>
        <p v-else-if="task.number_of" class="reads small">{{ task.number_of }}</p>
        <p class="text serif" data-test="instruction">{{ task.step.text }}</p>
        <p v-if="task.step.hint" :class="task.step.misfit ? 'watch' : 'quiet'">{{ task.step.hint }}</p>
        <label v-if="task.wasted_mm !== undefined" class="from">
          {{ t('lead-view-wire-from')
          }}<select v-model="lot" class="word" data-test="lot">
            <option :value="null">{{ t('lead-view-wire-not-in-stock') }}</option>
            <option v-for="one in led.lots" :key="one.id" :value="one.id">{{ one.label }}</option>
          </select>
        </label>
        <TurnCounter
          v-if="turns !== null && left > 0"
          :turned="turned"
          :wanted="turns"
          :says="task.number"
          @turned="press((at ?? 0) + 1, 'turned', { n: $event })"
        />
        <CautionNote :caution="task.step.caution" @read="big?.focus()" />
      </section>
      <section class="press">
        <button
          ref="big"
          type="button"
          class="plain big"
          :disabled="may === 0"
          data-test="press"
          @click="clicked"
        >
          <span v-if="running" class="count num" data-test="timer">
            {{ ready > 0 ? spanOf(ready) : t('lead-view-ready') }}
          </span>
          <span v-else-if="once" class="count num">{{ done && left > 0 ? t('lead-view-done') : '' }}</span>
          <span v-else class="count num" data-test="count"
            >{{ done }}<small> {{ t('lead-view-of', { all }) }}</small></span
          >
          <span class="does">{{
            may === 0 ? (left === 0 ? t('lead-view-all-done') : t('lead-view-waits-for-step-before')) : does
          }}</span>
        </button>
        <div class="asides">
          <v-btn variant="text" :disabled="done === 0" data-test="take-back" @click="back">{{
            t('lead-view-back-one')
          }}</v-btn>
          <v-btn variant="text" :disabled="!scrappable" data-test="scrap-one" @click="scrapping = true">
            {{ t('lead-view-scrap-one') }}
          </v-btn>
          <v-btn v-if="scrapped" variant="text" data-test="rescue-scrapped" @click="unscrap">
            {{ t('lead-view-undo-scrap') }}
          </v-btn>
          <v-btn variant="text" data-test="note" @click="noting = true">{{ t('lead-view-note') }}</v-btn>
          <v-btn
            variant="text"
            :aria-pressed="sound.on.value"
            data-test="sound"
            @click="sound.on.value = !sound.on.value"
          >
            {{ sound.on.value ? t('lead-view-sound-on') : t('lead-view-sound') }}
          </v-btn>
          <span class="quiet keys">{{ t('lead-view-space-counts-one-backspace-goes') }}</span>
        </div>
      </section>
    </template>
    <template v-else>
      <section v-if="led.tasks.length" class="moment">
        <PieceSketch :drawing="led.tasks.at(-1)!.drawing" class="drawing" />
      </section>
      <MadeBatch class="say" :led="led" />
    </template>
    <ol v-one-stop class="steps" data-test="steps">
      <li v-for="(one, i) in led.tasks" :key="i">
        <button
          type="button"
          class="plain step"
          :class="{ now: i === at, finished: led.progress.tasks[i]?.left_n === 0 }"
          :aria-current="i === at ? 'step' : undefined"
          :title="one.step.named"
          @click="looking = i === inHand ? null : i"
        >
          <span class="visually-hidden">{{ one.step.named }}, </span>{{ i + 1 }}
        </button>
      </li>
    </ol>
    <NoteDialog
      v-model="noting"
      :batch="{ id, revision: led.entry.revision, note: led.entry.record.note ?? '' }"
      @noted="open"
    />
    <ScrapDialog v-model="scrapping" :step="task?.step.named ?? ''" :rescue="rescue" @scrapped="scrap" />
  </div>
  <p v-else-if="gone" class="page stop" role="alert">
    {{ gone }} <router-link to="/bench">{{ t('lead-view-back-bench') }}</router-link>
  </p>
  <p v-else class="page quiet" role="status">{{ t('lead-view-loading-step') }}</p>
</template>

<style scoped>
.lead {
  display: grid;
  grid-template:
    'head head' auto 'note note' auto 'rest rest' auto 'moment say' 1fr 'press press' auto 'steps steps' auto / minmax(
      0,
      5fr
    )
    minmax(0, 6fr);
  gap: 6px 36px;
  min-height: calc(100vh - 100px);
  padding: 8px var(--gutter);
}

header {
  grid-area: head;
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 18px;
}

h1 {
  font: 500 1.4rem var(--serif);
  margin: 0;
}

.note {
  grid-area: note;
  margin: 0;
  white-space: pre-line;
}

.moment {
  grid-area: moment;
  display: grid;
  place-items: center;
  min-height: 180px;
}

.drawing {
  width: 100%;
  height: 100%;
  max-height: 46vh;
}

/* The wire at its tool is what one looks at; the piece as it is afterwards stands under it. */
.moment:has(.tool) {
  grid-template-rows: minmax(200px, 1fr) auto;
  place-items: stretch;
}

.tool {
  min-height: 200px;
  max-height: none;
}

.beside {
  height: 12vh;
}

.say {
  grid-area: say;
  align-self: center;
}

.what::first-letter {
  text-transform: uppercase;
}

.what {
  margin: 0 0 4px;
  font-size: 1.25rem;
  font-weight: 700;
}

.lead :deep(.reads) {
  margin: 0;
  font-size: clamp(3.2rem, 8vw, 5.8rem);
  line-height: 1;
  font-weight: 700;
}

.lead :deep(.reads .of),
.lead :deep(.reads.small) {
  font-size: clamp(1.5rem, 3vw, 2.2rem);
  font-weight: 500;
}

.lead :deep(.reads .of) {
  color: rgb(var(--v-theme-quiet));
}

.lead :deep(.text) {
  font-size: clamp(1.25rem, 2vw, 1.55rem);
  line-height: 1.25;
  margin: 8px 0;
}

.from {
  display: block;
  margin: 4px 0 8px;
}

.rest {
  grid-area: rest;
}

.press {
  grid-area: press;
}

.big {
  width: 100%;
  min-height: 17vh;
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 40px;
  border-radius: 6px;
  background: rgb(var(--v-theme-primary));
  color: rgb(var(--v-theme-on-primary));
  user-select: none;
  touch-action: manipulation;
}

.big:disabled {
  background: rgb(var(--v-theme-surface));
  color: rgb(var(--v-theme-quiet));
  cursor: default;
}

.big:active:not(:disabled) {
  filter: brightness(0.92);
}

.count {
  font-size: clamp(3.4rem, 9vw, 5.6rem);
  line-height: 1;
}

.count small {
  font-size: 0.5em;
  font-weight: 500;
}

.does {
  font-size: 1.9rem;
}

.asides {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
}

.keys {
  margin-left: auto;
}

.steps {
  grid-area: steps;
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 0;
  padding: 0;
}

.step {
  min-width: 30px;
  height: 30px;
  border-radius: 15px;
  border: 1.5px solid rgb(var(--v-theme-quiet));
  text-align: center;
  font-weight: 700;
  font-size: 0.9rem;
}

.step.finished {
  border-color: rgb(var(--v-theme-primary));
  color: rgb(var(--v-theme-primary));
}

.step.now {
  background: rgb(var(--v-theme-primary));
  border-color: rgb(var(--v-theme-primary));
  color: rgb(var(--v-theme-on-primary));
}

@media (max-width: 860px) {
  .lead {
    grid-template:
      'head' auto 'rest' auto 'say' auto 'moment' minmax(120px, 1fr)
      'press' auto 'steps' auto / minmax(0, 1fr);
  }

  .moment {
    min-height: 120px;
  }

  .drawing {
    max-height: 28vh;
  }

  .big {
    min-height: 20vh;
    gap: 24px;
  }

  .keys {
    display: none;
  }
}
</style>
