<script setup lang="ts">
import { t } from '../../text'
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref, type ComponentPublicInstance, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, data, faultsOf, type WireCandidate } from '../../api/client'
import CandidateLine from './CandidateLine.vue'
import CompareTable from './CompareTable.vue'
import HoldPlot from './HoldPlot.vue'
import WishSentence from './WishSentence.vue'
import { useWish } from './wish'
import { vOneStop } from '../../shared/oneStop'

/** Which wire for a piece: every metal, temper and size weighed, the reasons in figures. */
const router = useRouter()
const wish = useWish()
const set = ref<string[]>([])

const asked = refDebounced(
  computed(() => wish.request),
  120,
)
const { data: found, error } = useQuery({
  queryKey: ['choose', asked],
  queryFn: () => data(api.POST('/api/wires/choose', { body: asked.value! })),
  enabled: () => !!asked.value,
  placeholderData: (before) => before,
})
const faults = computed(() => (wish.faults.length ? wish.faults : error.value ? faultsOf(error.value) : []))
/** Five at first: whoever wants more asks for them. */
const FEW = 5
const all = ref(false)
const candidates = computed(() => (found.value?.candidates ?? []).slice(0, all.value ? undefined : FEW))
watch(
  () => wish.piece,
  () => ((set.value = []), (all.value = false)),
)

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
/** Takes the piece to its desk in this wire. */
async function use(one: WireCandidate) {
  const text = wish.piece
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
    <WishSentence v-model="wish" />
    <p v-if="!faults.length" class="quiet hint">{{ t('choose-view-weights-efforts-estimates') }}</p>
    <p v-for="(fault, i) in faults" :key="fault.field" class="stop hint" role="alert">
      {{ fault.message }}
      <span v-if="found && i === faults.length - 1" class="watch" data-test="old">
        {{ t('choose-view-these-results-for-your-previous') }}
      </span>
    </p>
    <p v-if="!found && !faults.length" class="quiet" role="status">
      {{ wish.piece ? t('choose-view-comparing-wires') : t('choose-view-choose-piece-compare-wires-for') }}
    </p>
    <div v-if="found" class="found">
      <div>
        <ol v-one-stop class="list" data-test="candidates">
          <CandidateLine
            v-for="(one, i) in candidates"
            :key="key(one)"
            :one="one"
            :nth="i + 1"
            :compared="set.includes(key(one))"
            @compare="toggle(one)"
            @use="use(one)"
          />
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
        <CompareTable
          v-if="compared.length > 1"
          ref="side"
          :compared="compared"
          :nth-of="(one) => candidates.indexOf(one) + 1"
          :loadless="!!found.no_load"
        />
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

aside {
  position: sticky;
  top: 12px;
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

  .found {
    grid-template-columns: minmax(0, 1fr);
  }

  aside {
    position: static;
  }
}
</style>
