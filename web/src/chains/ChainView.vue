<script setup lang="ts">
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
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
import SentenceLine from '../desk/SentenceLine.vue'
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
  { key: 'three', test: 'three', says: 'three repeats' },
  { key: 'twelve', test: 'twelve', says: 'twelve' },
  { key: 'build', test: 'build', says: 'ring by ring' },
  { key: 'backwards', test: 'backwards-view', says: 'backwards' },
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
  else notice.say(`“${field.value}” is not a ring number. Enter a number.`)
  field.value = String(n.value)
}

const files = [
  { file: 'plan.pdf', says: 'Plan and weaving steps, PDF', hint: 'A4, six rows drawn at true size' },
  { file: 'drawing.svg', says: 'Drawing, SVG', hint: 'six rows from three sides, true size' },
  { file: 'chain.stl', says: 'Solid rings, STL', hint: 'its first 24 rows at most, mm' },
  { file: 'rings.csv', says: 'Rings to make, CSV', hint: 'one line per part' },
  { file: 'placings.csv', says: 'Weaving steps, CSV', hint: 'one line per ring' },
  { file: 'chain.json', says: 'Chain, JSON', hint: 'can be imported again' },
  { file: 'weave.json', says: 'Weave, JSON', hint: 'rings and links, for another workshop' },
]

async function take(file: string) {
  if (!chain.draft) return
  const name = chain.kept?.name || 'Chain'
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
  chains: { title: 'How many chains', hint: 'a count' },
  length: { title: 'Length when worn, with the clasp', hint: '42 cm, 16 1/2 in', length: true },
  weave: { title: 'The weave', hint: 'byzantine, 4 in 1 sheet' },
  across: { title: 'Width in repeats', hint: 'a count' },
  temper: { title: 'Temper of the wire' },
  metal: { title: 'Metal' },
  size: { title: 'Size of the wire', hint: '1.2 mm, 16 awg, .050"', length: 'of-wire' },
  lot: { title: 'Spool the wire comes from', hint: 'lot 5, or any' },
  winding: { title: 'How the rings are wound' },
  mandrel: { title: 'The rod they are wound on', hint: '5 mm, 3/16 in dowel' },
  cutting: { title: 'How the coil is cut' },
  blade: { title: 'Saw blade' },
  second: { title: 'Rings of the second part', says: 'The same as the others, or another metal.' },
  'second-metal': { title: 'Metal of the second part' },
  'second-size': { title: 'Wire of the second part', hint: '1 mm, 18 awg', length: 'of-wire' },
  'second-mandrel': { title: 'Rod of the second part', hint: '4 mm, 5/32 in' },
  clasp: { title: 'The clasp', hint: 'S clasp, or no clasp' },
  ease: {
    title: 'Ease',
    hint: '5 mm, or -5 mm for room',
    length: true,
    says: 'A chain stretches with wear, so it is made this much shorter. A minus leaves room.',
  },
  spares: { title: 'Spare rings', hint: 'a count' },
  spoiled: { title: 'Expected scrap', hint: '3 %' },
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
onMounted(() => attempt(chain.open()))
</script>

<template>
  <DeskFrame
    v-if="chain.sheet"
    v-model:shown="shown"
    v-model:true-size="trueSize"
    :desk="chain"
    title="Chain"
    :views="views"
    :files="files"
    :beside="shown === 'build' ? 'The next ring' : shown === 'backwards' ? 'Rods' : 'Figures'"
    :bench="bench"
    @keep="keeping = true"
    @take="take"
  >
    <template #tools>
      <v-btn variant="text" data-test="own" @click="owning = true">Own weave</v-btn>
    </template>
    <template #sentence>
      <SentenceLine :desk="chain" :words="(slot) => words[slot as ChainSlot]" />
      <p class="more quiet">
        <template v-if="hasSecond && !chain.draft?.second_ring">
          Its {{ parts[1]?.name }} rings can be
          <button
            type="button"
            class="plain link"
            data-test="two-kinds"
            @click="set({ ...chain.draft!, second_ring: chain.draft!.ring })"
          >
            another metal or size</button
          >.
        </template>
        <button
          v-else-if="chain.draft?.second_ring"
          type="button"
          class="plain link"
          data-test="all-alike"
          @click="set({ ...chain.draft!, second_ring: undefined })"
        >
          All rings the same again</button
        ><template v-if="chain.draft?.second_ring">. </template>
        <template v-for="(ring, i) in chain.worked?.ring_plans ?? []" :key="i">
          <button type="button" class="plain link" :data-test="`ring-plan-${i}`" @click="openRings(ring)">
            {{ i === 0 ? 'The ring plan behind it' : `that of its ${parts[i]?.name} rings` }}</button>{{
            i + 1 < (chain.worked?.ring_plans.length ?? 0) ? ', ' : '. '
          }}
        </template>
        <template v-if="chain.draft?.clasp">
          Its clasp is
          <button type="button" class="plain link" data-test="clasp-room" @click="openClasp">a finding</button
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
        :says="placing.placing?.text ?? 'The chain is done.'"
        placing
      />
      <p class="steps no-print">
        <v-btn variant="text" :disabled="n <= 1" data-test="ring-back" @click="step(-1)">Back one</v-btn>
        <input
          :value="n"
          class="word at"
          inputmode="numeric"
          aria-label="Which ring to add"
          data-test="ring-n"
          @change="goToTyped"
        />
        of {{ placing.of_n }} open rings
        <v-btn variant="text" :disabled="n >= placing.of_n" data-test="ring-on" @click="step(1)"
          >Next ring</v-btn
        >
        <v-btn
          variant="text"
          :disabled="placing.row_done_n >= placing.of_n"
          @click="n = placing.row_done_n + 1"
          >Next row</v-btn
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
        :says="`${chain.sheet.text} Drawn taut.`"
        :true-pixels="truePixels"
      >
        <ul v-if="hasSecond" class="legend" aria-label="Parts of the weave">
          <li v-for="(part, i) in parts" :key="part.name">
            <span class="swatch" :class="{ ticked: i > 0 }" :style="{ '--part': part.colour }" />
            {{ part.name }}: {{ part.rings_n }} rings
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
        noun="chain"
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
  <p v-else class="page quiet" role="status">Loading the chain…</p>
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
