<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api, data, type Fault, type Plier, type PlierEntry } from '../api/client'
import { useNotice } from '../shared/notice'
import { lengthAt, useFaults } from '../shared/faults'
import PaperDialog from '../shared/PaperDialog.vue'

const entry = defineModel<PlierEntry | 'new' | null>({ required: true })
const emit = defineEmits<{ kept: [] }>()
const notice = useNotice()
const { faults, at, elsewhere, take } = useFaults(() => [
  'name',
  'diameters_mm',
  ...fields.value.map(({ key }) => key),
])
const jaws = ref<Plier['jaws']>('round-nose')
const measured = ref(false)
const texts = ref<Record<string, string>>({})

const open = computed({
  get: () => entry.value !== null,
  set: (now) => {
    if (!now) entry.value = null
  },
})

const kinds = [
  { value: 'round-nose', title: 'Round-nose' },
  { value: 'stepped', title: 'Stepped' },
  { value: 'loop-jaws', title: 'Two round jaws' },
] as const

/** The lengths to fill in, by the kind of jaws; each where it goes in the record. */
const fields = computed(() => {
  if (jaws.value !== 'round-nose') return []
  const length = { key: 'length_mm', label: 'Jaw length', hint: '25 mm if left out' }
  if (!measured.value)
    return [
      { key: 'tip_mm', label: 'Diameter at the tip', hint: '1.2 mm' },
      { key: 'base_mm', label: 'Diameter at the base', hint: '5.5 mm' },
      length,
    ]
  return [
    { key: 'measured[0].at_mm', label: 'First place, from the tip', hint: '4 mm' },
    { key: 'measured[0].diameter_mm', label: 'Diameter there', hint: '3.1 mm' },
    { key: 'measured[1].at_mm', label: 'Second place, from the tip', hint: '22 mm' },
    { key: 'measured[1].diameter_mm', label: 'Diameter there', hint: '7.6 mm' },
    length,
  ]
})

watch(entry, (now) => {
  faults.value = []
  const plier = now && now !== 'new' ? now.record : null
  jaws.value = plier?.jaws ?? 'round-nose'
  measured.value = !!plier?.measured?.length
  const shown = (mm: number | null | undefined) => (mm === null || mm === undefined ? '' : `${mm} mm`)
  texts.value = {
    name: plier?.name ?? '',
    tip_mm: shown(plier?.tip_mm),
    base_mm: shown(plier?.base_mm),
    length_mm: shown(plier?.length_mm),
    diameters_mm: (plier?.diameters_mm ?? []).join(', '),
  }
  for (const [i, place] of (plier?.measured ?? []).entries()) {
    texts.value[`measured[${i}].at_mm`] = shown(place.at_mm)
    texts.value[`measured[${i}].diameter_mm`] = shown(place.diameter_mm)
  }
})

async function readAll(): Promise<Plier | null> {
  const wrong: Fault[] = []
  const typed: Record<string, number | undefined> = {}
  for (const { key } of fields.value) {
    const text = texts.value[key]?.trim()
    if (text) typed[key] = await lengthAt(key, wrong, text)
  }
  const plier: Plier = { name: texts.value.name?.trim() ?? '', jaws: jaws.value }
  if (jaws.value === 'round-nose') {
    plier.length_mm = typed.length_mm
    if (measured.value) {
      plier.measured = [0, 1].map((i) => ({
        at_mm: typed[`measured[${i}].at_mm`] ?? 0,
        diameter_mm: typed[`measured[${i}].diameter_mm`] ?? 0,
      }))
    } else {
      plier.tip_mm = typed.tip_mm
      plier.base_mm = typed.base_mm
    }
  } else {
    const parts = (texts.value.diameters_mm ?? '').split(/[,;]/).filter((part) => part.trim())
    const read_all = await Promise.all(parts.map((part) => lengthAt('diameters_mm', wrong, part.trim())))
    plier.diameters_mm = read_all.filter((mm) => mm !== undefined)
  }
  faults.value = wrong
  return wrong.length ? null : plier
}

async function keep() {
  const body = await readAll()
  if (!body || !entry.value) return
  try {
    const written =
      entry.value === 'new'
        ? await data(api.POST('/api/pliers', { body }))
        : await data(
            api.PUT('/api/pliers/{id}', {
              params: { path: { id: entry.value.id }, query: { revision: entry.value.revision } },
              body,
            }),
          )
    const did = entry.value === 'new' ? 'Added the pliers.' : 'Changed the pliers.'
    notice.did(did, written.undo, () => emit('kept'))
    entry.value = null
    emit('kept')
  } catch (thrown) {
    take(thrown)
  }
}
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="entry === 'new' ? 'Add pliers' : 'Change the pliers'"
    name="A pair of pliers"
    :width="460"
    form
    @submit="keep"
  >
    <fieldset>
      <legend class="visually-hidden">Jaws</legend>
      <label v-for="choice in kinds" :key="choice.value" class="option">
        <input v-model="jaws" type="radio" name="jaws" :value="choice.value" /> {{ choice.title }}
      </label>
    </fieldset>
    <v-text-field
      v-model="texts.name"
      label="What you call them"
      placeholder="slim round-nose"
      maxlength="60"
      autofocus
      :error-messages="at('name')"
      data-test="plier-name"
    />
    <label v-if="jaws === 'round-nose'" class="option mt-2">
      <input v-model="measured" type="checkbox" data-test="by-places" /> from two places measured with a
      caliper
    </label>
    <v-text-field
      v-for="field in fields"
      :key="field.key"
      v-model="texts[field.key]"
      :label="field.label"
      :hint="field.hint"
      persistent-hint
      autocomplete="off"
      :error-messages="at(field.key)"
      :data-test="field.key"
    />
    <v-text-field
      v-if="jaws !== 'round-nose'"
      v-model="texts.diameters_mm"
      :label="jaws === 'stepped' ? 'Diameters of the steps, from the tip' : 'Diameters of the two jaws'"
      :hint="jaws === 'stepped' ? '2, 3, 5 mm; with commas between' : '1.5, 2.3'"
      persistent-hint
      autocomplete="off"
      :error-messages="at('diameters_mm')"
      data-test="diameters"
    />
    <p v-for="fault in elsewhere" :key="fault.sentence" class="stop" role="alert">{{ fault.sentence }}</p>
    <div class="mt-4">
      <v-btn type="submit" variant="flat" color="primary" data-test="keep-plier">Keep</v-btn>
      <v-btn @click="entry = null">Cancel</v-btn>
    </div>
  </PaperDialog>
</template>
