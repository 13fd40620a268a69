<script setup lang="ts">
import { t } from '../text'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { api, data, type LabelPaper } from '../api/client'
import { exportFile } from '../shared/download'
import { refused, useForm, useOpen } from '../shared/form'
import { useNotice } from '../shared/notice'
import { useSettings } from '../shared/settings'
import PaperDialog from '../shared/PaperDialog.vue'
import PaperField from '../shared/PaperField.vue'

/** Labels of bags: how large, how many on a sheet, and where they go. */
const bags = defineModel<number[] | null>({ required: true })
const open = useOpen(bags)
const notice = useNotice()
const settings = useSettings()
const { faults, attempt } = useForm()
const texts = ref<Record<string, string>>({})
const copies = ref('1')
const used = ref('0')
const sizes = ref(false)
/** The revision of the settings the sizes were read from. */
const read = ref(0)
/** Where the codes lead: other devices reach it by a name of the network only. */
const origin = location.origin
const here = /^(localhost|127\.|\[::1\])/.test(location.hostname)
const fields = [
  ['width_mm', t('labels-dialog-label-wide-mm')],
  ['height_mm', t('labels-dialog-label-high-mm')],
  ['columns_n', t('labels-dialog-side-by-side')],
  ['rows_n', t('labels-dialog-below-each-other')],
  ['left_mm', t('labels-dialog-left-margin-mm')],
  ['top_mm', t('labels-dialog-upper-margin-mm')],
  ['gap_across_mm', t('labels-dialog-gap-beside-mm')],
  ['gap_down_mm', t('labels-dialog-gap-below-mm')],
  ['sheet_width_mm', t('labels-dialog-sheet-wide-mm')],
  ['sheet_height_mm', t('labels-dialog-sheet-high-mm')],
] as const

const { data: tray, refetch } = useQuery({
  queryKey: ['printer'],
  queryFn: () => data(api.GET('/api/printer')),
  enabled: open,
  staleTime: 0,
})

watch(open, async (now) => {
  if (!now) return
  faults.value = []
  copies.value = '1'
  await attempt(async () => {
    const { settings, revision } = await data(api.GET('/api/settings'))
    read.value = revision
    texts.value = Object.fromEntries(fields.map(([key]) => [key, String(settings.labels![key])]))
  })
})

function number(field: string, text: string) {
  const value = Number(text.trim().replace(',', '.'))
  if (text.trim() && Number.isFinite(value)) return value
  throw refused([{ field, message: t('labels-dialog-not-number', { text }) }])
}
const paper = () =>
  Object.fromEntries(
    fields.map(([key]) => [key, number(`paper.${key}`, texts.value[key] ?? '')]),
  ) as unknown as LabelPaper
function wish() {
  const n = number('bags', copies.value)
  if (!Number.isInteger(n) || n < 1 || n > 500)
    throw refused([
      { field: 'bags', message: t('labels-dialog-not-number-copies-enter-1', { copies: copies.value }) },
    ])
  const of = (bags.value ?? []).flatMap((bag) => Array.from({ length: n }, () => bag))
  return { bags: of, used_n: number('used_n', used.value), paper: paper() }
}

const sheets = () => attempt(() => exportFile('/api/labels/labels.pdf', wish()))
const drawn = () => attempt(() => exportFile('/api/labels/labels.svg', wish()))
const print = () =>
  attempt(async () => {
    const { labels_n, simulated } = await data(api.POST('/api/labels/print', { body: wish() }))
    const on = simulated
      ? t('labels-dialog-simulated-printer-see-its-tray')
      : t('labels-dialog-label-printer')
    notice.say(
      t('labels-dialog-went', {
        labels:
          labels_n === 1 ? t('labels-dialog-one-label') : t('labels-dialog-labels', { labelsn: labels_n }),
        on,
      }),
    )
    await refetch()
  })
const keepSizes = () =>
  attempt(async () => {
    const there = await data(api.GET('/api/settings'))
    const labels = paper()
    const query = { revision: read.value }
    await data(api.PUT('/api/settings', { params: { query }, body: { ...there.settings, labels } }))
    await settings.load()
    read.value = there.revision + 1
    notice.say(t('labels-dialog-label-sizes-saved-for-workshop'))
  })
const many = computed(() => bags.value?.length ?? 0)
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="many === 1 ? t('labels-dialog-label-bag') : t('labels-dialog-labels-bags', { many })"
    :width="520"
    :does="t('labels-dialog-sheets-as-pdf')"
    test="sheets"
    @submit="sheets"
  >
    <div class="two">
      <PaperField v-model="copies" name="bags" :label="t('labels-dialog-copies-each')" figures autofocus />
      <PaperField
        v-model="used"
        name="used_n"
        :label="t('labels-dialog-labels-already-used-on-first')"
        figures
      />
    </div>
    <v-btn class="toggle" :aria-pressed="sizes" data-test="sizes" @click="sizes = !sizes">
      {{
        t('labels-dialog-sizes-mm-on-sheet', {
          widthmm: texts.width_mm,
          heightmm: texts.height_mm,
          columnsn: texts.columns_n,
          rowsn: texts.rows_n,
        })
      }}
    </v-btn>
    <div v-show="sizes" class="two">
      <PaperField
        v-for="[key, label] in fields"
        :key="key"
        v-model="texts[key]"
        :name="`paper.${key}`"
        :label="label"
        figures
      />
      <v-btn variant="text" data-test="keep-sizes" @click="keepSizes">{{
        t('labels-dialog-save-these-sizes')
      }}</v-btn>
    </div>
    <p class="quiet code">
      {{ t('labels-dialog-code-on-label-opens-recipe', { origin })
      }}<template v-if="here"> {{ t('labels-dialog-only-this-computer-can-reach') }}</template>
    </p>
    <ul v-if="tray?.length" class="tray" data-test="tray">
      <li v-for="one in tray" :key="one.n">
        <a :href="`/api/printer/${one.n}`">{{ t('labels-dialog-printed', { one: one.n }) }}</a>
        <span class="quiet when">{{ new Date(one.at).toLocaleTimeString('en-GB') }}</span>
      </li>
    </ul>
    <template #acts>
      <v-btn data-test="svg" @click="drawn">{{ t('labels-dialog-svg') }}</v-btn>
      <v-btn data-test="print" @click="print">{{ t('labels-dialog-print') }}</v-btn>
    </template>
  </PaperDialog>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 14px;
}

.when {
  margin-left: 8px;
}

.code {
  margin: 8px 0 0;
}

.tray {
  margin: 6px 0 0;
  padding-left: 18px;
  max-height: 120px;
  overflow-y: auto;
}
</style>
