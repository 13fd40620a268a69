<script setup lang="ts">
import { t } from '../text'
import { useWakeLock } from '@vueuse/core'
import { computed, onMounted, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { api, data, type BatchNow, type LedBatch } from '../api/client'
import DrawingStage from '../drawing/DrawingStage.vue'
import PieceSketch from '../drawing/PieceSketch.vue'
import { useNotice } from '../shared/notice'
import RouteMenu from '../making/RouteMenu.vue'
import MadeBatch from './MadeBatch.vue'
import NoteDialog from './NoteDialog.vue'
import PlacingStep from './PlacingStep.vue'
import PressArea from './PressArea.vue'
import RestPrompt from './RestPrompt.vue'
import ScrapDialog from './ScrapDialog.vue'
import StepDots from './StepDots.vue'
import StepText from './StepText.vue'
import { minutesOf, useServerClock } from './clock'
import { useStepInHand } from './inHand'
import { usePressKeys } from './keys'
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
const step = useStepInHand(led, clock.now, { press, pending })
const { at, task, done, left, chain } = step
watch(
  () => step.running.value && step.ready.value <= 0,
  (now, before) => now && before === false && sound.ready(),
)

const area = useTemplateRef<InstanceType<typeof PressArea>>('area')
const toPress = () => area.value?.focus()

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
  toPress()
})

/** Nothing is done yet: how it is made can still be changed, for this batch alone. */
const fresh = computed(
  () =>
    !!led.value &&
    led.value.progress.tasks.every((one) => one.done_n === 0 && !one.started_at && !one.turns_done_n) &&
    !led.value.progress.scrapped.length &&
    step.waiting.value.done === 0,
)
const making = computed(
  () => led.value && (makingOf(led.value, remade) as Parameters<typeof RouteMenu>[0]['desk']),
)
/** Its steps are others now, and the next press counts again. */
async function remade() {
  await open()
  toPress()
}
/** A finding can still become something; of a ring nothing is lost but the ring. */
const rescue = computed(() => {
  const piece = led.value?.entry.record.piece
  return piece && 'finding' in piece && task.value
    ? `/measure/fix?batch=${id}&step=${task.value.step.step_n}`
    : undefined
})
const noting = ref(false)
const scrapping = ref(false)

function placed(by: number) {
  step.placed(by)
  toPress()
}
function onward() {
  if (step.onward()) sound.tick()
}
const keyed = usePressKeys(
  {
    onward,
    back: step.back,
    scrap: () => (scrapping.value = step.scrappable.value),
    note: () => (noting.value = true),
    look: step.look,
  },
  { big: () => area.value?.big, deaf: () => scrapping.value || noting.value },
)
const clicked = () => (keyed() ? undefined : onward())
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
    <template v-if="task">
      <PlacingStep v-if="chain && left > 0" :request="chain" :done="done" :colour="led.colour" @on="placed" />
      <section v-if="!chain || left === 0" class="moment">
        <DrawingStage v-if="task.at_tool" :drawing="task.at_tool" class="drawing tool" data-test="at-tool" />
        <PieceSketch :drawing="task.drawing" class="drawing" :class="{ beside: task.at_tool }" />
      </section>
      <StepText v-if="!chain || left === 0" class="say" :step="step" :lots="led.lots" @read="toPress" />
      <PressArea
        ref="area"
        class="press"
        :step="step"
        :sound="sound.on.value"
        @press="clicked"
        @scrap="scrapping = true"
        @note="noting = true"
        @sound="sound.on.value = $event"
      />
    </template>
    <template v-else>
      <section v-if="led.tasks.length" class="moment">
        <PieceSketch :drawing="led.tasks.at(-1)!.drawing" class="drawing" />
      </section>
      <MadeBatch class="say" :led="led" />
    </template>
    <StepDots class="steps" :led="led" :at="at" @look="step.lookAt" />
    <NoteDialog
      v-model="noting"
      :batch="{ id, revision: led.entry.revision, note: led.entry.record.note ?? '' }"
      @noted="open"
    />
    <ScrapDialog v-model="scrapping" :step="task?.step.named ?? ''" :rescue="rescue" @scrapped="step.scrap" />
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

.rest {
  grid-area: rest;
}

.press {
  grid-area: press;
}

.steps {
  grid-area: steps;
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
}
</style>
