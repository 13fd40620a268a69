<script setup lang="ts">
import WordSelect from '../shared/WordSelect.vue'
import { t } from '../text'
import { useQuery } from '@tanstack/vue-query'
import { computed, nextTick, onMounted, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, data, faultsOf, type Rescues, type WentWrong } from '../api/client'
import PieceSketch from '../drawing/PieceSketch.vue'
import { usePattern } from '../patterns/pattern'
import PiecePicker from '../rack/PiecePicker.vue'
import type { ChosenPiece } from '../shared/asked'
import { readFields } from '../shared/form'

/** A piece went wrong at a step: what the wire that is left can still become. */
const router = useRouter()
const route = useRoute()
const pattern = usePattern()
const piece = shallowRef<ChosenPiece | null>(null)
const wrong = ref<WentWrong['wrong']>('cut-short')
const by = ref('')
const faults = ref<string[]>([])
const rescues = ref<Rescues | null>(null)
const mishaps: { word: WentWrong['wrong']; label: string; by: string }[] = [
  { word: 'cut-short', label: t('rescue-view-cut-too-short'), by: t('rescue-view-how-much') },
  {
    word: 'end-starved',
    label: t('rescue-view-ran-out-wire-before-last'),
    by: t('rescue-view-how-much-missing'),
  },
  { word: 'eye-too-large', label: t('rescue-view-eye-too-large'), by: t('rescue-view-how-much-larger') },
  { word: 'spiral-loose', label: t('rescue-view-spiral-loose'), by: t('rescue-view-gap-between-its-turns') },
  {
    word: 'turns-lifted',
    label: t('rescue-view-more-than-one-turn-lifted'),
    by: t('rescue-view-how-many-turns'),
  },
  { word: 'over-hammered', label: t('rescue-view-hammered-too-thin'), by: t('rescue-view-how-thick-now') },
]

/** The steps it is made in; it went wrong at one of them. */
const finding = computed(() =>
  piece.value && 'finding' in piece.value.purpose ? piece.value.purpose.finding : null,
)
const { data: steps } = useQuery({
  queryKey: ['rescue', 'steps', finding],
  queryFn: async () => {
    const { result } = await data(
      api.POST('/api/findings/sheet', { body: { ...finding.value!, pieces_n: 1, count_singles: true } }),
    )
    return result?.form.steps ?? []
  },
  enabled: () => !!finding.value,
})
const at = ref('')
watch(piece, () => (at.value = ''))

// What was said is of the sentence as it stood.
watch([piece, wrong, by, at], () => (rescues.value = null))

/** From the Bench: the batch, and the step it went wrong at. */
onMounted(async () => {
  const [id, step] = [Number(route.query.batch), route.query.step]
  if (!id) return
  try {
    const { entry } = await data(api.GET('/api/batches/{id}', { params: { path: { id } } }))
    const { piece: made, changes } = entry.record
    if (!made || !('finding' in made)) return
    const purpose = { finding: { ...made.finding, route: changes ?? made.finding.route } }
    piece.value = { key: t('rescue-view-batch', { id }), name: entry.name, purpose, pieces_n: 1 }
    // Choosing the piece clears the step.
    await nextTick()
    at.value = String(step ?? '')
    wrong.value = 'end-starved'
  } catch (thrown) {
    faults.value = faultsOf(thrown).map((fault) => fault.message)
  }
})

async function look() {
  rescues.value = null
  faults.value = []
  const purpose = piece.value?.purpose
  if (!purpose || !('finding' in purpose)) {
    faults.value = [t('rescue-view-choose-finding-if-ring-goes')]
    return
  }
  try {
    const turns = wrong.value === 'turns-lifted'
    const read = await readFields({ by: by.value }, { by: [turns ? 'count' : 'length', 'needed'] })
    const at_step_n = at.value === '' ? null : Number(at.value)
    const mishap = { wrong: wrong.value, amount: read.by as number, at_step_n }
    const body = { request: purpose.finding, mishap }
    rescues.value = await data(api.POST('/api/rescue', { body }))
  } catch (thrown) {
    faults.value = faultsOf(thrown).map((fault) => fault.message)
  }
}

async function open(request: Rescues['options'][number]['request']) {
  await pattern.start(request)
  await router.push('/findings/piece')
}
/** Where it can have been noticed. */
const noticed = computed(() => [
  { word: '', label: t('rescue-view-noticed-where-usually') },
  { word: '0', label: t('rescue-view-noticed-before-any-bend') },
  ...(steps.value ?? []).map(({ step_n, named }) => ({
    word: String(step_n),
    label: t('rescue-view-noticed-at-step', { stepn: step_n, named }),
  })),
])
</script>

<template>
  <form class="typed-sentence" data-test="rescue" @submit.prevent="look">
    {{ t('rescue-view-of') }}<PiecePicker v-model="piece" :label="t('rescue-view-finding')" />{{ ' ' }}
    <WordSelect
      v-model="wrong"
      :choices="mishaps"
      :aria-label="t('rescue-view-what-went-wrong')"
      data-test="wrong"
    />{{ t('rescue-view-by')
    }}<input
      v-model="by"
      class="word"
      :placeholder="mishaps.find((one) => one.word === wrong)!.by"
      :aria-label="t('rescue-view-by-how-much')"
      data-test="wrong-by"
    />,
    <WordSelect
      v-model="at"
      :choices="noticed"
      :aria-label="t('rescue-view-at-which-step')"
      data-test="wrong-at"
    />.
    <v-btn type="submit" variant="flat" color="primary" :disabled="!piece" data-test="what-now">{{
      t('rescue-view-what-can-i-make')
    }}</v-btn>
    <span v-for="fault in faults" :key="fault" class="stop under" role="alert">{{ fault }}</span>
  </form>
  <template v-if="rescues">
    <ul class="ways" data-test="rescues">
      <li v-for="one in rescues.options" :key="one.text">
        <PieceSketch class="sketch" :colour="rescues.colour" :drawing="{ ...one.drawing, dimensions: [] }" />
        <p>{{ one.text }}</p>
        <v-btn class="no-print" data-test="open-rescue" @click="open(one.request)">{{
          t('rescue-view-open-drawing')
        }}</v-btn>
      </li>
    </ul>
    <p v-if="!rescues.options.length" class="watch">{{ t('rescue-view-nothing-this-kind-can-be') }}</p>
    <p>{{ rescues.scrap }}</p>
  </template>
  <p v-else class="empty quiet">
    {{ t('rescue-view-cut-short-eye-too-large') }}
  </p>
</template>

<style scoped>
.ways {
  list-style: none;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  gap: 18px 30px;
}

.sketch {
  height: 130px;
  width: 100%;
}

.empty {
  max-width: 62ch;
}
</style>
