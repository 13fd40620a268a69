<script setup lang="ts">
import { t } from '../text'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import {
  api,
  data,
  type ChainRequest,
  type ChainSlot,
  type OnScale,
  type RingRequest,
  type PlacingShown,
  type Weave,
} from '../api/client'
import { exportFile } from '../shared/download'
import FigureColumn from '../figures/FigureColumn.vue'
import { useWritten } from '../figures/written'
import { countOf } from '../shared/typing'
import { useNotice } from '../shared/notice'
import { useKeptRefresh } from '../shared/kept'
import { useSettings } from '../shared/settings'
import DeskFrame from '../desk/DeskFrame.vue'
import KeepDialog from '../desk/KeepDialog.vue'
import MakeIt from '../desk/MakeIt.vue'
import SentenceLine from '../desk/SentenceLine.vue'
import { useSavedAddress } from '../desk/address'
import { useDeskKeys } from '../desk/keys'
import type { Word } from '../desk/desk'
import BackwardsPanel from './BackwardsPanel.vue'
import BestRods from './BestRods.vue'
import ChainStage from './ChainStage.vue'
import OwnWeave from './OwnWeave.vue'
import PlacingCard from './PlacingCard.vue'
import RatioScale from './RatioScale.vue'
import { usePattern } from '../patterns/pattern'
import { usePlan } from '../rings/plan'
import { useChain } from './chain'

const chain = useChain()
const plan = usePlan()
const pattern = usePattern()
const router = useRouter()
const settings = useSettings()
const notice = useNotice()
const refreshKept = useKeptRefresh()
const { atTheBench } = useWritten()
const bench = computed(() =>
  atTheBench(chain.worked?.figures ?? [], ['rings', 'rings-to-make', 'chain-length']),
)
const views = [
  { key: 'three', test: 'three', says: t('chain-view-three-repeats') },
  { key: 'twelve', test: 'twelve', says: t('chain-view-twelve') },
  { key: 'build', test: 'build', says: t('chain-view-ring-by-ring') },
  { key: 'backwards', test: 'backwards-view', says: t('chain-view-backwards') },
] as const
const shown = ref<(typeof views)[number]['key']>('three')
const trueSize = ref(false)
const keeping = ref(false)
const owning = ref(false)
/** What was tapped stays on its sheet while the view is open. */
const owned = ref(false)
watch(owning, () => (owned.value = true))
const turn = ref({ yaw: 0, pitch: 0 })

const truePixels = computed(() => (trueSize.value ? settings.pixelsPerMm : null))
const rings = computed(() => {
  const all = chain.worked?.rings ?? []
  const rows = shown.value === 'twelve' || trueSize.value ? 12 : 3
  return all.filter((ring) => ring.row <= rows)
})
const colours = computed(() => (chain.worked?.parts ?? []).map((part) => part.colour))
const parts = computed(() => chain.worked?.parts ?? [])

/** Which ring is put in, from 1. */
const n = ref(1)
const placing = shallowRef<PlacingShown | null>(null)
const buildTurn = ref({ yaw: 0.25, pitch: 0.35 })
let latest = 0
async function place() {
  const request = chain.draft
  if (!request || !chain.sound || shown.value !== 'build') return
  const mine = ++latest
  try {
    const next = await data(api.POST('/api/chains/placing', { body: { request, done_n: n.value - 1 } }))
    if (mine === latest) placing.value = next
  } catch (thrown) {
    notice.fail(thrown)
  }
}
watch([() => chain.sheet, n, shown], place)
watch(
  () => chain.worked?.plan.open_n ?? 1,
  (open) => (n.value = Math.min(n.value, open)),
)
function goTo(to: number) {
  n.value = Math.min(Math.max(1, to), placing.value?.of_n ?? n.value)
}
const step = (by: number) => goTo(n.value + by)
function goToTyped(event: Event) {
  const field = event.target as HTMLInputElement
  const typed = countOf(field.value)
  if (typed) goTo(typed)
  else notice.say(t('chain-view-not-ring-number-enter-number', { field: field.value }))
  field.value = String(n.value)
}

const files = [
  {
    file: 'plan.pdf',
    says: t('chain-view-plan-weaving-steps-pdf'),
    hint: t('chain-view-a4-six-rows-drawn-at'),
  },
  { file: 'drawing.svg', says: t('chain-view-drawing-svg'), hint: t('chain-view-six-rows-from-three-sides') },
  { file: 'chain.stl', says: t('chain-view-solid-rings-stl'), hint: t('chain-view-its-first-24-rows-at') },
  { file: 'rings.csv', says: t('chain-view-rings-make-csv'), hint: t('chain-view-one-line-per-part') },
  { file: 'placings.csv', says: t('chain-view-weaving-steps-csv'), hint: t('chain-view-one-line-per-ring') },
  { file: 'chain.json', says: t('chain-view-chain-json'), hint: t('chain-view-can-be-imported-again') },
  {
    file: 'weave.json',
    says: t('chain-view-weave-json'),
    hint: t('chain-view-rings-links-for-another-workshop'),
  },
]

async function take(file: string) {
  if (!chain.draft) return
  const name = chain.kept?.name || t('chain-view-chain')
  try {
    await exportFile(`/api/chains/export/${file}`, {
      name,
      note: chain.kept?.note ?? '',
      request: chain.draft,
    })
  } catch (thrown) {
    notice.fail(thrown)
  }
}

const words: Record<ChainSlot, Word> = {
  chains: { title: t('chain-view-how-many-chains'), hint: t('chain-view-count') },
  length: {
    title: t('chain-view-length-when-worn-with-clasp'),
    hint: t('chain-view-42-cm-16-1-2'),
    length: true,
  },
  weave: { title: t('chain-view-weave'), hint: t('chain-view-byzantine-4-in-1-sheet') },
  across: { title: t('chain-view-width-in-repeats'), hint: t('chain-view-count') },
  temper: { title: t('chain-view-temper-wire') },
  metal: { title: t('chain-view-metal') },
  size: { title: t('chain-view-size-wire'), hint: t('chain-view-1-2-mm-16-awg'), length: 'of-wire' },
  lot: { title: t('chain-view-spool-wire-comes-from'), hint: t('chain-view-lot-5-or-any') },
  winding: { title: t('chain-view-how-rings-wound') },
  mandrel: { title: t('chain-view-rod-they-wound-on'), hint: t('chain-view-5-mm-3-16-in') },
  cutting: { title: t('chain-view-how-coil-cut') },
  blade: { title: t('chain-view-saw-blade') },
  second: { title: t('chain-view-rings-second-part'), says: t('chain-view-same-as-others-or-another') },
  'second-metal': { title: t('chain-view-metal-second-part') },
  'second-size': {
    title: t('chain-view-wire-second-part'),
    hint: t('chain-view-1-mm-18-awg'),
    length: 'of-wire',
  },
  'second-mandrel': { title: t('chain-view-rod-second-part'), hint: t('chain-view-4-mm-5-32-in') },
  clasp: { title: t('chain-view-clasp'), hint: t('chain-view-s-clasp-or-no-clasp') },
  ease: {
    title: t('chain-view-ease'),
    hint: t('chain-view-5-mm-or-5-mm'),
    length: true,
    says: t('chain-view-chain-stretches-with-wear-so'),
  },
  spares: { title: t('chain-view-spare-rings'), hint: t('chain-view-count') },
  scrap: { title: t('chain-view-expected-scrap'), hint: '3 %' },
}

const attempt = (work: Promise<unknown>) => work.catch(notice.fail)
const takeWeave = (one: OnScale) => attempt(chain.set(one.request))
const set = (request: ChainRequest) => attempt(chain.set(request))
const useOwn = (weave: Weave) => {
  if (!chain.draft) return
  const own = { ...chain.draft, weave: weave.name, own_weave: weave, second_ring: undefined }
  void attempt(chain.set(own))
}
const ratio = computed(() => {
  const all = chain.sheet?.scale ?? []
  return all.length && chain.sheet?.backwards ? (chain.sheet.backwards.ratio ?? 0) : 0
})
/** What a chain is made of lies on its own desk. */
const openRings = (ring: RingRequest) => attempt(plan.start(ring).then(() => router.push('/rings')))
const openClasp = () =>
  chain.draft?.clasp && attempt(pattern.start(chain.draft.clasp).then(() => router.push('/findings/piece')))
const hasSecond = computed(() => parts.value.length > 1)

useDeskKeys({
  undo: () => attempt(chain.undo()),
  redo: () => attempt(chain.redo()),
  keep: () => (keeping.value = chain.sound),
  step: (by) => {
    if (shown.value === 'build') return step(by)
    const here = views.findIndex((one) => one.key === shown.value)
    shown.value = views[here + by]?.key ?? shown.value
  },
})
watch(
  () => [settings.settings.unit, settings.settings.gauge],
  () => attempt(chain.refresh()),
)
useSavedAddress(chain, (id) => data(api.GET('/api/chains/{id}', { params: { path: { id } } })))
</script>

<template>
  <DeskFrame
    v-if="chain.sheet"
    v-model:shown="shown"
    v-model:true-size="trueSize"
    :desk="chain"
    :title="t('chain-view-chain')"
    :views="views"
    :files="files"
    :beside="shown === 'build' ? t('chain-view-next-ring') : shown === 'backwards' ? 'Rods' : 'Figures'"
    :bench="bench"
    @keep="keeping = true"
    @take="take"
  >
    <template #tools>
      <MakeIt
        :desk="chain"
        :noun="t('chain-view-chain-2')"
        :count="chain.draft?.chains_n ?? 1"
        @kept="refreshKept"
      />
      <v-btn variant="text" data-test="own" @click="owning = true">{{ t('chain-view-own-weave') }}</v-btn>
    </template>
    <template #sentence>
      <SentenceLine :desk="chain" :words="(slot) => words[slot as ChainSlot]" />
      <p class="more quiet">
        <template v-if="hasSecond && !chain.draft?.second_ring">
          {{ t('chain-view-its-rings-can-be', { name: parts[1]?.name })
          }}<button
            type="button"
            class="plain link"
            data-test="two-kinds"
            @click="set({ ...chain.draft!, second_ring: chain.draft!.ring })"
          >
            {{ t('chain-view-another-metal-or-size') }}</button
          >.
        </template>
        <button
          v-else-if="chain.draft?.second_ring"
          type="button"
          class="plain link"
          data-test="all-alike"
          @click="set({ ...chain.draft!, second_ring: undefined })"
        >
          {{ t('chain-view-all-rings-same-again') }}</button><template v-if="chain.draft?.second_ring"
          >.
        </template>
        <template v-for="(ring, i) in chain.worked?.ring_plans ?? []" :key="i">
          <button type="button" class="plain link" :data-test="`ring-plan-${i}`" @click="openRings(ring)">
            {{
              i === 0
                ? t('chain-view-ring-plan-behind')
                : t('chain-view-that-its-rings', { name: parts[i]?.name })
            }}</button>{{ i + 1 < (chain.worked?.ring_plans.length ?? 0) ? ', ' : '. ' }}
        </template>
        <template v-if="chain.draft?.clasp">
          {{ t('chain-view-its-clasp')
          }}<button type="button" class="plain link" data-test="clasp-room" @click="openClasp">
            {{ t('chain-view-finding') }}</button
          >.
        </template>
      </p>
    </template>
    <template v-if="shown === 'backwards'">
      <RatioScale
        v-if="chain.sheet.scale.length"
        class="all"
        :scale="chain.sheet.scale"
        :ratio="ratio"
        @choose="takeWeave"
      />
      <BackwardsPanel :sheet="chain.sheet" @set="set" />
    </template>
    <template v-else-if="shown === 'build' && placing">
      <ChainStage
        v-model:turn="buildTurn"
        class="drawing"
        :class="{ stale: !chain.sound }"
        :rings="placing.rings"
        :colours="colours"
        :says="placing.placing?.text ?? t('chain-view-chain-done')"
        placing
      />
      <p class="steps no-print">
        <v-btn variant="text" :disabled="n <= 1" data-test="ring-back" @click="step(-1)">{{
          t('chain-view-back-one')
        }}</v-btn>
        <input
          :value="n"
          class="word at"
          inputmode="numeric"
          :aria-label="t('chain-view-which-ring-add')"
          data-test="ring-n"
          @change="goToTyped"
        />{{ t('chain-view-open-rings', { ofn: placing.of_n })
        }}<v-btn variant="text" :disabled="n >= placing.of_n" data-test="ring-on" @click="step(1)">{{
          t('chain-view-next-ring-2')
        }}</v-btn>
        <v-btn
          variant="text"
          :disabled="placing.row_done_n >= placing.of_n"
          @click="n = placing.row_done_n + 1"
          >{{ t('chain-view-next-row') }}</v-btn
        >
      </p>
    </template>
    <template v-else-if="chain.worked">
      <ChainStage
        v-model:turn="turn"
        class="drawing"
        :class="{ stale: !chain.sound }"
        :rings="rings"
        :colours="colours"
        :says="t('chain-view-drawn-taut', { sheet: chain.sheet.text })"
        :true-pixels="truePixels"
      >
        <ul v-if="hasSecond" class="legend" :aria-label="t('chain-view-parts-weave')">
          <li v-for="(part, i) in parts" :key="part.name">
            <span class="swatch" :class="{ ticked: i > 0 }" :style="{ '--part': part.colour }" />{{
              t('chain-view-rings', { name: part.name, ringsn: part.rings_n })
            }}
          </li>
        </ul>
      </ChainStage>
    </template>
    <template v-if="shown === 'backwards' && chain.sheet.backwards" #figures>
      <BestRods :backwards="chain.sheet.backwards" @set="set" />
    </template>
    <template v-else-if="chain.worked" #figures>
      <PlacingCard v-if="shown === 'build' && placing" :shown="placing" />
      <template v-else>
        <FigureColumn :figures="chain.worked.figures" lead />
        <p
          v-for="caution in chain.worked.cautions"
          :key="caution.text"
          :class="['caution', caution.level]"
          data-test="caution"
        >
          {{ caution.text }}
        </p>
      </template>
    </template>
    <template #foot>
      <RatioScale
        v-if="chain.sheet.scale.length && (shown === 'three' || shown === 'twelve')"
        brief
        :scale="chain.sheet.scale"
        :ratio="ratio"
        @choose="takeWeave"
        @every="shown = 'backwards'"
      />
      <KeepDialog
        v-model="keeping"
        :desk="chain"
        :noun="t('chain-view-chain-2')"
        @kept="refreshKept"
        @undone="((chain.kept = null), refreshKept())"
      />
      <OwnWeave
        v-if="owned"
        v-model="owning"
        :start="chain.draft?.own_weave ?? null"
        :colour="chain.colour"
        @use="useOwn"
      />
    </template>
  </DeskFrame>
  <p v-else class="page quiet" role="status">{{ t('chain-view-loading-chain') }}</p>
</template>

<style scoped>
.more {
  margin: 2px 0 0;
  font-style: italic;
}

.all {
  --gutter: 0px;
  border-top: 0;
  margin-top: 6px;
}

.link {
  color: rgb(var(--v-theme-primary));
  text-decoration: underline;
}

.caution {
  margin: 10px 0 0;
  padding-left: 11px;
  border-left: 3px solid rgb(var(--v-theme-hairline));
  font-size: 0.98rem;
  line-height: 1.25;
}

.caution.watch {
  border-color: rgb(var(--v-theme-warning));
}

.caution.stop {
  border-color: rgb(var(--v-theme-error));
}

.legend {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 22px;
  margin: 0 0 0 auto;
  padding: 0;
}

.swatch {
  display: inline-block;
  width: 22px;
  height: 10px;
  border-radius: 5px;
  background: var(--part);
  margin-right: 5px;
}

.swatch.ticked {
  background: repeating-linear-gradient(90deg, var(--part) 0 4px, rgb(var(--v-theme-on-background)) 4px 6px);
}

.steps {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 10px;
  margin: 4px 0 0;
}

.at {
  width: 3.6em;
  text-align: right;
}
</style>
