<script setup lang="ts">
import { t } from '../text'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import type { Answer, Piece } from '../api/client'
import PieceSketch from '../drawing/PieceSketch.vue'
import { useToDesk } from '../chains/toDesk'
import { useAsked } from '../shared/asked'
import { exportFile } from '../shared/download'
import { useMakeNext } from '../shared/makeNext'
import { useNotice } from '../shared/notice'
import { countIn } from '../shared/piece'
import { thumbnailsOf } from '../shared/thumbnails'

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
const router = useRouter()
const notice = useNotice()
const toTheDesk = useToDesk()
const { asked } = useAsked()
const { save, toldSaved, startBatch, order } = useMakeNext()

/** The typed line cut where words were not understood. */
const marked = computed(() => {
  const letters = [...text]
  const parts: { text: string; unclear: boolean }[] = []
  let at = 0
  for (const word of [...answer.unclear].sort((a, b) => a.from - b.from)) {
    parts.push({ text: letters.slice(at, word.from).join(''), unclear: false })
    parts.push({ text: letters.slice(word.from, word.to).join(''), unclear: true })
    at = word.to
  }
  parts.push({ text: letters.slice(at).join(''), unclear: false })
  return parts
})

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

const opens = {
  rings: t('ask-line-open-plan'),
  room: t('ask-line-open-drawing'),
  chain: t('ask-line-open-chain'),
  'which-wire': t('ask-line-choose-wire'),
  cost: t('ask-line-see-cost'),
  fix: t('ask-line-fix-problem'),
  match: t('ask-line-match-lost-piece'),
}
const opening = computed(() => opens[answer.opens ?? 'rings'])
/** Views that need no piece. */
const helps: Partial<Record<string, string>> = { fix: '/measure/fix', match: '/orders/stock' }
/** What is compared or priced is not made yet. */
const makes = computed(() => piece.value && !['which-wire', 'cost'].includes(answer.opens ?? ''))

/** At most so many lines of what was assumed, until all are asked for. */
const FEW = 2
const all = ref(false)
const assumed = computed(() => (all.value ? answer.assumed : answer.assumed.slice(0, FEW)))

const busy = ref(false)
/** However often it is pressed, it is done once. */
async function attempt(work: () => Promise<unknown>) {
  if (busy.value) return
  busy.value = true
  try {
    await work()
  } catch (thrown) {
    notice.fail(thrown)
  } finally {
    busy.value = false
  }
}

/** Goes where the answer is, and leaves the line. */
function go(path: string) {
  emit('leave')
  return router.push(path)
}

function toDesk(of: Piece) {
  emit('leave')
  return attempt(() => toTheDesk(of))
}

/** Does what Enter does: opens what was asked for. */
function use() {
  const help = helps[answer.opens ?? '']
  if (help) return go(help)
  if (!piece.value) return answer.found?.length ? go(answer.found[0]!.path) : undefined
  if (answer.opens !== 'which-wire' && answer.opens !== 'cost') return toDesk(piece.value)
  asked.value = {
    key: 'asked',
    name: answer.name,
    purpose: piece.value,
    pieces_n: countIn(piece.value),
  }
  return go(answer.opens === 'cost' ? '/wire/cost' : '/wire/choose')
}
defineExpose({ use })

/** The piece that was saved from here, and as what: a second press does not save it twice. */
const saved = ref<{ as: string; id: number } | null>(null)
const isSaved = computed(() => saved.value?.as === JSON.stringify(piece.value))

async function saveOnce() {
  if (isSaved.value) return { id: saved.value!.id }
  const as = JSON.stringify(piece.value)
  const { id, undo } = await save(piece.value!, answer.name)
  saved.value = { as, id }
  return { id, undo }
}

const keep = () =>
  attempt(async () => {
    const { undo } = await saveOnce()
    if (undo !== undefined) toldSaved(answer.name, undo, () => (saved.value = null))
  })

/** Saves it and goes on with it. */
const next = (work: (entry: number, n: number) => Promise<unknown>) =>
  attempt(async () => {
    const of = piece.value!
    const { id } = await saveOnce()
    emit('leave')
    await work(id, countIn(of))
  })

function print() {
  const of = piece.value!
  const record = { name: answer.name, note: '' }
  const sheet =
    'rings' in of
      ? exportFile('/api/rings/export/cut-sheet.pdf', { ...record, request: of.rings })
      : 'chain' in of
        ? exportFile('/api/chains/export/plan.pdf', { ...record, request: of.chain })
        : exportFile('/api/findings/export/card-a5.pdf', { ...record, request: of.finding })
  return attempt(() => sheet)
}
</script>

<template>
  <p v-if="answer.unclear.length" class="typed">
    <template v-for="(part, i) in marked" :key="i"
      ><mark v-if="part.unclear">{{ part.text }}</mark
      ><template v-else>{{ part.text }}</template></template
    >
  </p>
  <ul v-if="answer.unclear.length" class="stop">
    <li v-for="word in answer.unclear" :key="word.from">
      {{ word.why }}
      <v-btn
        v-for="meant in word.instead ?? []"
        :key="meant"
        size="small"
        variant="outlined"
        color="primary"
        class="meant"
        data-test="ask-instead"
        @click="emit('instead', word, meant)"
        >{{ meant }}</v-btn
      >
    </li>
  </ul>
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
      <button
        v-if="answer.assumed.length > FEW"
        type="button"
        class="plain small more"
        :aria-expanded="all"
        data-test="ask-assumed"
        @click="all = !all"
      >
        {{ all ? t('ask-answer-show-less') : t('ask-answer-show-more', { n: answer.assumed.length - FEW }) }}
      </button>
    </div>
  </div>
  <ul v-if="answer.makes.length" class="makes" data-test="makes">
    <li v-for="one in answer.makes" :key="`${one.saved} ${one.name}`">
      <button type="button" class="plain" @click="toDesk(one.piece)">
        <span>{{ one.name }}</span> <span class="quiet">{{ one.text }}</span>
      </button>
    </li>
  </ul>
  <p class="acts">
    <v-btn
      v-if="helps[answer.opens ?? '']"
      variant="flat"
      color="primary"
      data-test="ask-help"
      @click="use"
      >{{ opening }}</v-btn
    >
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

.meant {
  margin: 0 4px;
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

mark {
  background: none;
  color: rgb(var(--v-theme-error));
  text-decoration: underline wavy;
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
