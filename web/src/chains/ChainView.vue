<script setup lang="ts">
import { t } from '../text'
import { computed, ref, watch } from 'vue'
import { api, data, type ChainRequest, type ChainSlot, type OnScale, type Weave } from '../api/client'
import { exportFile } from '../shared/download'
import FigureColumn from '../figures/FigureColumn.vue'
import { useWritten } from '../figures/written'
import { useNotice } from '../shared/notice'
import { useKeptRefresh } from '../shared/kept'
import { useSettings } from '../shared/settings'
import DeskFrame from '../desk/DeskFrame.vue'
import KeepDialog from '../desk/KeepDialog.vue'
import MakeIt from '../desk/MakeIt.vue'
import SentenceLine from '../desk/SentenceLine.vue'
import { useSavedAddress } from '../desk/address'
import { useDeskKeys } from '../desk/keys'
import BackwardsPanel from './BackwardsPanel.vue'
import BestRods from './BestRods.vue'
import BuildStage from './BuildStage.vue'
import ChainParts from './ChainParts.vue'
import ChainStage from './ChainStage.vue'
import OwnWeave from './OwnWeave.vue'
import PlacingCard from './PlacingCard.vue'
import RatioScale from './RatioScale.vue'
import { useBuild } from './build'
import { useChain } from './chain'
import { files, words } from './words'

const chain = useChain()
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

const { n, placing, goTo, step, goToTyped } = useBuild(() => shown.value === 'build')

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
watch([() => settings.settings.unit, () => settings.settings.gauge], () => attempt(chain.refresh()))
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
    :beside="
      shown === 'build'
        ? t('chain-view-next-ring')
        : shown === 'backwards'
          ? t('chain-view-rods')
          : t('chain-view-figures')
    "
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
      <ChainParts />
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
    <BuildStage
      v-else-if="shown === 'build' && placing"
      :placing="placing"
      :n="n"
      :colours="colours"
      :stale="!chain.sound"
      :go-to-typed="goToTyped"
      @go="goTo"
    />
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
.all {
  --gutter: 0px;
  border-top: 0;
  margin-top: 6px;
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
</style>
