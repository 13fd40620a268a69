<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, onBeforeUnmount, ref } from 'vue'
import { api, data, faultsOf, type Fault, type KnownWeave, type Relaxed, type Weave } from '../api/client'
import { useNotice } from '../shared/notice'
import PaperDialog from '../shared/PaperDialog.vue'
import ChainStage from './ChainStage.vue'

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
  name: 'My weave',
  rings: ['ring', 'ring'],
  links: [
    { ring: 0, through: 1 },
    { ring: 1, through: 0, cells_on: 1 },
  ],
  goes_on: { chain: {} },
})
const weave = ref<Weave>(structuredClone(start ?? blank()))
const keptAs = ref<{ id: number; revision: number } | null>(null)

function take(from: Weave, entry: { id: number; revision: number } | null = null) {
  weave.value = structuredClone(JSON.parse(JSON.stringify(from)) as Weave)
  keptAs.value = entry
  found.value = null
  faults.value = []
  chosen.value = null
}
function takeKnown(event: Event) {
  const one = known.data.value?.find(
    (weave: KnownWeave) => weave.weave === (event.target as HTMLSelectElement).value,
  )
  if (one) take({ ...one.design, name: `${one.name}, mine` })
}
function takeOwn(event: Event) {
  const entry = own.data.value?.entries.find(
    (one) => String(one.id) === (event.target as HTMLSelectElement).value,
  )
  if (entry) take(entry.record, { id: entry.id, revision: entry.revision })
}

const letter = (ring: number) => String.fromCharCode(65 + ring)
const sheet = computed(() => weave.value.goes_on === 'sheet')
const goesOn = computed({
  get: () => {
    const on = weave.value.goes_on ?? { chain: {} }
    if (on === 'sheet') return 'sheet'
    return on.chain.turn_deg === undefined || on.chain.turn_deg === null ? 'free' : String(on.chain.turn_deg)
  },
  set: (to: string) => {
    weave.value.goes_on = to === 'sheet' ? 'sheet' : { chain: to === 'free' ? {} : { turn_deg: Number(to) } }
    changed()
  },
})

/** Cells that are shown: the one before, this one, the next; of a sheet those to the right too. */
const cells = computed(() =>
  sheet.value
    ? [
        [-1, 0],
        [0, 0],
        [1, 0],
        [-1, 1],
        [0, 1],
        [1, 1],
      ]
    : [
        [-1, 0],
        [0, 0],
        [1, 0],
      ],
)
type Tap = { ring: number; on: number; aside: number }
const place = ({ ring, on, aside }: Tap) => {
  const n = weave.value.rings.length
  return {
    x: 150 + on * 140 + ((n > 1 ? ring / (n - 1) : 0.5) - 0.5) * 78,
    y: 48 + (ring % 2) * 46 + aside * 118,
  }
}
const chosen = ref<Tap | null>(null)
const same = (a: Tap | null, b: Tap) => !!a && a.ring === b.ring && a.on === b.on && a.aside === b.aside

/** A second ring tapped makes a link of the two, or takes it out. */
function tap(at: Tap) {
  if (!chosen.value) return void (chosen.value = at)
  if (same(chosen.value, at)) return void (chosen.value = null)
  const from = chosen.value
  chosen.value = null
  const link = {
    ring: from.ring,
    through: at.ring,
    cells_on: at.on - from.on,
    cells_aside: at.aside - from.aside,
  }
  const is = (one: Weave['links'][number]) =>
    (one.ring === link.ring &&
      one.through === link.through &&
      (one.cells_on ?? 0) === link.cells_on &&
      (one.cells_aside ?? 0) === link.cells_aside) ||
    (one.ring === link.through &&
      one.through === link.ring &&
      (one.cells_on ?? 0) === -link.cells_on &&
      (one.cells_aside ?? 0) === -link.cells_aside)
  const links = weave.value.links
  weave.value.links = links.some(is) ? links.filter((one) => !is(one)) : [...links, link]
  changed()
}

/** Every link as a line, where both its rings are shown. */
const lines = computed(() =>
  cells.value.flatMap(([on, aside]) =>
    weave.value.links.flatMap((link) => {
      const to = {
        ring: link.through,
        on: on! + (link.cells_on ?? 0),
        aside: aside! + (link.cells_aside ?? 0),
      }
      if (!cells.value.some(([a, b]) => a === to.on && b === to.aside)) return []
      const [a, b] = [place({ ring: link.ring, on: on!, aside: aside! }), place(to)]
      return [{ x1: a.x, y1: a.y, x2: b.x, y2: b.y }]
    }),
  ),
)
const rings = computed(() =>
  cells.value.flatMap(([on, aside]) =>
    weave.value.rings.map((part, ring) => {
      const at = { ring, on: on!, aside: aside! }
      const where = on === 0 ? '' : on! < 0 ? ' of the cell before' : ' of the next cell'
      return {
        at,
        ...place(at),
        says: `${letter(ring)}${where}${aside ? ', to the right' : ''}`,
        part,
        here: on === 0 && !aside,
      }
    }),
  ),
)

function addRing() {
  weave.value.rings = [...weave.value.rings, weave.value.rings.at(-1) ?? 'ring']
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

const found = ref<Relaxed | null>(null)
const faults = ref<Fault[]>([])
const job = ref<number | null>(null)
const far = ref('')
const turn = ref({ yaw: 0, pitch: 0 })
let timer: ReturnType<typeof setTimeout> | undefined

function changed() {
  found.value = null
  faults.value = []
}

async function relax() {
  changed()
  try {
    follow(await data(api.POST('/api/chains/relaxing', { body: { weave: weave.value } })))
  } catch (thrown) {
    faults.value = faultsOf(thrown)
  }
}

type State = Awaited<ReturnType<typeof look>>
const look = (id: number) => data(api.GET('/api/chains/relaxing/{id}', { params: { path: { id } } }))
function follow(state: State) {
  job.value = state.working ? state.job : null
  const { tried_n = 0, of_n = 0, smallest_ratio } = state.progress ?? {}
  far.value = `${tried_n} of ${of_n} starts${smallest_ratio ? `, ${smallest_ratio.toFixed(2)} so far` : ''}`
  if (state.working) {
    timer = setTimeout(async () => {
      try {
        if (open.value) follow(await look(state.job))
      } catch (thrown) {
        job.value = null
        notice.fail(thrown)
      }
    }, 200)
  } else {
    found.value = state.relaxed ?? null
    faults.value = state.faults
  }
}
async function stop() {
  if (job.value)
    await data(api.POST('/api/chains/relaxing/{id}/stop', { params: { path: { id: job.value } } }))
}
onBeforeUnmount(() => clearTimeout(timer))

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
    notice.did(`The weave “${body.name}” is kept.`, written.undo, refresh)
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
  <PaperDialog v-model="open" title="A weave of your own" :width="940">
    <div class="own">
      <section>
        <p class="line">
          <input
            v-model="weave.name"
            class="word name"
            aria-label="What it is called"
            data-test="weave-name"
          />
          <select class="word" aria-label="Start from" data-test="weave-from" @change="takeKnown">
            <option value="">start from a known one</option>
            <option v-for="one in known.data.value ?? []" :key="one.weave" :value="one.weave">
              {{ one.name }}
            </option>
          </select>
          <select
            v-if="own.data.value?.entries.length"
            class="word"
            aria-label="Kept weaves"
            data-test="weave-kept"
            @change="takeOwn"
          >
            <option value="">open a kept one</option>
            <option v-for="one in own.data.value.entries" :key="one.id" :value="String(one.id)">
              {{ one.name }}
            </option>
          </select>
        </p>
        <p class="quiet hint">
          Tap a ring, then the ring it goes through; the same two again take the link out. Dark rings are the
          cell, the pale ones the cells beside it.
        </p>
        <svg
          class="links"
          :viewBox="`0 0 300 ${sheet ? 250 : 140}`"
          role="group"
          aria-label="Which ring goes through which"
        >
          <line v-for="(line, i) in lines" :key="i" v-bind="line" class="link" />
          <g
            v-for="one in rings"
            :key="one.says"
            class="ring"
            :class="{ here: one.here, chosen: same(chosen, one.at) }"
            role="button"
            tabindex="0"
            :aria-label="one.says"
            :aria-pressed="same(chosen, one.at)"
            :data-ring="one.says"
            @click="tap(one.at)"
            @keydown.enter.prevent="tap(one.at)"
            @keydown.space.prevent="tap(one.at)"
          >
            <circle :cx="one.x" :cy="one.y" r="13" />
            <text :x="one.x" :y="one.y + 4.5">{{ letter(one.at.ring) }}</text>
          </g>
        </svg>
        <p class="line">
          <v-btn
            variant="outlined"
            density="comfortable"
            :disabled="weave.rings.length >= 12"
            data-test="add-ring"
            @click="addRing"
            >One ring more</v-btn
          >
          <v-btn variant="outlined" density="comfortable" :disabled="weave.rings.length < 2" @click="dropRing"
            >One less</v-btn
          >
          <label>
            each cell
            <select v-model="goesOn" class="word" data-test="goes-on">
              <option value="0">goes straight on</option>
              <option value="90">turns by a quarter</option>
              <option value="180">turns by half</option>
              <option value="free">turns as it likes</option>
              <option value="sheet">goes on as a sheet</option>
            </select>
          </label>
        </p>
        <p class="parts">
          <label v-for="(_, i) in weave.rings" :key="i">
            {{ letter(i) }}
            <input v-model="weave.rings[i]" class="word part" :aria-label="`Part of ring ${letter(i)}`" />
          </label>
        </p>
        <p v-if="weave.folds?.length" class="quiet hint">
          {{ weave.folds.length }} of its rings are kept folded over others, as in the weave it came from.
        </p>
      </section>
      <section class="result">
        <p v-if="job" role="status" class="quiet" data-test="relaxing">
          Looking for how it lies: {{ far }}
          <v-btn variant="text" density="comfortable" data-test="stop" @click="stop"
            >Stop with the best</v-btn
          >
        </p>
        <template v-else-if="found">
          <p class="serif told" data-test="relaxed">{{ found.told }}</p>
          <ChainStage
            v-if="found.fits"
            v-model:turn="turn"
            class="picture"
            :rings="found.rings"
            :colours="[colour]"
            :says="`${weave.name}, relaxed.`"
          />
        </template>
        <p v-else-if="!faults.length" class="quiet">
          Relax it to see how it lies, and from which ratio on it can be.
        </p>
        <ul v-if="faults.length" class="stop" role="alert" data-test="weave-faults">
          <li v-for="fault in faults" :key="fault.sentence">{{ fault.sentence }}</li>
        </ul>
      </section>
    </div>
    <div class="acts">
      <v-btn variant="text" @click="open = false">Close</v-btn>
      <v-btn variant="text" data-test="keep-weave" @click="keep">{{
        keptAs ? 'Keep the change' : 'Keep the weave'
      }}</v-btn>
      <v-btn variant="outlined" :disabled="!!job" data-test="relax" @click="relax">Relax it</v-btn>
      <v-btn variant="flat" color="primary" :disabled="!found?.fits" data-test="use-weave" @click="use"
        >Plan a chain of it</v-btn
      >
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

.links {
  width: 100%;
  max-height: 300px;
}

.link {
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 3;
}

.ring {
  cursor: pointer;
}

.ring circle {
  fill: rgb(var(--v-theme-surface));
  stroke: rgb(var(--v-theme-quiet));
  stroke-width: 1.5;
}

.ring text {
  text-anchor: middle;
  font-size: 13px;
  font-weight: 700;
  fill: rgb(var(--v-theme-quiet));
}

.ring.here circle {
  stroke: rgb(var(--v-theme-on-background));
  stroke-width: 3;
}

.ring.here text {
  fill: rgb(var(--v-theme-on-background));
}

.ring.chosen circle {
  fill: rgb(var(--v-theme-primary));
}

.ring.chosen text {
  fill: rgb(var(--v-theme-on-primary));
}

.parts {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
}

.part {
  width: 7em;
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
