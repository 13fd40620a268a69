<script setup lang="ts">
import { t } from '../../text'
import { ref, useTemplateRef } from 'vue'
import { api, data, faultsOf, type Fault, type RackImport } from '../../api/client'
import { download } from '../../shared/download'
import { useNotice } from '../../shared/notice'
import { useUnderWay } from '../../shared/underWay'
import { useRackRefresh } from '../../shared/picking'
import PaperMenu from '../../shared/PaperMenu.vue'
import PaperDialog from '../../shared/PaperDialog.vue'
import MenuLine from '../../shared/MenuLine.vue'

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
  { file: 'lots.csv', title: t('rack-files-lots') },
  { file: 'ledger.csv', title: t('rack-files-history') },
  { file: 'buying.csv', title: t('rack-files-how-wires-kept') },
  { file: 'scrap.csv', title: t('rack-files-scrap') },
]

const underWay = useUnderWay()
const send = (preview: boolean) =>
  underWay.follow(
    preview ? t('rack-files-reading', { name: name.value }) : t('rack-files-importing', { name: name.value }),
    ({ headers, signal }) =>
      data(
        api.POST('/api/stock/import', {
          params: { query: { preview } },
          body: text.value,
          bodySerializer: (body) => body,
          headers: { 'content-type': 'text/plain', ...headers },
          signal,
        }),
      ),
    { cancels: preview },
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
    const answer = await send(true)
    if (answer) seen.value = answer
    else open.value = false
  } catch (thrown) {
    faults.value = faultsOf(thrown)
  }
}

const take = (path: string) => download(path).catch(notice.fail)

async function bringIn() {
  try {
    const answer = await send(false)
    if (!answer) return
    const { undo, rows_n, already_n } = answer
    open.value = false
    await refresh()
    const left = already_n ? t('rack-files-lots-were-here-already-left', { alreadyn: already_n }) : ''
    if (undo)
      notice.did(
        t('rack-files-imported-records-from', { alreadyn: rows_n - already_n, name: name.value, left }),
        undo,
        refresh,
      )
    else notice.say(t('rack-files-all-this-in-stock-already'))
  } catch (thrown) {
    faults.value = faultsOf(thrown)
  }
}
</script>

<template>
  <PaperMenu :says="t('rack-files-import-or-export')" test="rack-files">
    <MenuLine data-test="import" @click="chooser?.click()">
      {{ t('rack-files-import-table-or-json') }}
    </MenuLine>
    <MenuLine
      v-for="{ file, title } in tables"
      :key="file"
      :data-test="file"
      @click="take(`/api/stock/tables/${file}`)"
    >
      {{ t('rack-files-as-csv', { title }) }}
    </MenuLine>
    <MenuLine data-test="rack-json" @click="take('/api/stock/all.json')">
      {{ t('rack-files-everything-as-json') }}
    </MenuLine>
  </PaperMenu>
  <input
    ref="chooser"
    class="visually-hidden"
    type="file"
    accept=".csv,.json,text/csv,application/json"
    :aria-label="t('rack-files-table-or-json-file-import')"
    tabindex="-1"
    data-test="rack-file"
    @change="look"
  />
  <PaperDialog v-model="open" :name="t('rack-files-named')" :width="720">
    <div class="preview" data-test="preview">
      <h2>{{ name }}</h2>
      <ul v-if="faults.length" class="stop" role="alert" data-test="file-faults">
        <li v-for="fault in faults.slice(0, 12)" :key="fault.field + fault.message">
          <code v-if="fault.field">{{ fault.field }}</code> {{ fault.message }}
        </li>
      </ul>
      <template v-if="seen">
        <p v-if="seen.wrong_n" class="stop">
          {{ t('rack-files-cannot-be-imported-fix-file', { wrongn: seen.wrong_n, rowsn: seen.rows_n }) }}
        </p>
        <p v-else>
          {{
            t('rack-files-records-nothing-has-been-saved', {
              rowsn: seen.rows_n,
              more: seen.others_n ? t('rack-files-more', { othersn: seen.others_n }) : '',
              are: seen.already_n
                ? t('rack-files-in-stock-already-left-as', { alreadyn: seen.already_n })
                : '',
            })
          }}
        </p>
        <v-table class="ledger">
          <tbody>
            <tr v-for="row in seen.rows" :key="row.place">
              <td class="quiet place">{{ row.place }}</td>
              <td>
                {{ row.name }} <span class="quiet">{{ row.description }}</span>
                <p v-for="fault in row.faults" :key="fault.field + fault.message" class="stop fault">
                  <code>{{ fault.field }}</code> {{ fault.message }}
                </p>
              </td>
            </tr>
          </tbody>
        </v-table>
        <p v-if="seen.rows_n > seen.rows.length" class="quiet">
          {{ t('rack-files-more-2', { rows: seen.rows_n - seen.rows.length }) }}
        </p>
      </template>
      <p v-else-if="!faults.length" class="quiet" role="status">{{ t('rack-files-reading-file') }}</p>
      <div class="mt-4">
        <v-btn
          variant="flat"
          color="primary"
          :disabled="!seen || seen.wrong_n > 0"
          data-test="bring-in"
          @click="bringIn"
        >
          {{ t('rack-files-import') }}
        </v-btn>
        <v-btn @click="open = false">{{ t('rack-files-cancel') }}</v-btn>
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
