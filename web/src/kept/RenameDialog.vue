<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api, data, faultsOf, type Fault, type PlanEntry } from '../api/client'
import { useNotice } from '../frame/notice'
import { usePlan } from '../rings/plan'

const entry = defineModel<PlanEntry | null>({ required: true })
const emit = defineEmits<{ renamed: [] }>()
const notice = useNotice()
const plan = usePlan()
const name = ref('')
const note = ref('')
const faults = ref<Fault[]>([])
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

const at = (field: string) =>
  faults.value.filter((fault) => fault.field === field).map((fault) => fault.sentence)

async function rename() {
  if (!entry.value) return
  const { id, revision, record } = entry.value
  try {
    const body = { ...record, name: name.value, note: note.value }
    const params = { path: { id }, query: { revision } }
    const written = await data(api.PUT('/api/plans/{id}', { params, body }))
    if (plan.kept?.id === id) {
      plan.kept = { id, revision: written.entry.revision, name: name.value, note: note.value }
    }
    notice.did(`Renamed to “${name.value}”.`, written.undo, () => emit('renamed'))
    entry.value = null
    emit('renamed')
  } catch (thrown) {
    faults.value = faultsOf(thrown)
  }
}
</script>

<template>
  <v-dialog v-model="open" max-width="480" aria-label="Rename a plan">
    <form class="popover" @submit.prevent="rename">
      <h2>Rename</h2>
      <v-text-field
        v-model="name"
        label="Name"
        maxlength="80"
        autofocus
        :error-messages="at('name')"
        data-test="rename-name"
      />
      <v-textarea v-model="note" label="Note" rows="2" auto-grow :error-messages="at('note')" />
      <p
        v-for="fault in faults.filter((f) => !['name', 'note'].includes(f.field))"
        :key="fault.sentence"
        class="stop"
      >
        {{ fault.sentence }}
      </p>
      <div class="mt-4">
        <v-btn type="submit" variant="flat" color="primary" data-test="rename-confirm">Keep the name</v-btn>
        <v-btn @click="entry = null">Cancel</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
