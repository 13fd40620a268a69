<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api, data, type Fault, type Mandrel, type RodEntry } from '../api/client'
import { useNotice } from '../shared/notice'
import { lengthAt, useFaults } from '../shared/faults'
import PaperDialog from '../shared/PaperDialog.vue'

const entry = defineModel<RodEntry | 'new' | null>({ required: true })
const emit = defineEmits<{ kept: [] }>()
const notice = useNotice()
const { faults, at, elsewhere, take } = useFaults(() => ['name', ...fields.value.map(({ key }) => key)])
const shape = ref<NonNullable<Mandrel['shape']>>('round')
const texts = ref<Record<string, string>>({})

const open = computed({
  get: () => entry.value !== null,
  set: (now) => {
    if (!now) entry.value = null
  },
})

const shapes = [
  { value: 'round', title: 'Round' },
  { value: 'oval', title: 'Oval' },
  { value: 'square', title: 'Square' },
  { value: 'hexagon', title: 'Hexagon' },
  { value: 'octagon', title: 'Octagon' },
] as const

/** The lengths to fill in, by outline. Typed any way a length is written. */
const fields = computed(() =>
  [
    {
      key: 'diameter_mm',
      label: { round: 'Diameter', oval: 'Long axis' }[shape.value as 'round' | 'oval'] ?? 'Across the flats',
      hint: '5, 5 mm, 3/16"',
    },
    shape.value === 'oval' && {
      key: 'short_mm',
      label: 'Short axis',
      hint: 'two thirds of the long one if left out',
    },
    ['square', 'hexagon', 'octagon'].includes(shape.value) && {
      key: 'corner_mm',
      label: 'Rounding of its corners',
      hint: '0.3 mm if left out',
    },
    { key: 'length_mm', label: 'Length', hint: 'left out: as long as any coil needs' },
    { key: 'usable_mm', label: 'Length that can be wound', hint: 'left out: its length less a 25 mm grip' },
  ].filter((field) => field !== false),
)

watch(entry, (now) => {
  faults.value = []
  const rod = now && now !== 'new' ? now.record : null
  shape.value = rod?.shape ?? 'round'
  texts.value = { name: rod?.name ?? '' }
  for (const key of ['diameter_mm', 'short_mm', 'corner_mm', 'length_mm', 'usable_mm'] as const) {
    const mm = rod?.[key]
    texts.value[key] = mm === null || mm === undefined ? '' : `${mm} mm`
  }
})

async function readAll(): Promise<Mandrel | null> {
  const rod: Record<string, unknown> = { shape: shape.value }
  const name = texts.value.name?.trim()
  if (name) rod.name = name
  const wrong: Fault[] = []
  for (const { key, label } of fields.value) {
    const text = texts.value[key]?.trim()
    if (!text) {
      if (key === 'diameter_mm')
        wrong.push({ field: key, sentence: `${label}: type a size, for example 5 mm.` })
      continue
    }
    rod[key] = await lengthAt(key, wrong, text)
  }
  faults.value = wrong
  return wrong.length ? null : (rod as Mandrel)
}

async function keep() {
  const body = await readAll()
  if (!body || !entry.value) return
  try {
    const written =
      entry.value === 'new'
        ? await data(api.POST('/api/rods', { body }))
        : await data(
            api.PUT('/api/rods/{id}', {
              params: { path: { id: entry.value.id }, query: { revision: entry.value.revision } },
              body: { ...body, tape_mm: entry.value.record.tape_mm },
            }),
          )
    notice.did(entry.value === 'new' ? 'Added the rod.' : 'Changed the rod.', written.undo, () =>
      emit('kept'),
    )
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
    :title="entry === 'new' ? 'Add a rod' : 'Change the rod'"
    name="A rod"
    :width="440"
    form
    @submit="keep"
  >
    <fieldset>
      <legend class="visually-hidden">Outline</legend>
      <label v-for="choice in shapes" :key="choice.value" class="option">
        <input v-model="shape" type="radio" name="shape" :value="choice.value" /> {{ choice.title }}
      </label>
    </fieldset>
    <v-text-field
      v-model="texts.name"
      label="What you call it"
      placeholder="drill shank, dowel, hex key"
      maxlength="60"
      autofocus
      :error-messages="at('name')"
      data-test="rod-name"
    />
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
    <p v-for="fault in elsewhere" :key="fault.sentence" class="stop" role="alert">{{ fault.sentence }}</p>
    <div class="mt-4">
      <v-btn type="submit" variant="flat" color="primary" data-test="keep-rod">Keep</v-btn>
      <v-btn @click="entry = null">Cancel</v-btn>
    </div>
  </PaperDialog>
</template>
