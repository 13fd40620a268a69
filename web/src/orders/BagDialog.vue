<script setup lang="ts">
import { t } from '../text'
import { ref, watch } from 'vue'
import { api, data, type BagRow } from '../api/client'
import { useForm, useOpen } from '../shared/form'
import { useNotice } from '../shared/notice'
import PaperDialog from '../shared/PaperDialog.vue'
import PaperField from '../shared/PaperField.vue'

/** What a bag is called, where it lies, and its note. */
const bag = defineModel<BagRow | null>({ required: true })
const emit = defineEmits<{ kept: [] }>()
const open = useOpen(bag)
const notice = useNotice()
const { faults, attempt } = useForm()
const texts = ref({ name: '', place: '', note: '' })

watch(bag, (now) => {
  if (!now) return
  faults.value = []
  const { name, place, note } = now.record
  texts.value = { name, place: place ?? '', note: note ?? '' }
})

const keep = () =>
  attempt(async () => {
    const now = bag.value
    if (!now) return
    const params = { path: { id: now.id }, query: { revision: now.revision } }
    const { undo } = await data(api.PUT('/api/bags/{id}', { params, body: texts.value }))
    bag.value = null
    notice.did(t('bag-dialog-bag-changed'), undo, () => emit('kept'))
    emit('kept')
  })
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="t('bag-dialog-bag')"
    :does="t('bag-dialog-save')"
    test="keep-bag"
    @submit="keep"
  >
    <PaperField v-model="texts.name" name="name" :label="t('bag-dialog-contents')" maxlength="80" autofocus />
    <PaperField v-model="texts.place" name="place" :label="t('bag-dialog-where')" maxlength="80" />
    <PaperField v-model="texts.note" name="note" :label="t('bag-dialog-note')" lines maxlength="400" />
  </PaperDialog>
</template>
