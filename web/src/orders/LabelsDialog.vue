<script setup lang="ts">
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
  ['width_mm', 'Label wide, mm'],
  ['height_mm', 'Label high, mm'],
  ['columns_n', 'Side by side'],
  ['rows_n', 'Below each other'],
  ['left_mm', 'Left margin, mm'],
  ['top_mm', 'Upper margin, mm'],
  ['gap_across_mm', 'Gap beside, mm'],
  ['gap_down_mm', 'Gap below, mm'],
  ['sheet_width_mm', 'Sheet wide, mm'],
  ['sheet_height_mm', 'Sheet high, mm'],
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
  throw refused([{ field, sentence: `“${text}” is not a number.` }])
}
const paper = () =>
  Object.fromEntries(
    fields.map(([key]) => [key, number(`paper.${key}`, texts.value[key] ?? '')]),
  ) as unknown as LabelPaper
function wish() {
  const n = number('bags', copies.value)
  if (!Number.isInteger(n) || n < 1 || n > 500)
    throw refused([
      { field: 'bags', sentence: `“${copies.value}” is not a number of copies. Enter 1 to 500.` },
    ])
  const of = (bags.value ?? []).flatMap((bag) => Array.from({ length: n }, () => bag))
  return { bags: of, used_n: number('used_n', used.value), paper: paper() }
}

const sheets = () => attempt(() => exportFile('/api/labels/labels.pdf', wish()))
const drawn = () => attempt(() => exportFile('/api/labels/labels.svg', wish()))
const print = () =>
  attempt(async () => {
    const { labels_n, simulated } = await data(api.POST('/api/labels/print', { body: wish() }))
    const on = simulated ? 'the simulated printer (see its tray below)' : 'the label printer'
    notice.say(`${labels_n === 1 ? 'One label' : `${labels_n} labels`} went to ${on}.`)
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
    notice.say('Label sizes saved for the workshop.')
  })
const many = computed(() => bags.value?.length ?? 0)
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="many === 1 ? 'Label of the bag' : `Labels of ${many} bags`"
    :width="520"
    does="Sheets as PDF"
    test="sheets"
    @submit="sheets"
  >
    <div class="two">
      <PaperField v-model="copies" name="bags" label="Copies of each" figures autofocus />
      <PaperField v-model="used" name="used_n" label="Labels already used on the first sheet" figures />
    </div>
    <button
      type="button"
      class="plain toggle"
      :aria-pressed="sizes"
      data-test="sizes"
      @click="sizes = !sizes"
    >
      Sizes: {{ texts.width_mm }} × {{ texts.height_mm }} mm, {{ texts.columns_n }} × {{ texts.rows_n }} on a
      sheet
    </button>
    <div v-show="sizes" class="two">
      <PaperField
        v-for="[key, label] in fields"
        :key="key"
        v-model="texts[key]"
        :name="`paper.${key}`"
        :label="label"
        figures
      />
      <v-btn variant="text" data-test="keep-sizes" @click="keepSizes">Save these sizes</v-btn>
    </div>
    <p class="quiet code">
      The code on a label opens the recipe as it was made, at {{ origin }}.<template v-if="here">
        Only this computer can reach that address. Open Lorimant by its network name before you print, so that
        a phone can reach it too.</template
      >
    </p>
    <ul v-if="tray?.length" class="tray" data-test="tray">
      <li v-for="one in tray" :key="one.n">
        <a :href="`/api/printer/${one.n}`">Printed {{ one.n }}</a>
        <span class="quiet when">{{ new Date(one.at).toLocaleTimeString('en-GB') }}</span>
      </li>
    </ul>
    <template #acts>
      <v-btn data-test="svg" @click="drawn">SVG</v-btn>
      <v-btn data-test="print" @click="print">Print</v-btn>
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
