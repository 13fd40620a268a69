<script setup lang="ts">
import { ref, watch } from 'vue'
import { api, data, faultsOf, type Target } from '../../api/client'
import { useNotice } from '../../shared/notice'
import { usePattern } from '../pattern'
import { readFields, refused, useForm } from '../../shared/form'
import PaperDialog from '../../shared/PaperDialog.vue'
import PaperField from '../../shared/PaperField.vue'
import { useAmounts } from '../../shared/amounts'

/** Backwards: a finished size, or a blank, and the free dimensions are solved for it. */
const open = defineModel<boolean>({ required: true })
const pattern = usePattern()
const measures = [
  { key: 'height', label: 'Height, over the wire', now: () => pattern.worked?.form.height_mm },
  { key: 'width', label: 'Width, over the wire', now: () => pattern.worked?.form.width_mm },
  { key: 'blank', label: 'Or: a blank of', now: () => pattern.worked?.form.blank_exact_mm },
] as const
const texts = ref<Record<string, string>>({})
const notice = useNotice()
const { faults, attempt } = useForm()
const { across } = useAmounts()
const busy = ref(false)

watch(open, (now) => {
  if (now) [texts.value, faults.value] = [{}, []]
})

async function fit() {
  busy.value = true
  await attempt(async () => {
    if (!pattern.draft) return
    const read = await readFields(texts.value, { height: 'length', width: 'length', blank: 'length' })
    const targets: Target[] = measures.flatMap(({ key: measure }) => {
      const mm = read[measure]
      return mm === undefined ? [] : [{ measure, mm }]
    })
    const body = { request: pattern.draft, targets }
    const sheet = await data(api.POST('/api/patterns/fit', { body })).catch((thrown) => {
      // A fault of a target belongs to the field it was typed in.
      const field = (path: string) =>
        targets[Number(/targets\[(\d+)\]/.exec(path)?.[1] ?? -1)]?.measure ?? path
      throw refused(faultsOf(thrown).map((fault) => ({ ...fault, field: field(fault.field) })))
    })
    await pattern.set(sheet.request)
    open.value = false
    notice.say(
      sheet.changes.length
        ? `Fitted. ${sheet.changes.join('; ')}.`
        : 'It comes out so already: nothing changed.',
      async () => pattern.undo(),
    )
  })
  busy.value = false
}
</script>

<template>
  <PaperDialog v-model="open" title="Fit it to a size" does="Fit it" test="fit" :busy="busy" @submit="fit">
    <p class="quiet">
      Say what you want to hold; the free lengths are solved for it. To match the survivor of a pair, put its
      wire and loop into the sentence first, then its height and width here.
    </p>
    <PaperField
      v-for="{ key, label, now } in measures"
      :key="key"
      v-model="texts[key]"
      :name="key"
      :label="label"
      :placeholder="`now ${across(now() ?? 0)}`"
      persistent-placeholder
      :data-test="`fit-${key}`"
    />
  </PaperDialog>
</template>
