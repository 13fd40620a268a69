<script setup lang="ts" generic="T extends { name: string; note?: string }">
import { computed, ref, watch } from 'vue'
import { useFaults } from '../shared/faults'
import { useNotice } from '../shared/notice'
import PaperDialog from '../shared/PaperDialog.vue'

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
const { faults, at, elsewhere, take } = useFaults(['name', 'note'])
const open = computed({
  get: () => entry.value !== null,
  set: (now) => {
    if (!now) entry.value = null
  },
})

watch(entry, (now) => {
  name.value = now?.record.name ?? ''
  note.value = now?.record.note ?? ''
  faults.value = []
})

async function rename() {
  if (!entry.value) return
  try {
    const record = { ...entry.value.record, name: name.value, note: note.value }
    const written = await props.keep(entry.value as Entry, record)
    notice.did(`Renamed to “${name.value}”.`, written.undo, () => emit('renamed'))
    entry.value = null
    emit('renamed')
  } catch (thrown) {
    take(thrown)
  }
}
</script>

<template>
  <PaperDialog v-model="open" title="Rename" :width="480" form @submit="rename">
    <v-text-field
      v-model="name"
      label="Name"
      maxlength="80"
      autofocus
      :error-messages="at('name')"
      data-test="rename-name"
    />
    <v-textarea v-model="note" label="Note" rows="2" auto-grow :error-messages="at('note')" />
    <p v-for="fault in elsewhere" :key="fault.sentence" class="stop" role="alert">{{ fault.sentence }}</p>
    <div class="mt-4">
      <v-btn type="submit" variant="flat" color="primary" data-test="rename-confirm">Keep the name</v-btn>
      <v-btn @click="entry = null">Cancel</v-btn>
    </div>
  </PaperDialog>
</template>
