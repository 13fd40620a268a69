<script setup lang="ts">
import { t } from '../text'
import { computed, ref, shallowRef, watch } from 'vue'
import { api, data, type ChainRequest, type PlacingShown } from '../api/client'
import ChainStage from '../chains/ChainStage.vue'
import PlacingCard from '../chains/PlacingCard.vue'
import { countOf } from '../shared/typing'
import { useNotice } from '../shared/notice'

/** Building a chain at the bench: the ring that comes next, drawn as the maker has it before them; the place is held. */
const props = defineProps<{
  request: ChainRequest
  /** Rings that are in, over all chains of the batch. */
  done: number
  colour: string
}>()
const emit = defineEmits<{
  /** So many more are in, or so many fewer. */
  on: [by: number]
}>()
const notice = useNotice()
const shown = shallowRef<PlacingShown | null>(null)
const turn = ref({ yaw: 0.25, pitch: 0.35 })
const counting = ref(false)
const rows = ref('')

let latest = 0
const ask = (more: { done_n: number; rows_n?: number }) =>
  data(api.POST('/api/chains/placing', { body: { request: props.request, ...more } }))
async function show() {
  const mine = ++latest
  try {
    const next = await ask({ done_n: props.done })
    if (mine === latest) shown.value = next
  } catch (thrown) {
    notice.fail(thrown)
  }
}
watch(() => props.done, show, { immediate: true })

const rowLeft = computed(() => Math.max(0, (shown.value?.row_done_n ?? 0) - props.done))

/** Rows that hang together were counted: the place is behind the last of them. */
async function found() {
  // None at all is a number of rows too.
  const rows_n = rows.value.trim() === '0' ? 0 : countOf(rows.value)
  if (rows_n === null) return notice.say(t('placing-step-not-number-whole-rows-enter', { rows: rows.value }))
  try {
    const { done_n } = await ask({ done_n: props.done, rows_n })
    if (done_n !== props.done) emit('on', done_n - props.done)
    counting.value = false
    rows.value = ''
  } catch (thrown) {
    notice.fail(thrown)
  }
}
</script>

<template>
  <ChainStage
    v-if="shown"
    v-model:turn="turn"
    class="stage"
    :rings="shown.rings"
    :colours="[colour]"
    :says="shown.placing?.text ?? t('placing-step-all-rings-in')"
    placing
  />
  <div v-if="shown" class="card">
    <p v-if="shown.of_chains_n > 1" class="quiet which">
      {{ t('placing-step-chain', { chain: shown.chain, ofchainsn: shown.of_chains_n }) }}
    </p>
    <PlacingCard :shown="shown" />
    <p class="row">
      <v-btn variant="outlined" :disabled="rowLeft === 0" data-test="row-done" @click="emit('on', rowLeft)">
        {{ t('placing-step-whole-row-done') }}
      </v-btn>
      <v-btn variant="text" data-test="lost" @click="counting = !counting">{{
        t('placing-step-i-lost-my-place')
      }}</v-btn>
    </p>
    <form v-if="counting" class="lost" @submit.prevent="found">
      {{ t('placing-step-hold-up-by-its-start')
      }}<input
        v-model="rows"
        class="word"
        inputmode="numeric"
        :aria-label="t('placing-step-finished-rows')"
        data-test="rows-counted"
      />
      <v-btn type="submit" variant="outlined" density="comfortable" data-test="found">{{
        t('placing-step-continue-from-there')
      }}</v-btn>
    </form>
  </div>
</template>

<style scoped>
.stage {
  grid-area: moment;
  min-height: 200px;
}

.card {
  grid-area: say;
  align-self: center;
}

.which {
  margin: 0;
}

.row,
.lost {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 12px;
  margin: 10px 0 0;
}

.lost .word {
  width: 4em;
}
</style>
