<script setup lang="ts">
import { t } from '../text'
import { computed, ref, watch } from 'vue'
import { api, data, type Mandrel, type RodEntry } from '../api/client'
import { readFields, useRecord, useShownLengths } from '../shared/form'
import PaperDialog from '../shared/PaperDialog.vue'
import PaperRadios from '../shared/PaperRadios.vue'
import PaperField from '../shared/PaperField.vue'

const entry = defineModel<RodEntry | 'new' | null>({ required: true })
const emit = defineEmits<{ kept: [] }>()
const shape = ref<NonNullable<Mandrel['shape']>>('round')
const texts = ref<Record<string, string>>({})
const { show, exact } = useShownLengths()
const { faults, open, keep } = useRecord(entry, {
  noun: t('rod-dialog-rod'),
  read,
  add: (body) => data(api.POST('/api/rods', { body })),
  change: ({ id, revision, record }, body) =>
    data(
      api.PUT('/api/rods/{id}', {
        params: { path: { id }, query: { revision } },
        body: { ...body, tape_mm: record.tape_mm },
      }),
    ),
  kept: () => emit('kept'),
})

const shapes = [
  { value: 'round', title: t('rod-dialog-round') },
  { value: 'oval', title: t('rod-dialog-oval') },
  { value: 'square', title: t('rod-dialog-square') },
  { value: 'hexagon', title: t('rod-dialog-hexagon') },
  { value: 'octagon', title: t('rod-dialog-octagon') },
] as const

/** The lengths to fill in, by outline. Typed any way a length is written. */
const fields = computed(() =>
  [
    {
      key: 'diameter_mm',
      label:
        { round: t('rod-dialog-diameter'), oval: t('rod-dialog-long-axis') }[
          shape.value as 'round' | 'oval'
        ] ?? t('rod-dialog-across-flats'),
      hint: '5, 5 mm, 3/16"',
    },
    shape.value === 'oval' && {
      key: 'short_mm',
      label: t('rod-dialog-short-axis'),
      hint: t('rod-dialog-two-thirds-long-one-if'),
    },
    ['square', 'hexagon', 'octagon'].includes(shape.value) && {
      key: 'corner_mm',
      label: t('rod-dialog-rounding-its-corners'),
      hint: t('rod-dialog-0-3-mm-if-left'),
    },
    { key: 'length_mm', label: t('rod-dialog-length'), hint: t('rod-dialog-length-hint') },
    {
      key: 'usable_mm',
      label: t('rod-dialog-length-that-can-be-wound'),
      hint: t('rod-dialog-usable-hint'),
    },
  ].filter((field) => field !== false),
)

watch(entry, (now) => {
  faults.value = []
  const rod = now && now !== 'new' ? now.record : null
  shape.value = rod?.shape ?? 'round'
  texts.value = { name: rod?.name ?? '' }
  for (const key of ['diameter_mm', 'short_mm', 'corner_mm', 'length_mm', 'usable_mm'] as const) {
    texts.value[key] = show(rod?.[key])
  }
})

/** The rod as it is typed; a line that is not shown for its outline is not read. */
async function read(): Promise<Mandrel> {
  const shown = new Set(fields.value.map(({ key }) => key))
  const typed = Object.fromEntries(Object.entries(texts.value).filter(([key]) => shown.has(key)))
  const read = await readFields(typed, {
    diameter_mm: ['length', 'needed'],
    short_mm: 'length',
    corner_mm: 'length',
    length_mm: 'length',
    usable_mm: 'length',
  })
  return { shape: shape.value, name: texts.value.name?.trim() || undefined, ...exact(read, typed) }
}
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="entry === 'new' ? t('rod-dialog-add-rod') : t('rod-dialog-change-rod')"
    :name="t('rod-dialog-named')"
    :width="440"
    :does="t('rod-dialog-save')"
    test="keep-rod"
    @submit="keep"
  >
    <PaperRadios v-model="shape" :label="t('rod-dialog-shape')" :choices="shapes" />
    <PaperField
      v-model="texts.name"
      name="name"
      :label="t('rod-dialog-name')"
      :placeholder="t('rod-dialog-drill-shank-dowel-hex-key')"
      maxlength="60"
      autofocus
      data-test="rod-name"
    />
    <PaperField
      v-for="field in fields"
      :key="field.key"
      v-model="texts[field.key]"
      :name="field.key"
      :label="field.label"
      :hint="field.hint"
      :data-test="field.key"
    />
  </PaperDialog>
</template>
