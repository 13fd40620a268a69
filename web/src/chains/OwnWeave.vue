<script setup lang="ts">
import WordSelect from '../shared/WordSelect.vue'
import { t } from '../text'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data, faultsOf, type KnownWeave, type Weave } from '../api/client'
import { useNotice } from '../shared/notice'
import PaperDialog from '../shared/PaperDialog.vue'
import ChainStage from './ChainStage.vue'
import LinkDiagram from './LinkDiagram.vue'
import WeaveParts from './WeaveParts.vue'
import { useRelaxing } from './relaxing'

/** A weave of one's own: rings of a cell, and which go through which, by tapping; it relaxes, and says from which ratio on. */
const open = defineModel<boolean>({ required: true })
const { start } = defineProps<{ start: Weave | null; colour: string }>()
const emit = defineEmits<{ use: [weave: Weave] }>()
const notice = useNotice()
const queries = useQueryClient()

const known = useQuery({
  queryKey: ['weaves'],
  queryFn: () => data(api.GET('/api/weaves')),
  staleTime: Infinity,
})
const own = useQuery({
  queryKey: ['own-weaves'],
  queryFn: () => data(api.GET('/api/weaves/own', { params: { query: { most: 200 } } })),
})

const blank = (): Weave => ({
  name: t('own-weave-my-weave'),
  rings: [t('own-weave-ring'), t('own-weave-ring')],
  links: [
    { ring: 0, through: 1 },
    { ring: 1, through: 0, cells_along: 1 },
  ],
  repeats: { chain: {} },
})
const weave = ref<Weave>(structuredClone(start ?? blank()))
const keptAs = ref<{ id: number; revision: number } | null>(null)

function take(from: Weave, entry: { id: number; revision: number } | null = null) {
  weave.value = structuredClone(JSON.parse(JSON.stringify(from)) as Weave)
  keptAs.value = entry
  found.value = null
  faults.value = []
}
function takeKnown(event: Event) {
  const one = known.data.value?.find(
    (weave: KnownWeave) => weave.weave === (event.target as HTMLSelectElement).value,
  )
  if (one) take({ ...one.design, name: t('own-weave-mine', { name: one.name }) })
}
function takeOwn(event: Event) {
  const entry = own.data.value?.entries.find(
    (one) => String(one.id) === (event.target as HTMLSelectElement).value,
  )
  if (entry) take(entry.record, { id: entry.id, revision: entry.revision })
}

const sheet = computed(() => weave.value.repeats === 'sheet')
const ways = [
  { word: '0', label: t('own-weave-goes-straight-on') },
  { word: '90', label: t('own-weave-turns-by-quarter') },
  { word: '180', label: t('own-weave-turns-by-half') },
  { word: 'free', label: t('own-weave-turns-freely') },
  { word: 'sheet', label: t('own-weave-continues-as-sheet') },
]
const goesOn = computed({
  get: () => {
    const on = weave.value.repeats ?? { chain: {} }
    if (on === 'sheet') return 'sheet'
    return on.chain.turn_deg === undefined || on.chain.turn_deg === null ? 'free' : String(on.chain.turn_deg)
  },
  set: (to: string) => {
    weave.value.repeats = to === 'sheet' ? 'sheet' : { chain: to === 'free' ? {} : { turn_deg: Number(to) } }
    changed()
  },
})

function addRing() {
  weave.value.rings = [...weave.value.rings, weave.value.rings.at(-1) ?? t('own-weave-ring')]
  changed()
}
function dropRing() {
  const last = weave.value.rings.length - 1
  weave.value.rings = weave.value.rings.slice(0, -1)
  weave.value.links = weave.value.links.filter((link) => link.ring !== last && link.through !== last)
  weave.value.folds = weave.value.folds?.filter(
    (fold) =>
      ![fold.ring, ...fold.over.map((at) => at.ring), ...fold.held_by.map((at) => at.ring)].includes(last),
  )
  changed()
}

const { found, faults, job, far, changed, relax, stop } = useRelaxing(weave, open)
const turn = ref({ yaw: 0, pitch: 0 })

async function keep() {
  try {
    const body = weave.value
    const written = keptAs.value
      ? await data(
          api.PUT('/api/weaves/own/{id}', {
            params: { path: { id: keptAs.value.id }, query: { revision: keptAs.value.revision } },
            body,
          }),
        )
      : await data(api.POST('/api/weaves/own', { body }))
    keptAs.value = { id: written.entry.id, revision: written.entry.revision }
    const refresh = () => queries.invalidateQueries({ queryKey: ['own-weaves'] })
    await refresh()
    notice.did(t('own-weave-saved-weave', { name: body.name }), written.undo, refresh)
  } catch (thrown) {
    faults.value = faultsOf(thrown)
  }
}

function use() {
  emit('use', weave.value)
  open.value = false
}
</script>

<template>
  <PaperDialog v-model="open" :title="t('own-weave-your-own-weave')" :width="940">
    <div class="own">
      <section>
        <p class="line">
          <input
            v-model="weave.name"
            class="word name"
            :aria-label="t('own-weave-name')"
            data-test="weave-name"
          />
          <select
            class="word"
            :aria-label="t('own-weave-start-from')"
            data-test="weave-from"
            @change="takeKnown"
          >
            <option value="">{{ t('own-weave-known-weave') }}</option>
            <option v-for="one in known.data.value ?? []" :key="one.weave" :value="one.weave">
              {{ one.name }}
            </option>
          </select>
          <select
            v-if="own.data.value?.entries.length"
            class="word"
            :aria-label="t('own-weave-saved-weaves')"
            data-test="weave-kept"
            @change="takeOwn"
          >
            <option value="">{{ t('own-weave-open-saved-weave') }}</option>
            <option v-for="one in own.data.value.entries" :key="one.id" :value="String(one.id)">
              {{ one.name }}
            </option>
          </select>
        </p>
        <p class="quiet hint">
          {{ t('own-weave-tap-ring-then-ring-goes') }}
        </p>
        <LinkDiagram
          v-model="weave.links"
          :rings="weave.rings"
          :sheet="sheet"
          @update:model-value="changed"
        />
        <p class="line">
          <v-btn
            variant="outlined"
            density="comfortable"
            :disabled="weave.rings.length >= 12"
            data-test="add-ring"
            @click="addRing"
            >{{ t('own-weave-add-ring') }}</v-btn
          >
          <v-btn
            variant="outlined"
            density="comfortable"
            :disabled="weave.rings.length < 2"
            @click="dropRing"
            >{{ t('own-weave-remove-ring') }}</v-btn
          >
          <label>
            {{ t('own-weave-each-repeat')
            }}<WordSelect v-model="goesOn" :choices="ways" data-test="goes-on" />
          </label>
        </p>
        <WeaveParts v-model="weave.rings" />
        <p v-if="weave.side" class="quiet hint">
          {{ weave.side === 'same' ? t('own-weave-same-side') : t('own-weave-each-side-in-turn') }}
        </p>
        <p v-if="weave.folds?.length" class="quiet hint">
          {{ t('own-weave-its-rings-stay-folded-over', { folds: weave.folds.length }) }}
        </p>
      </section>
      <section class="result">
        <p v-if="job" role="status" class="quiet" data-test="relaxing">
          {{ t('own-weave-working-out-how-lies', { far })
          }}<v-btn variant="text" density="comfortable" data-test="stop" @click="stop">{{
            t('own-weave-stop-use-best')
          }}</v-btn>
        </p>
        <template v-else-if="found">
          <p class="serif told" data-test="relaxed">{{ found.text }}</p>
          <ChainStage
            v-if="found.fits"
            v-model:turn="turn"
            class="picture"
            :rings="found.rings"
            :colours="[colour]"
            :says="t('own-weave-worked-out', { name: weave.name })"
          />
        </template>
        <p v-else-if="!faults.length" class="quiet">
          {{ t('own-weave-work-out-see-how-lies') }}
        </p>
        <ul v-if="faults.length" class="stop" role="alert" data-test="weave-faults">
          <li v-for="fault in faults" :key="fault.message">{{ fault.message }}</li>
        </ul>
      </section>
    </div>
    <div class="acts">
      <v-btn variant="text" @click="open = false">{{ t('own-weave-close') }}</v-btn>
      <v-btn variant="text" data-test="keep-weave" @click="keep">{{
        keptAs ? t('own-weave-save-changes') : t('own-weave-save-weave')
      }}</v-btn>
      <v-btn variant="outlined" :disabled="!!job" data-test="relax" @click="relax">{{
        t('own-weave-work-out')
      }}</v-btn>
      <v-btn variant="flat" color="primary" :disabled="!found?.fits" data-test="use-weave" @click="use">{{
        t('own-weave-plan-chain-in')
      }}</v-btn>
    </div>
  </PaperDialog>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 8px;
  margin-top: 10px;
}

.own {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
  gap: 8px 28px;
}

.line {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 6px 14px;
  margin: 0 0 6px;
}

.name {
  width: 11em;
  font-size: 1.15rem;
}

.hint {
  margin: 0 0 4px;
}

.result {
  display: flex;
  flex-direction: column;
  min-height: 240px;
}

.told {
  font-size: 1.15rem;
  margin: 0;
}

.picture {
  flex: 1;
  min-height: 220px;
}
</style>
