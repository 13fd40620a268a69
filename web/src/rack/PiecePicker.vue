<script setup lang="ts">
import { t } from '../text'
import { computed, watch } from 'vue'
import { useKept } from '../shared/kept'
import { useKinds } from '../shared/kinds'
import { useAsked, type ChosenPiece } from '../shared/asked'
import { countIn } from '../shared/piece'

const props = defineProps<{
  label: string
  keptOnly?: boolean
  first?: boolean
  /** What else can be chosen, before what is kept. */
  also?: { label: string; pieces: ChosenPiece[] }
}>()
const chosen = defineModel<ChosenPiece | null>({ required: true })

const { data: kept } = useKept()
const { data: kinds } = useKinds()

const { asked } = useAsked()
const groups = computed(() => {
  const own = (kept.value?.entries ?? []).map(({ id, name, piece }): ChosenPiece => ({
    key: `saved ${id}`,
    name,
    purpose: piece,
    entry: id,
    pieces_n: countIn(piece),
  }))
  const usual = new Map<string, ChosenPiece[]>()
  for (const { kind, name, wire, family_label } of props.keptOnly ? [] : (kinds.value ?? [])) {
    const purpose = { finding: { kind, wire } }
    const family = usual.get(family_label) ?? []
    usual.set(family_label, [...family, { key: `usual ${kind}`, name, purpose, pieces_n: 1 }])
  }
  return [
    { label: t('piece-picker-as-you-asked'), pieces: asked.value && !props.keptOnly ? [asked.value] : [] },
    props.also ?? { label: '', pieces: [] },
    { label: t('piece-picker-your-findings'), pieces: own.filter(({ purpose }) => 'finding' in purpose) },
    { label: t('piece-picker-your-chains'), pieces: own.filter(({ purpose }) => 'chain' in purpose) },
    { label: t('piece-picker-your-rings'), pieces: own.filter(({ purpose }) => 'rings' in purpose) },
    ...[...usual].map(([family, pieces]) => ({
      label: t('piece-picker-as-usually-made', { family }),
      pieces,
    })),
  ].filter((group) => group.pieces.length)
})
const all = computed(() => groups.value.flatMap((group) => group.pieces))

watch(
  () => (kept.value && kinds.value ? all.value : []),
  (pieces) => {
    if (props.first && !chosen.value && pieces.length) chosen.value = pieces[0]!
  },
  { immediate: true },
)
// What was just asked for is what the view is about.
watch(asked, (piece) => piece && !props.keptOnly && (chosen.value = piece), { immediate: true })

function choose(event: Event) {
  const key = (event.target as HTMLSelectElement).value
  chosen.value = all.value.find((piece) => piece.key === key) ?? null
}
</script>

<template>
  <select class="word" :value="chosen?.key ?? ''" :aria-label="label" data-test="piece" @change="choose">
    <option v-if="!first || !all.length" value="">{{ label }}</option>
    <optgroup v-for="group in groups" :key="group.label" :label="group.label">
      <option v-for="piece in group.pieces" :key="piece.key" :value="piece.key">{{ piece.name }}</option>
    </optgroup>
  </select>
</template>
