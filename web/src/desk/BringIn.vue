<script setup lang="ts">
import { ref, useTemplateRef } from 'vue'
import { api, data, faultsOf, type Fault, type PlanDocument } from '../api/client'
import { useNotice } from '../shared/notice'

/** Bringing plans, patterns and tools in from a JSON file: all of it, or nothing and why. */
const emit = defineEmits<{ brought: [] }>()
const notice = useNotice()
const faults = ref<Fault[]>([])
const chooser = useTemplateRef<HTMLInputElement>('chooser')

async function bringIn(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  faults.value = []
  try {
    const text = await file.text()
    const answer = await data(
      api.POST('/api/import', {
        // The file goes to the server as it is, so that its errors are about the file itself.
        body: text as unknown as PlanDocument,
        bodySerializer: (body) => body as unknown as string,
        headers: { 'content-type': 'application/json' },
      }),
    )
    const tools = answer.rods_n + answer.pliers_n + answer.blades_n
    const brought = [
      [answer.entries.length, 'plan', 'plans'],
      [answer.patterns.length, 'pattern', 'patterns'],
      [tools, 'tool', 'tools'],
    ] as const
    const said = brought.filter(([n]) => n > 0).map(([n, one, several]) => `${n} ${n === 1 ? one : several}`)
    emit('brought')
    notice.did(`Brought in ${said.join(', ') || 'nothing new'} from ${file.name}.`, answer.undo, () =>
      emit('brought'),
    )
  } catch (thrown) {
    faults.value = faultsOf(thrown)
  }
}
</script>

<template>
  <v-btn data-test="import" @click="chooser?.click()">Bring in JSON</v-btn>
  <input
    ref="chooser"
    class="visually-hidden"
    type="file"
    accept=".json,application/json"
    aria-label="JSON file to bring in"
    tabindex="-1"
    data-test="import-file"
    @change="bringIn"
  />
  <section v-if="faults.length" class="import stop" role="alert" data-test="import-faults">
    <p><b>Nothing was brought in.</b> Mend these and try again:</p>
    <ul>
      <li v-for="fault in faults.slice(0, 12)" :key="fault.field + fault.sentence">
        <code v-if="fault.field">{{ fault.field }}</code> {{ fault.sentence }}
      </li>
      <li v-if="faults.length > 12">and {{ faults.length - 12 }} more.</li>
    </ul>
    <v-btn @click="faults = []">Close</v-btn>
  </section>
</template>

<style scoped>
.import {
  flex: 1 1 100%;
  border-left: 3px solid rgb(var(--v-theme-error));
  padding: 4px 0 4px 14px;
  margin-bottom: 12px;
}

.import ul {
  padding-left: 18px;
}
</style>
