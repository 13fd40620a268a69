<script setup lang="ts" generic="R extends object">
import { ref, watch } from 'vue'
import { Refused } from '../api/client'
import { useFaults } from '../shared/faults'
import { useNotice } from '../shared/notice'
import type { Desk } from './desk'
import PaperDialog from '../shared/PaperDialog.vue'

const props = defineProps<{
  desk: Desk<R>
  /** What is kept: `plan`, `pattern`. */
  noun: string
}>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ kept: []; undone: [] }>()
const notice = useNotice()
const name = ref('')
const note = ref('')
const { faults, at, elsewhere, take } = useFaults(['name', 'note'])
const conflict = ref(false)
const busy = ref(false)

watch(open, (now) => {
  if (!now) return
  name.value = props.desk.kept?.name ?? ''
  note.value = props.desk.kept?.note ?? ''
  faults.value = []
  conflict.value = false
})

async function keep(asNew: boolean) {
  busy.value = true
  faults.value = []
  try {
    const undo = await props.desk.keep(name.value, note.value, asNew)
    open.value = false
    emit('kept')
    if (undo !== null) notice.did(`Kept as “${name.value}”.`, undo, () => emit('undone'))
  } catch (thrown) {
    conflict.value = thrown instanceof Refused && thrown.problem.status === 409
    take(thrown)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <PaperDialog v-model="open" :title="`Keep this ${noun}`" :width="520" form @submit="keep(!desk.kept)">
    <p class="serif quiet">{{ desk.sheet?.text }}</p>
    <v-text-field
      v-model="name"
      label="Name"
      autofocus
      maxlength="80"
      :error-messages="at('name')"
      data-test="plan-name"
    />
    <v-textarea
      v-model="note"
      label="Note"
      rows="2"
      auto-grow
      :error-messages="at('note')"
      data-test="plan-note"
    />
    <p v-for="fault in elsewhere" :key="fault.sentence" class="stop mt-2" role="alert">
      {{ fault.sentence }}
      <template v-if="conflict">You can keep yours as a new {{ noun }} beside it.</template>
    </p>
    <div class="actions">
      <v-btn type="submit" variant="flat" color="primary" :loading="busy" data-test="keep-confirm">
        {{ desk.kept ? 'Keep the change' : 'Keep' }}
      </v-btn>
      <v-btn v-if="desk.kept" :disabled="busy" data-test="keep-as-new" @click="keep(true)"
        >Keep as a new {{ noun }}</v-btn
      >
      <v-btn @click="open = false">Cancel</v-btn>
    </div>
  </PaperDialog>
</template>

<style scoped>
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 18px;
}
</style>
