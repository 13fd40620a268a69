<script setup lang="ts">
import { t } from '../text'
import { useQueryClient } from '@tanstack/vue-query'
import { ref, useTemplateRef } from 'vue'
import { api, data, faultsOf, type Fault, type PlanDocument } from '../api/client'
import { useNotice } from '../shared/notice'
import { useUnderWay } from '../shared/underWay'

/**
 * Bringing plans, patterns and tools in from a JSON file, or a whole workshop from its lines: all of it, or nothing and
 * why.
 */
const emit = defineEmits<{ brought: [] }>()
const notice = useNotice()
const underWay = useUnderWay()
const faults = ref<Fault[]>([])
const chooser = useTemplateRef<HTMLInputElement>('chooser')

const queries = useQueryClient()
const busy = ref(false)

/** A whole workshop goes to the server as it is read, however large it is. */
async function bringAllIn(file: File) {
  busy.value = true
  try {
    const brought = await underWay.follow(
      t('bring-in-importing', { name: file.name }),
      ({ headers }) =>
        data(
          api.POST('/api/workshop', {
            body: file as unknown as string,
            bodySerializer: (body) => body,
            headers: { 'content-type': 'application/jsonl', ...headers },
          }),
        ),
      { cancels: false },
    )
    await queries.invalidateQueries()
    if (brought) notice.say(brought.text)
  } finally {
    busy.value = false
  }
}

async function bringIn(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  faults.value = []
  try {
    if (file.name.endsWith('.jsonl')) return await bringAllIn(file)
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
    const counts = brought
      .filter(([n]) => n > 0)
      .map(([n, one, several]) => `${n} ${n === 1 ? one : several}`)
    emit('brought')
    const here = answer.already_n
      ? t('bring-in-were-saved-already-left-as', { alreadyn: answer.already_n })
      : ''
    if (counts.length)
      notice.did(
        t('bring-in-imported-from', { message: counts.join(', '), name: file.name, here }),
        answer.undo,
        () => emit('brought'),
      )
    else notice.say(t('bring-in-everything-in-here-already-nothing', { name: file.name }))
  } catch (thrown) {
    faults.value = faultsOf(thrown)
  }
}
</script>

<template>
  <v-btn data-test="import" :disabled="busy" @click="chooser?.click()">{{ t('bring-in-import') }}</v-btn>
  <input
    ref="chooser"
    class="visually-hidden"
    type="file"
    accept=".json,.jsonl,application/json"
    :aria-label="t('bring-in-file-import')"
    tabindex="-1"
    data-test="import-file"
    @change="bringIn"
  />
  <section v-if="faults.length" class="import stop" role="alert" data-test="import-faults">
    <p>
      <b>{{ t('bring-in-nothing-was-imported') }}</b>{{ t('bring-in-fix-these-try-again') }}
    </p>
    <ul>
      <li v-for="fault in faults.slice(0, 12)" :key="fault.field + fault.message">
        <code v-if="fault.field">{{ fault.field }}</code> {{ fault.message }}
      </li>
      <li v-if="faults.length > 12">{{ t('bring-in-more', { faults: faults.length - 12 }) }}</li>
    </ul>
    <v-btn @click="faults = []">{{ t('bring-in-close') }}</v-btn>
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
