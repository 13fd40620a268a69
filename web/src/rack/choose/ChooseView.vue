<script setup lang="ts">
import { t } from '../../text'
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref, type ComponentPublicInstance, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, data, faultsOf, type ChooseRequest, type WireCandidate } from '../../api/client'
import { useTyped } from '../../shared/form'
import HoldPlot from './HoldPlot.vue'
import PiecePicker from '../PiecePicker.vue'
import type { ChosenPiece } from '../../shared/asked'
import { useAmounts } from '../../shared/amounts'
import { useWords } from '../../shared/words'
import { vOneStop } from '../../shared/oneStop'

/** Which wire for a piece: every metal, temper and size weighed, the reasons in figures. */
const words = useWords()
const router = useRouter()
const { money, currency, across } = useAmounts()
const piece = ref<ChosenPiece | null>(null)
const worn = ref<ChooseRequest['worn']>(null)
const bears = ref('50 g')
const finish = ref<ChooseRequest['finish']>('polished')
const joined = ref<ChooseRequest['joined']>('not')
const maker = ref<ChooseRequest['maker']>('confident')
const most = ref('')
const hole = ref('')
const sensitive = ref(false)
const springs = ref(false)
const matters = ref<ChooseRequest['matters']>(null)

/** Conditions that few pieces have: they stand there once asked for, and always where one was set. */
const wantsMore = ref(false)
const anySet = computed(
  () =>
    [hole, most].some((text) => text.value.trim()) ||
    sensitive.value ||
    springs.value ||
    finish.value !== 'polished' ||
    joined.value !== 'not' ||
    maker.value !== 'confident',
)
const conditions = computed(() => wantsMore.value || anySet.value)

/** What wire may be for, where no piece is thought of yet: the question that is meant can be changed word by word. */
const { data: uses } = useQuery({
  queryKey: ['uses'],
  queryFn: () => data(api.GET('/api/wires/uses')),
  staleTime: Infinity,
})
const keyOf = (use: string) => `use ${use}`
const forUses = computed(() => ({
  label: t('choose-view-uses'),
  pieces: (uses.value ?? []).map(({ word, label, request }): ChosenPiece => ({
    key: keyOf(word),
    name: label,
    purpose: request.purpose,
    pieces_n: 1,
  })),
}))
watch(piece, (now, before) => {
  const [use, left] = [now, before].map((one) => uses.value?.find(({ word }) => keyOf(word) === one?.key))
  if (!use && !left) return
  // What a use asked for goes with it.
  hole.value = use?.hole ?? ''
  sensitive.value = use?.request.sensitive ?? false
  springs.value = use?.request.springs ?? false
  matters.value = use?.request.matters ?? null
  if (!use) return
  bears.value = use.bears
  worn.value = use.request.worn ?? null
  joined.value = use.request.joined
  maker.value = use.request.maker
})
const set = ref<string[]>([])
const opened = ref<string | null>(null)

const { typed, faults: typedFaults } = useTyped(
  () => ({ bears_n: bears.value, most_each: most.value, hole_mm: hole.value }),
  {
    bears_n: 'newtons',
    hole_mm: 'length',
    most_each: 'money',
  },
)
const request = computed<ChooseRequest | null>(() =>
  piece.value && typed.value
    ? {
        purpose: piece.value.purpose,
        worn: worn.value,
        bears_n: typed.value.bears_n ?? 0,
        finish: finish.value,
        joined: joined.value,
        maker: maker.value,
        most_each: typed.value.most_each,
        hole_mm: typed.value.hole_mm,
        sensitive: sensitive.value,
        springs: springs.value,
        matters: matters.value,
      }
    : null,
)
const asked = refDebounced(request, 120)
const { data: found, error } = useQuery({
  queryKey: ['choose', asked],
  queryFn: () => data(api.POST('/api/wires/choose', { body: asked.value! })),
  enabled: () => !!asked.value,
  placeholderData: (before) => before,
})
const faults = computed(() =>
  typedFaults.value.length ? typedFaults.value : error.value ? faultsOf(error.value) : [],
)
/** Five at first: whoever wants more asks for them. */
const FEW = 5
const all = ref(false)
const candidates = computed(() => (found.value?.candidates ?? []).slice(0, all.value ? undefined : FEW))
watch(piece, () => ((set.value = []), (all.value = false)))

const side = useTemplateRef<ComponentPublicInstance>('side')
function toCompared() {
  const table = side.value?.$el as HTMLElement | undefined
  table?.scrollIntoView({ block: 'start' })
  table?.focus()
}
const key = (one: WireCandidate) => one.label
const compared = computed(() => candidates.value.filter((one) => set.value.includes(key(one))))
function toggle(one: WireCandidate) {
  set.value = set.value.includes(key(one))
    ? set.value.filter((k) => k !== key(one))
    : [...set.value, key(one)].slice(-4)
}
const percent = (share: number) => `${Math.round(100 * share)} %`
const loads = [
  { label: t('choose-view-opens-at-as-made'), of: (one: WireCandidate) => one.holds_text?.[0] ?? '' },
  { label: t('choose-view-after-tumbling'), of: (one: WireCandidate) => one.holds_text?.[1] ?? '' },
]
const others: { label: string; of: (one: WireCandidate) => string }[] = [
  { label: t('choose-view-effort-20-awg-soft-copper'), of: (one) => one.effort.toFixed(1) },
  { label: t('choose-view-stretch-used-at-tightest-bend'), of: (one) => percent(one.strain_used) },
  { label: t('choose-view-springs-back'), of: (one) => `${(100 * (1 - one.springback_ratio)).toFixed(1)} %` },
  {
    label: t('choose-view-wire-one-as-cut'),
    of: (one) => `${across(one.blank_mm)}, ${one.mass_g.toFixed(3)} g`,
  },
  { label: t('choose-view-costs'), of: (one) => money(one.cost) || t('choose-view-no-price-yet') },
]

const rows = computed(() => (found.value?.no_load ? others : [...loads, ...others]))

/** Takes the piece to its desk in this wire. */
async function use(one: WireCandidate) {
  const text = piece.value
  if (!text) return
  if ('finding' in text.purpose) {
    const { usePattern } = await import('../../patterns/pattern')
    await usePattern().set({ ...text.purpose.finding, wire: one.wire })
    await router.push('/findings/piece')
  } else if ('chain' in text.purpose) {
    const { useChain } = await import('../../chains/chain')
    const { chain } = text.purpose
    await useChain().set({ ...chain, ring: { ...chain.ring, wire: one.wire } })
    await router.push('/chains')
  } else {
    const { usePlan } = await import('../../rings/plan')
    await usePlan().set({ ...text.purpose.rings, wire: one.wire })
    await router.push('/rings')
  }
}
</script>

<template>
  <div class="choose">
    <p class="wish serif">
      {{ t('choose-view-wire-for')
      }}<PiecePicker v-model="piece" :label="t('choose-view-choose-piece')" :also="forUses" first />{{
        t('choose-view-worn')
      }}<select v-model="worn" class="word" :aria-label="t('choose-view-where-worn')" data-test="worn">
        <option :value="null">{{ t('choose-view-where-usually') }}</option>
        <option v-for="one in words?.worn ?? []" :key="one.word" :value="one.word">
          {{ one.label }}
        </option></select
      >{{ t('choose-view-that-holds')
      }}<input
        v-model="bears"
        class="word short"
        inputmode="decimal"
        :aria-label="t('choose-view-weight-must-hold-grams')"
        :placeholder="t('choose-view-nothing')"
        data-test="bears"
      />{{ t('choose-view-matters')
      }}<select
        v-model="matters"
        class="word"
        :aria-label="t('choose-view-what-matters')"
        data-test="matters"
      >
        <option :value="null">{{ t('choose-view-nothing-more') }}</option>
        <option v-for="one in words?.matters ?? []" :key="one.word" :value="one.word">
          {{ one.label }}
        </option></select
      >.
      <button
        v-if="!anySet"
        type="button"
        class="plain link more"
        :aria-expanded="conditions"
        data-test="conditions"
        @click="wantsMore = !wantsMore"
      >
        {{ conditions ? t('choose-view-fewer-conditions') : t('choose-view-more-conditions') }}
      </button>
    </p>
    <template v-if="conditions">
      <p class="wish serif">
        {{ t('choose-view-goes-through')
        }}<input
          v-model="hole"
          class="word short"
          :aria-label="t('choose-view-hole')"
          :placeholder="t('choose-view-no-hole')"
          autocomplete="off"
          data-test="hole"
        />{{ t('choose-view-is')
        }}<select
          v-model="finish"
          class="word"
          :aria-label="t('choose-view-how-finished')"
          data-test="finish"
        >
          <option v-for="one in words?.finishes ?? []" :key="one.word" :value="one.word">
            {{ one.label }}
          </option></select
        >,
        <select v-model="joined" class="word" :aria-label="t('choose-view-how-joined')" data-test="joined">
          <option v-for="one in words?.joins ?? []" :key="one.word" :value="one.word">
            {{ one.label }}
          </option></select
        >{{ t('choose-view-made')
        }}<select v-model="maker" class="word" :aria-label="t('choose-view-who-makes')" data-test="maker">
          <option v-for="one in words?.makers ?? []" :key="one.word" :value="one.word">
            {{ one.label }}
          </option></select
        >{{ t('choose-view-for-at-most')
        }}<input
          v-model="most"
          class="word short"
          inputmode="decimal"
          :aria-label="t('choose-view-what-wire-one-may-cost')"
          :placeholder="t('choose-view-any')"
          data-test="most"
        />{{ t('choose-view-wire-each', { currency }) }}
      </p>
      <div class="needs">
        <v-checkbox-btn
          v-model="sensitive"
          inline
          :label="t('choose-view-sensitive')"
          data-test="sensitive"
        />
        <v-checkbox-btn v-model="springs" inline :label="t('choose-view-springs')" data-test="springs" />
      </div>
    </template>
    <p v-if="!faults.length" class="quiet hint">{{ t('choose-view-weights-efforts-estimates') }}</p>
    <p v-for="(fault, i) in faults" :key="fault.field" class="stop hint" role="alert">
      {{ fault.message }}
      <span v-if="found && i === faults.length - 1" class="watch" data-test="old">
        {{ t('choose-view-these-results-for-your-previous') }}
      </span>
    </p>
    <p v-if="!found && !faults.length" class="quiet" role="status">
      {{ piece ? t('choose-view-comparing-wires') : t('choose-view-choose-piece-compare-wires-for') }}
    </p>
    <div v-if="found" class="found">
      <div>
        <ol v-one-stop class="list" data-test="candidates">
          <li v-for="(one, i) in candidates" :key="key(one)" :style="{ '--metal': one.colour }">
            <v-checkbox-btn
              class="set"
              :model-value="set.includes(key(one))"
              :aria-label="t('choose-view-compare', { wire: one.label })"
              data-test="compare"
              @update:model-value="toggle(one)"
            />
            <span class="rank num">{{ i + 1 }}</span>
            <div>
              <h2>
                <span class="metal" aria-hidden="true" />{{ one.label }}
                <span v-if="one.cost" class="quiet cost">{{
                  t('choose-view-each', { cost: money(one.cost) })
                }}</span>
              </h2>
              <p v-if="one.on_rack" class="there" data-test="on-rack">{{ one.on_rack }}</p>
              <p>{{ one.reasons.slice(0, opened === key(one) ? undefined : 2).join(' ') }}</p>
              <p
                v-for="line in opened === key(one) ? one.cautions : one.cautions.slice(0, 1)"
                :key="line"
                class="watch"
              >
                {{ line }}
              </p>
              <p class="acts">
                <button
                  type="button"
                  class="plain act"
                  :aria-expanded="opened === key(one)"
                  data-test="reasons"
                  @click="opened = opened === key(one) ? null : key(one)"
                >
                  {{ opened === key(one) ? t('choose-view-fewer-reasons') : t('choose-view-every-reason') }}
                </button>
                <button type="button" class="plain act" data-test="use-candidate" @click="use(one)">
                  {{ t('choose-view-use-this-wire') }}
                </button>
              </p>
            </div>
          </li>
        </ol>
        <p v-if="!all && found.candidates.length > FEW">
          <v-btn variant="text" data-test="more-wires" @click="all = true">{{
            t('choose-view-show-more', { few: found.candidates.length - FEW })
          }}</v-btn>
        </p>
      </div>
      <a v-if="compared.length > 1" class="reach" href="#compared" @click.prevent="toCompared">
        {{ t('choose-view-wires-side-by-side', { compared: compared.length }) }}
      </a>
      <aside>
        <p v-if="found.no_load" class="quiet" data-test="no-load">{{ found.no_load }}</p>
        <HoldPlot v-else :candidates="candidates" :set="set" :bears="found?.bears_g ?? 0" />
        <v-table
          v-if="compared.length > 1"
          id="compared"
          ref="side"
          class="ledger side"
          tabindex="-1"
          data-test="compared"
        >
          <thead>
            <tr>
              <th>
                <span class="visually-hidden">{{ t('choose-view-figure') }}</span>
              </th>
              <th v-for="one in compared" :key="key(one)" class="right">
                {{ candidates.indexOf(one) + 1 }}
                <span class="quiet">{{ one.label }}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.label">
              <td class="quiet">{{ row.label }}</td>
              <td v-for="one in compared" :key="key(one)" class="right num">{{ row.of(one) }}</td>
            </tr>
          </tbody>
        </v-table>
        <p v-else class="quiet">{{ t('choose-view-select-two-four-wires-compare') }}</p>
        <section v-for="method in found.makers_differ" :key="method.question" class="method">
          <h2>{{ method.question }}</h2>
          <p>{{ method.some }}</p>
          <p>{{ method.others }}</p>
        </section>
        <details v-if="found.left_out.length">
          <summary>{{ t('choose-view-metals-not-suitable', { leftout: found.left_out.length }) }}</summary>
          <ul>
            <li v-for="one in found.left_out" :key="one.metal">
              <b>{{ one.label }}</b> <span class="quiet">{{ one.because }}</span>
            </li>
          </ul>
        </details>
        <p class="quiet">{{ t('choose-view-wires-compared', { weighedn: found.weighed_n }) }}</p>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.wish {
  font-size: 1.35rem;
  line-height: 1.75;
  max-width: 62ch;
  margin: 0;
}

.wish .more {
  min-height: 30px;
  margin-left: 10px;
  font: 1.05rem var(--sans);
  color: rgb(var(--v-theme-primary));
  text-decoration: underline;
  text-underline-offset: 3px;
}

.needs {
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
  margin-top: 6px;
}

.short {
  min-width: 1.8em;
}

.hint {
  margin: 4px 0 10px;
}

.found {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 20px 56px;
  align-items: start;
}

.list {
  list-style: none;
  margin: 0;
  padding: 0;
}

.list li {
  display: grid;
  grid-template-columns: 26px 26px minmax(0, 1fr);
  gap: 0 6px;
  padding: 9px 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}

.list h2 {
  display: flex;
  align-items: center;
  gap: 9px;
  margin: 0;
}

.list p {
  margin: 2px 0 0;
}

.set {
  align-self: start;
}

.rank {
  color: rgb(var(--v-theme-quiet));
}

.metal {
  flex: none;
  width: 26px;
  height: 7px;
  border-radius: 4px;
  background: var(--metal);
  border: 1px solid rgb(var(--v-theme-quiet));
}

.cost {
  margin-left: auto;
  white-space: nowrap;
  font-weight: 400;
  font-size: 1rem;
}

.there {
  color: rgb(var(--v-theme-primary));
}

.acts {
  display: flex;
  gap: 20px;
}

.act {
  color: rgb(var(--v-theme-primary));
  min-height: 30px;
}

.act:hover {
  text-decoration: underline;
}

aside {
  position: sticky;
  top: 12px;
}

.side th {
  vertical-align: bottom;
  line-height: 1.15;
}

.side th .quiet {
  display: block;
  font-size: 0.92rem;
}

.side td {
  padding-block: 4px;
}

.method {
  margin-top: 14px;
}

.method h2 {
  margin: 0;
}

.method p {
  margin: 2px 0;
}

details {
  margin-top: 12px;
}

summary {
  cursor: pointer;
  min-height: 30px;
}

.reach {
  display: none;
}

@media (max-width: 900px) {
  .reach {
    display: block;
    position: sticky;
    bottom: 12px;
    z-index: 2;
    justify-self: start;
    padding: 12px 18px;
    background: rgb(var(--v-theme-primary));
    color: rgb(var(--v-theme-on-primary));
    border-radius: 3px;
  }

  .side {
    overflow-x: auto;
  }

  .found {
    grid-template-columns: minmax(0, 1fr);
  }

  aside {
    position: static;
  }
}
</style>
