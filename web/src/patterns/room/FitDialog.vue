<script setup lang="ts">
import { ref, watch } from 'vue'
import { api, data, faultsOf, type Fault, type Target } from '../../api/client'
import { usePattern } from '../pattern'
import PaperDialog from '../../shared/PaperDialog.vue'

/** Backwards: a finished size, or a blank, and the free dimensions are solved for it. */
const open = defineModel<boolean>({ required: true })
const pattern = usePattern()
const measures = [
  { key: 'height', label: 'Height, over the wire', now: () => pattern.worked?.form.height_mm },
  { key: 'width', label: 'Width, over the wire', now: () => pattern.worked?.form.width_mm },
  { key: 'blank', label: 'Or: a blank of', now: () => pattern.worked?.form.blank_exact_mm },
] as const
const texts = ref<Record<string, string>>({})
const faults = ref<Record<string, string[]>>({})
const busy = ref(false)

watch(open, (now) => {
  if (now) [texts.value, faults.value] = [{}, {}]
})

const sentences = (found: Fault[]) => found.map((fault) => fault.sentence)

async function fit() {
  if (!pattern.draft) return
  faults.value = {}
  const targets: Target[] = []
  for (const { key } of measures) {
    const text = texts.value[key]?.trim()
    if (!text) continue
    try {
      const read = await data(api.POST('/api/lengths/read', { body: { text } }))
      targets.push({ measure: key, mm: read.mm })
    } catch (thrown) {
      faults.value[key] = sentences(faultsOf(thrown))
      return
    }
  }
  busy.value = true
  try {
    const body = { request: pattern.draft, targets }
    const sheet = await data(api.POST('/api/patterns/fit', { body }))
    await pattern.set(sheet.request)
    open.value = false
  } catch (thrown) {
    for (const fault of faultsOf(thrown)) {
      const index = Number(/targets\[(\d+)\]/.exec(fault.field)?.[1] ?? -1)
      const key = targets[index]?.measure ?? 'rest'
      faults.value[key] = [...(faults.value[key] ?? []), fault.sentence]
    }
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <PaperDialog v-model="open" title="Come out as" :width="480" form @submit="fit">
    <p class="quiet">
      Say what you want to hold; the free lengths are solved for it. To match the survivor of a pair, put its
      wire and loop into the sentence first, then its height and width here.
    </p>
    <v-text-field
      v-for="{ key, label, now } in measures"
      :key="key"
      v-model="texts[key]"
      :label="label"
      :placeholder="`now ${now()?.toFixed(2)} mm`"
      persistent-placeholder
      autocomplete="off"
      :error-messages="faults[key]"
      :data-test="`fit-${key}`"
    />
    <p v-for="sentence in faults.rest" :key="sentence" class="stop mt-2" role="alert">{{ sentence }}</p>
    <div class="mt-4">
      <v-btn type="submit" variant="flat" color="primary" :loading="busy" data-test="fit">Solve</v-btn>
      <v-btn @click="open = false">Cancel</v-btn>
    </div>
  </PaperDialog>
</template>
