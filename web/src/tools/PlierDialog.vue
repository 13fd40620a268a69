<script setup lang="ts">
import { t } from '../text'
import { computed, ref, watch } from 'vue'
import { api, data, type Plier, type PlierEntry } from '../api/client'
import { readFields, useRecord, useShownLengths } from '../shared/form'
import PaperDialog from '../shared/PaperDialog.vue'
import PaperRadios from '../shared/PaperRadios.vue'
import PaperField from '../shared/PaperField.vue'

const entry = defineModel<PlierEntry | 'new' | null>({ required: true })
const emit = defineEmits<{ kept: [] }>()
const jaws = ref<Plier['jaws']>('round-nose')
const measured = ref(false)
const texts = ref<Record<string, string>>({})
const { show, exact } = useShownLengths()
const { faults, open, keep } = useRecord(entry, {
  noun: t('plier-dialog-pliers'),
  read,
  add: (body) => data(api.POST('/api/pliers', { body })),
  change: ({ id, revision }, body) =>
    data(api.PUT('/api/pliers/{id}', { params: { path: { id }, query: { revision } }, body })),
  kept: () => emit('kept'),
})

const kinds = [
  { value: 'round-nose', title: t('plier-dialog-round-nose') },
  { value: 'stepped', title: t('plier-dialog-stepped') },
  { value: 'loop-jaws', title: t('plier-dialog-two-round-jaws') },
] as const

/** The lengths to fill in, by the kind of jaws; each where it goes in the record. */
const fields = computed(() => {
  if (jaws.value !== 'round-nose')
    return [
      { key: 'reach_mm', label: t('plier-dialog-reach-jaws'), hint: t('plier-dialog-25-mm-if-left-out') },
    ]
  const length = {
    key: 'length_mm',
    label: t('plier-dialog-jaw-length'),
    hint: t('plier-dialog-25-mm-if-left-out'),
  }
  if (!measured.value)
    return [
      { key: 'tip_mm', label: t('plier-dialog-diameter-at-tip'), hint: '1.2 mm' },
      { key: 'base_mm', label: t('plier-dialog-diameter-at-base'), hint: '5.5 mm' },
      length,
    ]
  return [
    { key: 'measured[0].at_mm', label: t('plier-dialog-first-place-from-tip'), hint: '4 mm' },
    { key: 'measured[0].diameter_mm', label: t('plier-dialog-diameter-there'), hint: '3.1 mm' },
    { key: 'measured[1].at_mm', label: t('plier-dialog-second-place-from-tip'), hint: '22 mm' },
    { key: 'measured[1].diameter_mm', label: t('plier-dialog-diameter-there'), hint: '7.6 mm' },
    length,
  ]
})

watch(entry, (now) => {
  faults.value = []
  const plier = now && now !== 'new' ? now.record : null
  jaws.value = plier?.jaws ?? 'round-nose'
  measured.value = !!plier?.measured?.length
  texts.value = {
    name: plier?.name ?? '',
    tip_mm: show(plier?.tip_mm),
    base_mm: show(plier?.base_mm),
    length_mm: show(plier?.length_mm),
    reach_mm: show(plier?.reach_mm),
    diameters_mm: (plier?.diameters_mm ?? []).map(show).join(', '),
  }
  for (const [i, place] of (plier?.measured ?? []).entries()) {
    texts.value[`measured[${i}].at_mm`] = show(place.at_mm)
    texts.value[`measured[${i}].diameter_mm`] = show(place.diameter_mm)
  }
})

/** The pliers as they are typed, as far as their jaws are measured so. */
async function read(): Promise<Plier> {
  const plier: Plier = { name: texts.value.name?.trim() ?? '', jaws: jaws.value }
  if (jaws.value !== 'round-nose')
    return {
      ...plier,
      diameters_mm: (await readFields(texts.value, { diameters_mm: 'lengths' })).diameters_mm,
      ...exact(await readFields(texts.value, { reach_mm: 'length' }), texts.value),
    }
  if (!measured.value)
    return {
      ...plier,
      ...exact(
        await readFields(texts.value, { tip_mm: 'length', base_mm: 'length', length_mm: 'length' }),
        texts.value,
      ),
    }
  const read = await readFields(texts.value, {
    'measured[0].at_mm': ['length', 'needed'],
    'measured[0].diameter_mm': ['length', 'needed'],
    'measured[1].at_mm': ['length', 'needed'],
    'measured[1].diameter_mm': ['length', 'needed'],
    length_mm: 'length',
  })
  const { length_mm, ...at } = exact(read, texts.value)
  const places = [
    { at_mm: at['measured[0].at_mm'], diameter_mm: at['measured[0].diameter_mm'] },
    { at_mm: at['measured[1].at_mm'], diameter_mm: at['measured[1].diameter_mm'] },
  ]
  return { ...plier, length_mm, measured: places }
}
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="entry === 'new' ? t('plier-dialog-add-pliers') : t('plier-dialog-change-pliers')"
    :name="t('plier-dialog-named')"
    :width="460"
    :does="t('plier-dialog-save')"
    test="keep-plier"
    @submit="keep"
  >
    <PaperRadios v-model="jaws" :label="t('plier-dialog-jaws')" :choices="kinds" />
    <PaperField
      v-model="texts.name"
      name="name"
      :label="t('plier-dialog-name')"
      :placeholder="t('plier-dialog-slim-round-nose')"
      maxlength="60"
      autofocus
      data-test="plier-name"
    />
    <v-checkbox-btn
      v-if="jaws === 'round-nose'"
      v-model="measured"
      :label="t('plier-dialog-from-two-places-measured-with')"
      data-test="by-places"
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
    <PaperField
      v-if="jaws !== 'round-nose'"
      v-model="texts.diameters_mm"
      name="diameters_mm"
      :label="
        jaws === 'stepped' ? t('plier-dialog-diameters-steps-from-tip') : t('plier-dialog-diameters-two-jaws')
      "
      :hint="jaws === 'stepped' ? t('plier-dialog-2-3-5-mm-with') : '1.5, 2.3'"
      data-test="diameters"
    />
  </PaperDialog>
</template>
