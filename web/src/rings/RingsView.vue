<script setup lang="ts">
import { t } from '../text'
import { computed, ref, watch } from 'vue'
import { api, data, type Phrase, type PlacedRod, type Slot } from '../api/client'
import { exportFile } from '../shared/download'
import DrawingStage from '../drawing/DrawingStage.vue'
import WireStrip from '../drawing/WireStrip.vue'
import FigureColumn from '../figures/FigureColumn.vue'
import { useWritten } from '../figures/written'
import { useNotice } from '../shared/notice'
import { onDemand } from '../shared/onDemand'
import { useKeptRefresh } from '../shared/kept'
import { useSettings } from '../shared/settings'
import DeskFrame from '../desk/DeskFrame.vue'
import KeepDialog from '../desk/KeepDialog.vue'
import MakeIt from '../desk/MakeIt.vue'
import SentenceLine from '../desk/SentenceLine.vue'
import { useSavedAddress } from '../desk/address'
import { useDeskKeys } from '../desk/keys'
import type { Word } from '../desk/types'
import FormingLine from '../making/FormingLine.vue'
import RouteMenu from '../making/RouteMenu.vue'
import StepList from '../making/StepList.vue'
import RingWordMore from './RingWordMore.vue'
import RodsLine from './RodsLine.vue'
import { usePlan } from './plan'

const TemperPlot = onDemand(() => import('./TemperPlot.vue'))

const plan = usePlan()
const settings = useSettings()
const notice = useNotice()
const refreshKept = useKeptRefresh()
const { atTheBench } = useWritten()
const bench = computed(() =>
  atTheBench(plan.worked?.figures ?? [], ['ring-inside', 'turns-wound', 'wire-length']),
)
const moments = [
  { key: 'wound', test: 'wound', says: t('rings-view-on-rod') },
  { key: 'released', test: 'released', says: t('rings-view-sprung-open') },
  { key: 'making', test: 'making', says: t('rings-view-step-by-step') },
  { key: 'tempers', test: 'tempers', says: t('rings-view-by-temper') },
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
  {
    file: 'cut-sheet.pdf',
    says: t('rings-view-cut-sheet-pdf'),
    hint: t('rings-view-a4-true-size-with-check'),
  },
  { file: 'cut-sheet.svg', says: t('rings-view-cut-sheet-svg'), hint: t('rings-view-same-page-draw-on') },
  { file: 'label.pdf', says: t('rings-view-label-for-bag-pdf'), hint: '80 × 45 mm' },
  { file: 'plan.csv', says: t('rings-view-figures-csv'), hint: t('rings-view-one-line-for-table') },
  { file: 'plan.json', says: t('rings-view-plan-json'), hint: t('rings-view-can-be-imported-again') },
]

async function take(file: string) {
  if (!plan.draft) return
  const name = plan.kept?.name || t('rings-view-rings')
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
  rings: { title: t('rings-view-how-many-rings'), hint: t('rings-view-count') },
  temper: { title: t('rings-view-temper-wire') },
  metal: { title: t('rings-view-metal') },
  section: { title: t('rings-view-section-wire') },
  size: { title: t('rings-view-size-wire'), hint: t('rings-view-1-mm-18-awg-18'), length: 'of-wire' },
  lot: { title: t('rings-view-spool-wire-comes-from'), hint: t('rings-view-lot-5-or-any') },
  pulls: { title: t('rings-view-pulls-straighten'), hint: t('rings-view-12-times-or-none') },
  hammered: {
    title: t('rings-view-thickness-after-hammering'),
    hint: t('rings-view-0-8-mm-or-not'),
    length: true,
  },
  making: { title: t('rings-view-how-made') },
  winding: { title: t('rings-view-how-wound') },
  mandrel: { title: t('rings-view-rod-wound-on'), hint: t('rings-view-5-mm-3-16-in') },
  cutting: { title: t('rings-view-how-coil-cut') },
  blade: { title: t('rings-view-saw-blade') },
  inside: { title: t('rings-view-ring-size-wanted'), hint: '5 mm, 3/16"', length: true },
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
  const [fault] = await plan.type('mandrel', rod.label, from)
  if (fault) notice.say(fault.message)
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

watch([() => settings.settings.unit, () => settings.settings.gauge], () => attempt(plan.refresh()))
useSavedAddress(plan, (id) => data(api.GET('/api/plans/{id}', { params: { path: { id } } })))
</script>

<template>
  <DeskFrame
    v-if="plan.sheet"
    v-model:shown="moment"
    v-model:true-size="trueSize"
    :desk="plan"
    :title="t('rings-view-rings')"
    :views="moments"
    :files="files"
    :beside="moment === 'making' ? t('rings-view-steps') : t('rings-view-figures')"
    :bench="bench"
    @keep="keeping = true"
    @take="take"
  >
    <template #tools>
      <MakeIt
        :desk="plan"
        :noun="t('rings-view-plan')"
        :count="plan.draft?.rings_n ?? 1"
        @kept="refreshKept"
      />
      <RouteMenu :desk="plan" />
    </template>
    <template #sentence>
      <SentenceLine :desk="plan" :words="(slot) => words[slot as Slot]" :also-faulty="alsoFaulty">
        <template #default="{ slotName, from, readMm, choose }">
          <RingWordMore :slot-name="slotName" :from="from" :read-mm="readMm" :choose="choose" />
        </template>
      </SentenceLine>
      <p v-if="plan.worked?.wanted" class="wished quiet" data-test="wished">{{ plan.worked.wanted }}</p>
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
        :noun="t('rings-view-plan')"
        @kept="refreshKept"
        @undone="((plan.kept = null), refreshKept())"
      />
    </template>
  </DeskFrame>
  <p v-else class="page quiet" role="status">{{ t('rings-view-loading-plan') }}</p>
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
