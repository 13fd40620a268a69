<script setup lang="ts">
import { computed, defineAsyncComponent, onMounted, ref, watch } from 'vue'
import { type Phrase, type PlacedRod, type Slot } from '../api/client'
import { exportFile } from '../shared/download'
import DrawingStage from '../drawing/DrawingStage.vue'
import WireStrip from '../drawing/WireStrip.vue'
import FigureColumn from '../figures/FigureColumn.vue'
import { useWritten } from '../figures/written'
import { useNotice } from '../shared/notice'
import { useKeptRefresh } from '../shared/kept'
import { useSettings } from '../shared/settings'
import DeskFrame from '../desk/DeskFrame.vue'
import KeepDialog from '../desk/KeepDialog.vue'
import SentenceLine from '../desk/SentenceLine.vue'
import { useDeskKeys } from '../desk/keys'
import type { Word } from '../desk/desk'
import FormingLine from '../making/FormingLine.vue'
import RouteMenu from '../making/RouteMenu.vue'
import StepList from '../making/StepList.vue'
import RingWordMore from './RingWordMore.vue'
import RodsLine from './RodsLine.vue'
import { usePlan } from './plan'

const TemperPlot = defineAsyncComponent(() => import('./TemperPlot.vue'))

const plan = usePlan()
const settings = useSettings()
const notice = useNotice()
const refreshKept = useKeptRefresh()
const { atTheBench } = useWritten()
const bench = computed(() =>
  atTheBench(plan.worked?.figures ?? [], ['ring-inside', 'turns-wound', 'wire-length']),
)
const moments = [
  { key: 'wound', test: 'wound', says: 'on the rod' },
  { key: 'released', test: 'released', says: 'sprung open' },
  { key: 'making', test: 'making', says: 'step by step' },
  { key: 'tempers', test: 'tempers', says: 'by temper' },
] as const
const moment = ref<(typeof moments)[number]['key']>('wound')
const trueSize = ref(false)
const keeping = ref(false)

/** Which step of its making is looked at. */
const at = ref(0)
const drawing = computed(() => {
  if (moment.value === 'making') return plan.worked?.stages[at.value]
  return moment.value === 'released' ? plan.worked?.released : plan.worked?.wound
})
/** Each step small, without dimensions. */
const stages = computed(() =>
  (plan.worked?.stages ?? []).map((stage) => ({ ...stage, dimensions: [], notes: [] })),
)
watch(
  () => plan.worked?.steps.length ?? 1,
  (n) => (at.value = Math.min(at.value, n - 1)),
)
const truePixels = computed(() => (trueSize.value ? settings.pixelsPerMm : null))

const files = [
  { file: 'cut-sheet.pdf', says: 'Cut sheet, PDF', hint: 'A4, true size, with check bars' },
  { file: 'cut-sheet.svg', says: 'Cut sheet, SVG', hint: 'the same page to draw on' },
  { file: 'label.pdf', says: 'Label for the bag, PDF', hint: '80 × 45 mm' },
  { file: 'plan.csv', says: 'Figures, CSV', hint: 'one line for a table' },
  { file: 'plan.json', says: 'Plan, JSON', hint: 'can be imported again' },
]

async function take(file: string) {
  if (!plan.draft) return
  const name = plan.kept?.name || 'Rings'
  try {
    await exportFile(`/api/rings/export/${file}`, {
      name,
      note: plan.kept?.note ?? '',
      request: plan.draft,
    })
  } catch (thrown) {
    notice.fail(thrown)
  }
}

const words: Record<Slot, Word> = {
  rings: { title: 'How many rings', hint: 'a count' },
  temper: { title: 'Temper of the wire' },
  metal: { title: 'Metal' },
  section: { title: 'Section of the wire' },
  size: { title: 'Size of the wire', hint: '1 mm, 18 awg, 18 swg, .040"', length: 'of-wire' },
  lot: { title: 'Spool the wire comes from', hint: 'lot 5, or any' },
  pulls: { title: 'Pulls to straighten it', hint: '12 times, or none' },
  hammered: { title: 'Thickness after hammering', hint: '0.8 mm, or not', length: true },
  making: { title: 'How it is made' },
  winding: { title: 'How it is wound' },
  mandrel: { title: 'The rod it is wound on', hint: '5 mm, 3/16 in dowel, 6 mm hexagonal rod' },
  cutting: { title: 'How the coil is cut' },
  blade: { title: 'Saw blade' },
  inside: { title: 'Ring size wanted', hint: '5 mm, 3/16"', length: true },
}

/** A fault at a part of what a word stands for: a rod's shape, a cut's filing. */
function alsoFaulty(phrase: Phrase): boolean {
  const group = phrase.field?.split('.')[0] ?? ''
  return (
    ['mandrel', 'cutting'].includes(group) &&
    phrase.slot !== 'blade' &&
    plan.faults.some(
      (fault) =>
        fault.field.startsWith(`${group}.`) &&
        !plan.sheet?.sentence.some((other) => other.field === fault.field),
    )
  )
}

/** A rod is taken by its name, as if it were typed. */
async function wind(rod: PlacedRod) {
  const from = plan.draft
  if (!from) return
  const [fault] = await plan.type('mandrel', rod.shown, from)
  if (fault) notice.say(fault.sentence)
  else plan.remember(from)
}

async function attempt(work: Promise<unknown>) {
  try {
    await work
  } catch (thrown) {
    notice.fail(thrown)
  }
}

useDeskKeys({
  undo: () => attempt(plan.undo()),
  redo: () => attempt(plan.redo()),
  keep: () => (keeping.value = plan.sound),
  step: (by) => {
    if (moment.value === 'making') {
      const last = (plan.worked?.steps.length ?? 1) - 1
      if (at.value + by >= 0 && at.value + by <= last) return void (at.value += by)
    }
    const here = moments.findIndex((one) => one.key === moment.value)
    moment.value = moments[here + by]?.key ?? moment.value
  },
})

watch(
  () => [settings.settings.unit, settings.settings.gauge],
  () => attempt(plan.refresh()),
)
onMounted(() => attempt(plan.open()))
</script>

<template>
  <DeskFrame
    v-if="plan.sheet"
    v-model:shown="moment"
    v-model:true-size="trueSize"
    :desk="plan"
    title="Rings"
    :views="moments"
    :files="files"
    :beside="moment === 'making' ? 'Steps' : 'Figures'"
    :bench="bench"
    @keep="keeping = true"
    @take="take"
  >
    <template #tools><RouteMenu :desk="plan" /></template>
    <template #sentence>
      <SentenceLine :desk="plan" :words="(slot) => words[slot as Slot]" :also-faulty="alsoFaulty">
        <template #default="{ slotName, from, readMm, choose }">
          <RingWordMore :slot-name="slotName" :from="from" :read-mm="readMm" :choose="choose" />
        </template>
      </SentenceLine>
      <p v-if="plan.worked?.wished" class="wished quiet" data-test="wished">{{ plan.worked.wished }}</p>
    </template>
    <TemperPlot
      v-if="plan.worked && moment === 'tempers'"
      class="drawing"
      :curves="plan.worked.curves"
      :rods="plan.worked.rods"
      :here="plan.worked.here"
    />
    <DrawingStage
      v-else-if="drawing"
      class="drawing"
      :class="{ stale: !plan.sound }"
      :drawing="drawing"
      :true-pixels="truePixels"
    />
    <FormingLine
      v-if="plan.worked && moment === 'making'"
      v-model="at"
      :steps="plan.worked.steps"
      :stages="stages"
    />
    <RodsLine
      v-if="plan.worked && moment !== 'making'"
      :rods="plan.worked.rods"
      :ring="plan.worked.plan.ring_inside_diameter_mm"
      @choose="wind"
    />
    <div v-if="plan.worked && moment !== 'making'" class="cautions" data-test="cautions">
      <p v-for="caution in plan.worked.cautions" :key="caution.text" :class="['caution', caution.level]">
        {{ caution.text }}
      </p>
    </div>
    <template v-if="plan.worked" #figures>
      <StepList v-if="moment === 'making'" v-model="at" :steps="plan.worked.steps" :desk="plan" />
      <FigureColumn v-else :figures="plan.worked.figures" lead />
    </template>
    <template #foot>
      <WireStrip
        v-if="plan.worked"
        :strip="plan.worked.strip"
        :true-pixels="truePixels"
        :workpiece="moment === 'making' ? plan.worked.steps[at]?.workpiece : undefined"
      />
      <KeepDialog
        v-model="keeping"
        :desk="plan"
        noun="plan"
        @kept="refreshKept"
        @undone="((plan.kept = null), refreshKept())"
      />
    </template>
  </DeskFrame>
  <p v-else class="page quiet" role="status">Loading the plan…</p>
</template>

<style scoped>
.wished {
  margin: 2px 0 0;
  font-style: italic;
}

.cautions {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(290px, 1fr));
  gap: 8px 22px;
  margin-top: 8px;
}

.caution {
  margin: 0;
  padding-left: 11px;
  border-left: 3px solid rgb(var(--v-theme-hairline));
  font-size: 0.98rem;
  line-height: 1.25;
}

.caution.watch {
  border-color: rgb(var(--v-theme-warning));
  color: inherit;
}

.caution.stop {
  border-color: rgb(var(--v-theme-error));
}
</style>
