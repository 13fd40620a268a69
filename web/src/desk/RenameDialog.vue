<script setup lang="ts" generic="T extends { name: string; note?: string }">
import { t } from '../text'
import { ref, watch } from 'vue'
import { useForm, useOpen } from '../shared/form'
import { useNotice } from '../shared/notice'
import PaperDialog from '../shared/PaperDialog.vue'
import PaperField from '../shared/PaperField.vue'

interface Entry {
  id: number
  revision: number
  record: T
}

const props = defineProps<{
  /** Keeps the record over the entry's revision. */
  keep: (entry: Entry, record: T) => Promise<{ undo: number }>
}>()
const entry = defineModel<Entry | null>({ required: true })
const emit = defineEmits<{ renamed: [] }>()
const notice = useNotice()
const name = ref('')
const note = ref('')
const { faults, attempt } = useForm()
const open = useOpen(entry)

watch(entry, (now) => {
  name.value = now?.record.name ?? ''
  note.value = now?.record.note ?? ''
  faults.value = []
})

const rename = () =>
  attempt(async () => {
    if (!entry.value) return
    const record = { ...entry.value.record, name: name.value, note: note.value }
    const written = await props.keep(entry.value as Entry, record)
    notice.did(t('rename-dialog-renamed', { name: name.value }), written.undo, () => emit('renamed'))
    entry.value = null
    emit('renamed')
  })
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="t('rename-dialog-rename')"
    :does="t('rename-dialog-rename')"
    test="rename-confirm"
    @submit="rename"
  >
    <PaperField
      v-model="name"
      name="name"
      :label="t('rename-dialog-name')"
      maxlength="80"
      autofocus
      data-test="rename-name"
    />
    <PaperField v-model="note" name="note" :label="t('rename-dialog-note')" lines />
  </PaperDialog>
</template>
