<script setup lang="ts">
import { t } from '../text'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import type { Answer, Piece } from '../api/client'
import PieceSketch from '../drawing/PieceSketch.vue'
import { thumbnailsOf } from '../shared/thumbnails'
import BestWires from './BestWires.vue'
import UnclearWords from './UnclearWords.vue'
import { pageOf, useAnswered } from './answered'

/** What a line was answered: the piece drawn, its one number large, and what can be done with it. */
const { answer, text } = defineProps<{
  answer: Answer
  /** The line as it was typed. */
  text: string
}>()
const emit = defineEmits<{
  /** It leads elsewhere. */
  leave: []
  /** A word that was meant stands in the place of the one that was typed. */
  instead: [word: { from: number; to: number }, meant: string]
}>()

/** The piece that was understood. Several rings of a finding are a coil: its plan is what counts. */
const piece = computed<Piece | null>(() => {
  if (answer.faults.length) return null
  if (answer.request) return { rings: answer.request }
  if (answer.chain) return { chain: answer.chain }
  return answer.pattern ? { finding: answer.pattern } : null
})
const { data: drawn } = useQuery({
  queryKey: ['thumbnails', 'asked', piece],
  queryFn: () => thumbnailsOf([piece.value!]),
  enabled: () => !!piece.value,
  placeholderData: (before) => before,
})
const sketch = computed(() => piece.value && drawn.value?.get(JSON.stringify(piece.value)))

const opens: Partial<Record<NonNullable<Answer['opens']>, string>> = {
  rings: t('ask-line-open-plan'),
  room: t('ask-line-open-drawing'),
  chain: t('ask-line-open-chain'),
  'which-wire': t('ask-line-choose-wire'),
  cost: t('ask-line-see-cost'),
  fix: t('ask-line-fix-problem'),
  match: t('ask-line-match-lost-piece'),
}
const opening = computed(() => opens[answer.opens ?? 'rings'])
const page = computed(() => (piece.value ? undefined : pageOf(answer)))
/** What is compared or priced is not made yet. */
const makes = computed(() => piece.value && !['which-wire', 'cost'].includes(answer.opens ?? ''))

/** At most so many lines of what was assumed, until all are asked for. */
const FEW = 2
const all = ref(false)
const assumed = computed(() => (all.value ? answer.assumed : answer.assumed.slice(0, FEW)))

const { use, toDesk, go, next, keep, print, isSaved, startBatch, order } = useAnswered(
  () => answer,
  piece,
  () => emit('leave'),
)
defineExpose({ use })
</script>

<template>
  <UnclearWords
    v-if="answer.unclear.length"
    :unclear="answer.unclear"
    :text="text"
    @instead="(word, meant) => emit('instead', word, meant)"
  />
  <p v-for="fault in answer.faults" :key="fault.message" class="stop">{{ fault.message }}</p>
  <div class="answer-text">
    <span v-if="sketch" class="face">
      <PieceSketch :drawing="sketch.drawing" :colour="sketch.colour" lying />
    </span>
    <div>
      <p v-if="answer.number" class="number" data-test="ask-number">
        <span class="num">{{ answer.number.value }}</span>
        <span class="quiet">{{ answer.number.label }}</span>
      </p>
      <p v-if="answer.headline" class="headline">{{ answer.headline }}</p>
      <p v-if="answer.missing.length">
        {{ t('ask-line-please-add', { missing: answer.missing.join('; ') }) }}
      </p>
      <p v-if="answer.sentence.length" class="serif sentence">
        {{ answer.sentence.map((phrase) => phrase.text).join('') }}
      </p>
      <p v-else-if="answer.understood.length" class="quiet small">
        {{ t('ask-line-understood', { understood: answer.understood.join(' · ') }) }}
      </p>
      <p v-for="line in assumed" :key="line" class="quiet small">{{ line }}</p>
      <v-btn
        v-if="answer.assumed.length > FEW"
        class="small more inline"
        :aria-expanded="all"
        data-test="ask-assumed"
        @click="all = !all"
      >
        {{ all ? t('ask-answer-show-less') : t('ask-answer-show-more', { n: answer.assumed.length - FEW }) }}
      </v-btn>
    </div>
  </div>
  <BestWires v-if="answer.choose" :request="answer.choose" />
  <ul v-if="answer.makes.length" class="makes" data-test="makes">
    <li v-for="one in answer.makes" :key="`${one.saved} ${one.name}`">
      <button type="button" class="plain" @click="toDesk(one.piece)">
        <span>{{ one.name }}</span> <span class="quiet">{{ one.text }}</span>
      </button>
    </li>
  </ul>
  <p class="acts">
    <v-btn v-if="page" variant="flat" color="primary" data-test="ask-help" @click="use">{{
      opening ?? t('ask-line-open-page')
    }}</v-btn>
    <v-btn v-if="piece" variant="flat" color="primary" data-test="use-answer" @click="use">
      {{ opening }}
    </v-btn>
    <v-btn
      v-for="one in answer.found"
      :key="one.path"
      :variant="piece ? 'outlined' : 'flat'"
      color="primary"
      data-test="ask-found"
      @click="go(one.path)"
      >{{ t('ask-line-open', { label: one.label }) }}</v-btn
    >
    <template v-if="makes">
      <v-btn variant="outlined" data-test="ask-batch" @click="next(startBatch)">{{
        t('make-it-start-batch')
      }}</v-btn>
      <v-btn variant="text" data-test="ask-order" @click="next(order)">{{ t('make-it-add-order') }}</v-btn>
      <v-btn variant="text" :disabled="isSaved" data-test="ask-save" @click="keep">{{
        isSaved ? t('ask-answer-saved') : t('desk-tools-save')
      }}</v-btn>
      <v-btn variant="text" data-test="ask-print" @click="print">{{ t('ask-answer-print') }}</v-btn>
    </template>
  </p>
</template>

<style scoped>
p {
  margin: 0 0 8px;
}

.answer-text {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 4px 26px;
}

.answer-text:has(.face) {
  grid-template-columns: 150px minmax(0, 1fr);
}

.face {
  display: grid;
  place-items: center;
  height: 130px;
}

.face svg {
  width: 100%;
  height: 100%;
  max-height: 130px;
}

.number {
  line-height: 1.05;
}

.number .num {
  font-size: 2.5rem;
  font-weight: 700;
}

.number .quiet {
  margin-left: 10px;
  font-size: 1.2rem;
}

.headline {
  font-weight: 700;
  font-size: 1.12rem;
}

.sentence {
  font-size: 1.1rem;
}

.small {
  font-size: 0.95rem;
}

p.small {
  margin-bottom: 2px;
}

.more {
  min-height: 26px;
  color: rgb(var(--v-theme-primary));
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  margin-top: 10px;
}

ul {
  margin: 0 0 8px;
  padding-left: 18px;
}

.makes {
  list-style: none;
  padding: 0;
}

.makes button {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  width: 100%;
  min-height: 36px;
  padding: 4px 6px;
  text-align: left;
  border-bottom: 1px solid rgb(var(--v-theme-hairline));
}

.makes button:hover,
.makes button:focus-visible {
  color: rgb(var(--v-theme-primary));
}

@media (max-width: 560px) {
  .answer-text:has(.face) {
    grid-template-columns: minmax(0, 1fr);
  }

  .face {
    height: 90px;
  }

  .number .num {
    font-size: 2rem;
  }
}
</style>
