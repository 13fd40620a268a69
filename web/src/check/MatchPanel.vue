<script setup lang="ts">
import { t } from '../text'
import { ref, watch } from 'vue'
import { api, data, faultsOf, type Matching, type ToMeasure } from '../api/client'
import { useAmounts } from '../shared/amounts'
import { countOf } from '../shared/typing'
import { useUnderWay } from '../shared/underWay'

/** The measured pieces, matched into pairs or sets. */
const props = defineProps<{ check: number; dimensions: ToMeasure[] }>()
const { across } = useAmounts()
const measurable = () => props.dimensions.filter((one) => one.kind)
const chosen = ref<string[]>(
  measurable()
    .slice(0, 1)
    .map((one) => one.key),
)
const size = ref('2')
const matching = ref<Matching | null>(null)
const keys = ref<string[]>([])
const faults = ref<string[]>([])
watch(
  () => props.dimensions,
  () => {
    if (!chosen.value.length)
      chosen.value = measurable()
        .slice(0, 1)
        .map((one) => one.key)
  },
)

const underWay = useUnderWay()
async function match() {
  const n = countOf(size.value)
  faults.value = n ? [] : [t('match-panel-not-number-pieces-enter-2', { size: size.value })]
  if (!n) return
  try {
    const body = { keys: chosen.value, size: n }
    const params = { path: { id: props.check } }
    const found = await underWay.follow(t('match-panel-matching'), ({ headers, signal }) =>
      data(api.POST('/api/checks/{id}/pairs', { params, body, headers, signal })),
    )
    if (!found) return
    matching.value = found
    keys.value = [...chosen.value]
  } catch (thrown) {
    matching.value = null
    faults.value = faultsOf(thrown).map((fault) => fault.message)
  }
}
const nameOf = (i: number) => props.dimensions.find((one) => one.key === keys.value[i])?.what ?? ''
</script>

<template>
  <section class="match" data-test="match">
    <h2>{{ t('match-panel-match-pairs') }}</h2>
    <form class="typed-sentence no-print" @submit.prevent="match">
      {{ t('match-panel-sets')
      }}<input
        v-model="size"
        class="word"
        inputmode="numeric"
        :aria-label="t('match-panel-pieces-in-set')"
        data-test="set-size"
      />{{ t('match-panel-same-in')
      }}<v-checkbox-btn
        v-for="one in measurable()"
        :key="one.key"
        v-model="chosen"
        inline
        class="me-2"
        :label="one.what"
        :value="one.key"
      />
      <v-btn type="submit" class="ms-2" variant="flat" color="primary" data-test="match-them">{{
        t('match-panel-match')
      }}</v-btn>
    </form>
    <p v-for="fault in faults" :key="fault" class="stop" role="alert">{{ fault }}</p>
    <template v-if="matching">
      <ul class="sets" data-test="sets">
        <li v-for="set in matching.sets" :key="set.pieces_n.join()" :class="{ watch: !set.passes }">
          <span class="num">{{ set.pieces_n.join(' + ') }}</span>
          <span class="quiet">{{
            t('match-panel-apart-in', { mismatchmm: across(set.mismatch_mm), worst: nameOf(set.worst) })
          }}</span>
          <span v-if="!set.passes">{{ t('match-panel-more-than-you-allow') }}</span>
        </li>
      </ul>
      <p v-if="matching.left_over_n.length" data-test="left-over">
        {{ t('match-panel-left-over-number', { leftovern: matching.left_over_n.join(', ') }) }}
      </p>
      <p class="quiet">
        {{
          matching.least
            ? t('match-panel-no-other-matching-has-smaller')
            : t('match-panel-swapping-any-two-pieces-would')
        }}
      </p>
    </template>
  </section>
</template>

<style scoped>
.sets {
  list-style: none;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
  gap: 6px 24px;
}

.sets .num {
  font-size: 1.35rem;
  margin-right: 10px;
}
</style>
