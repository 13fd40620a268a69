<script setup lang="ts" generic="R extends object">
import { ref, watch } from 'vue'
import { Refused } from '../api/client'
import { useForm } from '../shared/form'
import { useNotice } from '../shared/notice'
import type { Desk } from './desk'
import PaperDialog from '../shared/PaperDialog.vue'
import PaperField from '../shared/PaperField.vue'

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
const { faults, take } = useForm()
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
  <PaperDialog
    v-model="open"
    :title="`Keep this ${noun}`"
    :width="520"
    :does="desk.kept ? 'Keep the change' : 'Keep'"
    test="keep-confirm"
    :busy="busy"
    @submit="keep(!desk.kept)"
  >
    <p class="serif quiet">{{ desk.sheet?.text }}</p>
    <PaperField v-model="name" name="name" label="Name" autofocus maxlength="80" data-test="plan-name" />
    <PaperField v-model="note" name="note" label="Note" lines data-test="plan-note" />
    <template #said>
      <p v-if="conflict" class="stop">You can keep yours as a new {{ noun }} beside it.</p>
    </template>
    <template #acts>
      <v-btn v-if="desk.kept" :disabled="busy" data-test="keep-as-new" @click="keep(true)">
        Keep as a new {{ noun }}
      </v-btn>
    </template>
  </PaperDialog>
</template>
