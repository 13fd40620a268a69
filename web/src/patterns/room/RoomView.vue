<script setup lang="ts">
import { t } from '../../text'
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, data, type Figure, type PatternWorked } from '../../api/client'
import { exportFile } from '../../shared/download'
import DeskFrame from '../../desk/DeskFrame.vue'
import KeepDialog from '../../desk/KeepDialog.vue'
import MakeIt from '../../desk/MakeIt.vue'
import SentenceLine from '../../desk/SentenceLine.vue'
import { useSavedAddress } from '../../desk/address'
import { useDeskKeys } from '../../desk/keys'
import DrawingStage from '../../drawing/DrawingStage.vue'
import PieceSketch from '../../drawing/PieceSketch.vue'
import FigureColumn from '../../figures/FigureColumn.vue'
import { useWritten } from '../../figures/written'
import { useNotice } from '../../shared/notice'
import { useSettings } from '../../shared/settings'
import BlankStrip from './BlankStrip.vue'
import PlierLine from './PlierLine.vue'
import CheckList from './CheckList.vue'
import FitDialog from './FitDialog.vue'
import MateDialog from './MateDialog.vue'
import OverDialog from './OverDialog.vue'
import PatternPage from '../library/PatternPage.vue'
import FormingLine from '../../making/FormingLine.vue'
import RouteMenu from '../../making/RouteMenu.vue'
import StepList from '../../making/StepList.vue'
import TryMenu from './TryMenu.vue'
import WireDialog from './WireDialog.vue'
import WoundAs from './WoundAs.vue'
import { useDrag } from './drag'
import { files } from './files'
import { useLook } from './look'
import { useKeptRefresh } from '../../shared/kept'
import { useKinds } from '../../shared/kinds'
import { useOver } from './over'
import { usePattern } from '../pattern'
import { wordOf } from '../words'

const pattern = usePattern()
const settings = useSettings()
const notice = useNotice()
const refreshKept = useKeptRefresh()
const route = useRoute()
const router = useRouter()
const { data: kinds } = useKinds()

const kind = computed(() => kinds.value?.find((one) => one.kind === pattern.draft?.kind))
const form = computed(() => pattern.worked?.form)
const { views, shown, at, last, finished, drawn, handles, lit, pointMark, pointSegment } = useLook(
  pattern,
  kind,
)
const trueSize = ref(false)
const keeping = ref(false)
const dialog = ref<'fit' | 'wire' | 'mate' | 'over' | null>(null)
const shows = (which: NonNullable<typeof dialog.value>) =>
  computed({ get: () => dialog.value === which, set: (now) => (dialog.value = now ? which : null) })
const [fitting, wiring, mating, comparing] = [shows('fit'), shows('wire'), shows('mate'), shows('over')]
const sentence = useTemplateRef<{ editAt: (slot: string, at: HTMLElement) => void }>('sentence')
const { drag, still, failed } = useDrag(pattern)
const { laid, compared, ...over } = useOver(pattern)

const truePixels = computed(() => (trueSize.value ? settings.pixelsPerMm : null))
/** What stands beside the drawing waits until a drag is over, so that the piece follows the hand. */
const settled = shallowRef<PatternWorked | null>(null)
watch(
  () => (still.value ? null : pattern.worked),
  (worked) => {
    if (worked) settled.value = worked
  },
  { immediate: true },
)
const { atTheBench } = useWritten()
const bench = computed(() => {
  const marks = pattern.worked?.marks_text
  return [
    ...atTheBench(pattern.worked?.figures ?? [], ['blank', 'opens']),
    ...(marks ? [{ label: t('room-view-marks'), value: marks }] : []),
  ]
})
/** What one looks for first: the blank, and what the piece bears. */
const first = (figure: Figure) => figure.question === 'cut' || figure.key === 'opens'
const answer = computed(() => pattern.worked?.figures.filter(first) ?? [])
const rest = computed(
  () => (settled.value ?? pattern.worked)?.figures.filter((figure) => !first(figure)) ?? [],
)
const mirrored = computed(() => pattern.draft?.mirrored ?? false)

async function attempt(work: Promise<unknown> | undefined) {
  try {
    await work
  } catch (thrown) {
    notice.fail(thrown)
  }
}

function take(file: string) {
  if (!pattern.draft) return
  const name = pattern.kept?.name || kind.value?.name || t('room-view-finding')
  const record = { name, note: pattern.kept?.note ?? '', request: pattern.draft }
  return attempt(exportFile(`/api/findings/export/${file}`, record))
}

function tryIt(how: 'fit' | 'wire' | 'mate' | 'over' | 'mirror') {
  if (how === 'mirror') flip()
  else dialog.value = how
}

function flip() {
  if (pattern.draft) void attempt(pattern.set({ ...pattern.draft, mirrored: !mirrored.value }))
}

/** Starts from a kind where the address names one. */
async function begin() {
  const { kind: word } = route.query
  if (typeof word === 'string') {
    const all = await data(api.GET('/api/finding-kinds'))
    const found = all.find((one) => one.kind === word)
    if (found) await pattern.start({ kind: found.kind, wire: found.wire })
    await router.replace('/findings/piece')
  }
}

useDeskKeys({
  undo: () => attempt(pattern.undo()),
  redo: () => attempt(pattern.redo()),
  keep: () => (keeping.value = pattern.sound),
  step: (by) => (at.value = Math.min(Math.max(at.value + by, 0), last.value)),
})

watch(failed, (thrown) => thrown && notice.fail(thrown))
watch([() => settings.settings.unit, () => settings.settings.gauge], () => attempt(pattern.refresh()))
watch(
  () => route.query,
  (query) => {
    if (query.kind) void attempt(begin())
  },
)
useSavedAddress(pattern, (id) => data(api.GET('/api/findings/{id}', { params: { path: { id } } })), {
  before: begin,
  after: () => (at.value = last.value),
})
</script>

<template>
  <DeskFrame
    v-if="pattern.sheet"
    v-model:shown="shown"
    v-model:true-size="trueSize"
    :desk="pattern"
    :title="t('room-view-finding')"
    :views="views"
    :files="files"
    :beside="t('room-view-figures-steps')"
    :bench="bench"
    style="--beside: 372px"
    @keep="keeping = true"
    @take="take"
  >
    <template #sentence>
      <SentenceLine ref="sentence" :desk="pattern" :words="(slot) => wordOf(slot, kind)" class="says" />
    </template>
    <template #tools>
      <MakeIt
        :desk="pattern"
        :noun="t('room-view-finding-2')"
        :count="pattern.draft?.pieces_n ?? 1"
        @kept="refreshKept()"
      />
      <TryMenu :mirrored="mirrored" @try="tryIt" />
      <RouteMenu :desk="pattern" />
    </template>
    <p v-if="laid" class="compared" data-test="compared">
      <b>{{ t('room-view-over', { name: laid.name }) }}</b>{{ ' ' }}
      <span v-if="over.error.value" class="stop" role="alert">{{ over.error.value.message }}</span>
      <template v-else-if="compared"
        >{{ compared.differences.join('; ') || t('room-view-no-differences') }}.</template
      >
      <v-btn class="take-off inline" data-test="take-off" @click="laid = null">
        {{ t('room-view-remove') }}
      </v-btn>
    </p>
    <WoundAs v-if="pattern.worked?.wound_as" class="compared" :coil="pattern.worked.wound_as" />
    <p v-if="shown === 'temper'" class="compared quiet" data-test="temper-legend">
      {{ t('room-view-how-much-what-metal-can') }}
    </p>
    <PatternPage v-if="shown === 'about' && kind" :kind="kind" class="drawing" />
    <div v-else-if="drawn" class="drawing stage" :class="{ stale: !pattern.sound }">
      <DrawingStage
        :drawing="drawn.drawing"
        :parts="drawn.parts"
        :lit="shown === 'temper' ? [] : lit"
        :tinted="shown === 'temper'"
        :handles="handles"
        :at-least="still"
        :true-pixels="truePixels"
        :over="laid && shown === 'front' && finished ? compared : null"
        class="fill"
        @point="pointSegment"
        @drag="drag"
        @edit="(name, where) => sentence?.editAt(name, where)"
      />
      <figure
        v-if="shown === 'front' && finished && settings.pixelsPerMm && !trueSize && pattern.worked"
        class="small"
      >
        <PieceSketch
          :drawing="{ ...pattern.worked.front.drawing, dimensions: [] }"
          :pixels="settings.pixelsPerMm"
        />
        <figcaption class="quiet">{{ t('room-view-true-size') }}</figcaption>
      </figure>
    </div>
    <FormingLine
      v-if="settled"
      v-model="at"
      :steps="settled.form.steps"
      :stages="settled.stages.map((stage) => stage.drawing)"
    />
    <template v-if="pattern.worked && form" #figures>
      <FigureColumn :figures="answer" :only="['cut', 'will-it-hold']" lead />
      <CheckList :checks="form.checks" which="pressing" @point="pointSegment" />
      <StepList v-if="settled" v-model="at" :steps="settled.form.steps" :desk="pattern" />
      <PlierLine />
      <FigureColumn :figures="rest" :only="['will-it-hold', 'in-your-hand', 'off-the-spool']" />
      <CheckList :checks="(settled ?? pattern.worked).form.checks" which="well" />
    </template>
    <template #foot>
      <BlankStrip
        v-if="form && pattern.worked"
        :form="form"
        :thickness-mm="pattern.worked.thickness_mm"
        :true-pixels="truePixels"
        :done="at + 1"
        :workpiece="form.steps[at]?.workpiece"
        :lit="lit"
        @point="pointMark"
      />
      <KeepDialog
        v-model="keeping"
        :desk="pattern"
        :noun="t('room-view-finding-2')"
        @kept="refreshKept()"
        @undone="((pattern.kept = null), refreshKept())"
      />
      <FitDialog v-model="fitting" />
      <WireDialog v-model="wiring" />
      <MateDialog v-model="mating" />
      <OverDialog v-model="comparing" @lay="over.lay" />
    </template>
  </DeskFrame>
  <p v-else class="page quiet" role="status">{{ t('room-view-loading-drawing') }}</p>
</template>

<style scoped>
.says :deep(.sentence) {
  font-size: clamp(1.2rem, 1.85vw, 1.5rem);
}

.compared {
  margin: 6px 0 0;
}

.take-off {
  color: rgb(var(--v-theme-primary));
  text-decoration: underline;
  text-underline-offset: 3px;
  padding: 2px 4px;
}

.stage {
  position: relative;
}

.fill {
  position: absolute;
  inset: 0;
}

.small {
  position: absolute;
  right: 0;
  bottom: 6px;
  margin: 0;
  text-align: center;
}
</style>
