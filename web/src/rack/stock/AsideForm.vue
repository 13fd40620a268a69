<script setup lang="ts">
import { ref } from 'vue'
import { api, data, type Stocked } from '../../api/client'
import PaperField from '../../shared/PaperField.vue'
import { readFields, useForm } from '../../shared/form'
import { t } from '../../text'
import DoingForm from './DoingForm.vue'

/** A length cut off a lot is set aside as an offcut of its own. */
const { lot } = defineProps<{ lot: Stocked }>()
const emit = defineEmits<{ done: [sentence: string, undo: number]; close: [] }>()
const { attempt } = useForm()
const texts = ref({ amount: '', name: t('lot-panel-offcut', { name: lot.name }) })

const setAside = () =>
  attempt(async () => {
    const asked = { amount: ['of-wire', 'needed'] } as const
    const { amount } = await readFields(texts.value, asked, lot.record.wire)
    const params = { path: { id: lot.id } }
    const body = { name: texts.value.name, length_mm: amount }
    const { undo } = await data(api.POST('/api/lots/{id}/set-aside', { params, body }))
    emit('done', t('lot-panel-added-as-offcut', { name: body.name }), undo)
  })
</script>

<template>
  <DoingForm :does="t('lot-panel-set-aside')" test="book-aside" @submit="setAside" @close="emit('close')">
    <PaperField
      v-model="texts.amount"
      name="amount"
      :also="['length_mm']"
      :label="t('lot-panel-length-offcut')"
      :placeholder="t('lot-panel-240-mm')"
      autofocus
      data-test="aside-length"
    />
    <PaperField
      v-model="texts.name"
      name="name"
      :label="t('lot-panel-its-tag')"
      maxlength="60"
      data-test="aside-name"
    />
  </DoingForm>
</template>
