<script setup lang="ts">
import { t } from '../text'
import { ref, watch } from 'vue'
import { api, data } from '../api/client'
import { useForm } from '../shared/form'
import PaperDialog from '../shared/PaperDialog.vue'
import PaperField from '../shared/PaperField.vue'

/** What the maker notes about a batch; it goes on with its bag. */
const { batch } = defineProps<{ batch: { id: number; revision: number; note: string } }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ noted: [] }>()
const { faults, attempt } = useForm()
const note = ref('')

watch(open, (now) => {
  if (!now) return
  faults.value = []
  note.value = batch.note
})

const save = () =>
  attempt(async () => {
    const params = { path: { id: batch.id }, query: { revision: batch.revision } }
    await data(api.PUT('/api/batches/{id}/note', { params, body: { note: note.value } }))
    open.value = false
    emit('noted')
  })
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="t('note-dialog-note')"
    :does="t('note-dialog-save')"
    test="save-note"
    @submit="save"
  >
    <PaperField
      v-model="note"
      name="note"
      :label="t('note-dialog-note')"
      lines
      autofocus
      maxlength="400"
      data-test="batch-note"
    />
    <p class="quiet">{{ t('note-dialog-goes-on') }}</p>
  </PaperDialog>
</template>
