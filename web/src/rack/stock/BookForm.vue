<script setup lang="ts">
import { ref } from 'vue'
import { api, data, type Stocked, type LedgerLine } from '../../api/client'
import PaperChoice from '../../shared/PaperChoice.vue'
import PaperField from '../../shared/PaperField.vue'
import { useAmounts } from '../../shared/amounts'
import { useForm } from '../../shared/form'
import { t } from '../../text'
import DoingForm from './DoingForm.vue'
import { useMovementKinds } from './ledger'

/** What was used, bought or lost of a lot is recorded. */
const { lot } = defineProps<{ lot: Stocked }>()
const emit = defineEmits<{ done: [sentence: string, undo: number]; close: [] }>()
const { metres } = useAmounts()
const { attempt } = useForm()
const { kinds, labelOf } = useMovementKinds()
const kind = ref<LedgerLine['kind']>('tried')
const typed = ref('')
const note = ref('')

const book = () =>
  attempt(async () => {
    const params = { path: { id: lot.id } }
    const body = { kind: kind.value, typed: typed.value, note: note.value }
    const booked = await data(api.POST('/api/lots/{id}/ledger', { params, body }))
    const length = metres(Math.abs(booked.length_mm))
    emit('done', t('lot-panel-recorded', { length, kind: labelOf(body.kind) }), booked.undo)
  })
</script>

<template>
  <DoingForm :does="t('lot-panel-record')" test="book-movement" @submit="book" @close="emit('close')">
    <PaperChoice v-model="kind" :label="t('lot-panel-was-2')" :choices="kinds" data-test="movement-kind" />
    <PaperField
      v-model="typed"
      name="typed"
      :also="['length_mm']"
      :label="t('lot-panel-how-much-length-or-weight')"
      :placeholder="kind === 'corrected' ? t('lot-panel-signed') : t('lot-panel-120-mm-5-ft-2')"
      autofocus
      data-test="movement-amount"
    />
    <PaperField v-model="note" name="note" :label="t('lot-panel-what-for')" maxlength="200" />
  </DoingForm>
</template>
