<script setup lang="ts">
import { t } from '../text'
import { ref, watch } from 'vue'
import { refused, useForm } from '../shared/form'
import PaperDialog from '../shared/PaperDialog.vue'
import PaperField from '../shared/PaperField.vue'

/** Asks how many, and does something with so many. */
const props = defineProps<{
  open: boolean
  title: string
  hint?: string
  start: string
  does: string
  /** Whether none is a number as well. */
  none?: boolean
  /** What may be done all the same where a fault is at `field`: a box to tick then. */
  anyway?: { field: string; label: string }
  work: (n: number, anyway: boolean) => Promise<unknown>
}>()
const emit = defineEmits<{ close: [] }>()
const { faults, attempt } = useForm()
const text = ref('')
const busy = ref(false)
const refusedSo = ref(false)
const taken = ref(false)

watch(
  () => props.open,
  (now) => {
    if (!now) return
    faults.value = []
    text.value = props.start
    refusedSo.value = taken.value = false
  },
)

async function submit() {
  if (busy.value) return
  busy.value = true
  const done = await attempt(async () => {
    const typed = text.value.trim()
    if (!/^\d{1,7}$/.test(typed) || (!props.none && Number(typed) === 0))
      throw refused([{ field: 'n', message: t('count-dialog-not-number-pieces-enter-number', { typed }) }])
    await props.work(Number(typed), taken.value)
  })
  if (faults.value.some((fault) => fault.field === props.anyway?.field)) refusedSo.value = true
  busy.value = false
  if (done) emit('close')
}
</script>

<template>
  <PaperDialog
    :model-value="open"
    :title="title"
    :does="does"
    :busy="busy"
    :width="400"
    test="count-it"
    @update:model-value="!$event && emit('close')"
    @submit="submit"
  >
    <PaperField
      v-model="text"
      name="n"
      :also="['pieces_n']"
      :label="t('count-dialog-how-many')"
      :hint="hint"
      figures
      autofocus
      data-test="count-n"
      @focus="($event.target as HTMLInputElement).select()"
    />
    <v-checkbox
      v-if="props.anyway && refusedSo"
      v-model="taken"
      :label="props.anyway.label"
      hide-details
      density="compact"
      data-test="anyway"
    />
  </PaperDialog>
</template>
