<script setup lang="ts">
import { ref, useTemplateRef } from 'vue'
import { api, data, faultsOf, type Fault, type RackImport } from '../../api/client'
import { download } from '../../shared/download'
import { useNotice } from '../../shared/notice'
import { useRackRefresh } from '../../shared/picking'
import PaperMenu from '../../shared/PaperMenu.vue'
import PaperDialog from '../../shared/PaperDialog.vue'

/** The rack in and out: a file is looked at first, and comes in whole or not at all. */
const refresh = useRackRefresh()
const notice = useNotice()
const chooser = useTemplateRef<HTMLInputElement>('chooser')
const open = ref(false)
const text = ref('')
const name = ref('')
const seen = ref<RackImport | null>(null)
const faults = ref<Fault[]>([])

const tables = [
  { file: 'lots.csv', title: 'Lots' },
  { file: 'ledger.csv', title: 'History' },
  { file: 'keepings.csv', title: 'How wires are kept' },
  { file: 'scrap.csv', title: 'Scrap' },
]

const send = (preview: boolean) =>
  data(
    api.POST('/api/stock/import', {
      params: { query: { preview } },
      body: text.value,
      bodySerializer: (body) => body,
      headers: { 'content-type': 'text/plain' },
    }),
  )

async function look(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  name.value = file.name
  seen.value = null
  faults.value = []
  open.value = true
  try {
    text.value = await file.text()
    seen.value = await send(true)
  } catch (thrown) {
    faults.value = faultsOf(thrown)
  }
}

const take = (path: string) => download(path).catch(notice.fail)

async function bringIn() {
  try {
    const { undo, rows_n, already_n } = await send(false)
    open.value = false
    await refresh()
    const left = already_n ? ` ${already_n} lots were here already and are left as they are.` : ''
    if (undo) notice.did(`Imported ${rows_n - already_n} records from ${name.value}.${left}`, undo, refresh)
    else notice.say('All of this is in stock already. Nothing was changed.')
  } catch (thrown) {
    faults.value = faultsOf(thrown)
  }
}
</script>

<template>
  <PaperMenu says="Import or export" test="rack-files">
    <button type="button" class="plain menu-line" data-test="import" @click="chooser?.click()">
      Import a table or JSON
    </button>
    <button
      v-for="{ file, title } in tables"
      :key="file"
      type="button"
      class="plain menu-line"
      :data-test="file"
      @click="take(`/api/stock/tables/${file}`)"
    >
      {{ title }} as CSV
    </button>
    <button type="button" class="plain menu-line" data-test="rack-json" @click="take('/api/stock/all.json')">
      Everything as JSON
    </button>
  </PaperMenu>
  <input
    ref="chooser"
    class="visually-hidden"
    type="file"
    accept=".csv,.json,text/csv,application/json"
    aria-label="Table or JSON file to import"
    tabindex="-1"
    data-test="rack-file"
    @change="look"
  />
  <PaperDialog v-model="open" name="What the file holds" :width="720">
    <div class="preview" data-test="preview">
      <h2>{{ name }}</h2>
      <ul v-if="faults.length" class="stop" role="alert" data-test="file-faults">
        <li v-for="fault in faults.slice(0, 12)" :key="fault.field + fault.sentence">
          <code v-if="fault.field">{{ fault.field }}</code> {{ fault.sentence }}
        </li>
      </ul>
      <template v-if="seen">
        <p v-if="seen.wrong_n" class="stop">
          {{ seen.wrong_n }} of {{ seen.rows_n }} cannot be imported. Fix the file first; nothing is imported
          until then.
        </p>
        <p v-else>
          {{ seen.rows_n }} records{{ seen.others_n ? `, ${seen.others_n} more` : '' }}. Nothing has been
          saved yet.{{
            seen.already_n ? ` ${seen.already_n} are in stock already and are left as they are.` : ''
          }}
        </p>
        <table class="ledger">
          <tbody>
            <tr v-for="row in seen.rows" :key="row.place">
              <td class="quiet place">{{ row.place }}</td>
              <td>
                {{ row.name }} <span class="quiet">{{ row.says }}</span>
                <p v-for="fault in row.faults" :key="fault.field + fault.sentence" class="stop fault">
                  <code>{{ fault.field }}</code> {{ fault.sentence }}
                </p>
              </td>
            </tr>
          </tbody>
        </table>
        <p v-if="seen.rows_n > seen.rows.length" class="quiet">
          And {{ seen.rows_n - seen.rows.length }} more.
        </p>
      </template>
      <p v-else-if="!faults.length" class="quiet" role="status">Reading the file…</p>
      <div class="mt-4">
        <v-btn
          variant="flat"
          color="primary"
          :disabled="!seen || seen.wrong_n > 0"
          data-test="bring-in"
          @click="bringIn"
        >
          Import
        </v-btn>
        <v-btn @click="open = false">Cancel</v-btn>
      </div>
    </div>
  </PaperDialog>
</template>

<style scoped>
.preview {
  overflow-y: auto;
}

.link {
  color: inherit;
  text-decoration: none;
}

.place {
  white-space: nowrap;
}

.fault {
  margin: 2px 0;
}
</style>
