<script setup lang="ts">
import { t } from '../text'
import { ref, toRef, watch } from 'vue'
import { api, data, type OrderRow } from '../api/client'
import { readDay, useTypedDay } from '../shared/day'
import DayPicker from '../shared/DayPicker.vue'
import { refused, useForm, useOpen } from '../shared/form'
import { useNotice } from '../shared/notice'
import PaperDialog from '../shared/PaperDialog.vue'
import PaperField from '../shared/PaperField.vue'
import { countOf } from '../shared/typing'
import { countIn } from '../shared/piece'

/** Changes an order: who, when, its note, how many of each line. */
const order = defineModel<OrderRow | null>({ required: true })
const emit = defineEmits<{ kept: [] }>()
const notice = useNotice()
const { faults, attempt } = useForm()
const open = useOpen(order)
const texts = ref({ customer: '', due: '', note: '' })
const { told: dueTold, wrong: dueWrong, day: dueDay } = useTypedDay(toRef(() => texts.value.due))
const lines = ref<{ at: number; name: string; n: string; spares: string }[]>([])

watch(order, (now) => {
  if (!now) return
  faults.value = []
  const { customer, due, note } = now.record
  texts.value = { customer: customer ?? '', due: due ?? '', note: note ?? '' }
  lines.value = now.record.lines.map(({ name, piece, spares_percent }, at) => ({
    at,
    name,
    n: String(countIn(piece)),
    spares: spares_percent ? String(spares_percent) : '',
  }))
})

const keep = () =>
  attempt(async () => {
    const now = order.value
    if (!now) return
    const told = lines.value.map((line, i) => {
      const pieces_n = countOf(line.n)
      if (!pieces_n)
        throw refused([
          { field: `lines[${i}].pieces_n`, message: t('order-dialog-not-number-pieces', { line: line.n }) },
        ])
      const spares_percent = Number(line.spares.replace(',', '.').replace('%', '') || 0)
      if (!Number.isFinite(spares_percent))
        throw refused([
          {
            field: `lines[${i}].spares_percent`,
            message: t('order-dialog-not-percentage', { spares: line.spares }),
          },
        ])
      const { piece, handed_n, name } = now.record.lines[line.at]!
      return { name, piece, handed_n, pieces_n, spares_percent }
    })
    const { customer, note } = texts.value
    const due = await readDay(texts.value.due, 'due')
    const body = { customer: customer.trim(), due, note, lines: told }
    const params = { path: { id: now.id }, query: { revision: now.revision } }
    const { undo } = await data(api.PUT('/api/orders/{id}', { params, body }))
    order.value = null
    notice.did(t('order-dialog-order-for-changed', { forwhom: now.for_whom }), undo, () => emit('kept'))
    emit('kept')
  })
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="t('order-dialog-change-order')"
    :width="520"
    :does="t('order-dialog-save')"
    test="keep-order"
    @submit="keep"
  >
    <PaperField
      v-model="texts.customer"
      name="customer"
      :label="t('order-dialog-for')"
      :placeholder="t('order-dialog-stock')"
      maxlength="80"
      autofocus
    />
    <PaperField
      v-model="texts.due"
      name="due"
      :label="t('order-dialog-due')"
      :placeholder="t('order-dialog-no-date')"
      :hint="dueTold"
      :wrong="dueWrong"
    >
      <template #append-inner><DayPicker v-model="texts.due" :day="dueDay" /></template>
    </PaperField>
    <div v-for="(line, i) in lines" :key="line.at" class="line">
      <PaperField
        v-model="line.n"
        :name="`lines[${i}].pieces_n`"
        :also="[`lines[${i}].handed_n`]"
        :label="t('order-dialog-how-many', { name: line.name })"
        figures
      />
      <PaperField
        v-model="line.spares"
        :name="`lines[${i}].spares_percent`"
        :label="t('order-dialog-spares')"
        figures
      />
      <v-btn
        v-if="lines.length > 1"
        variant="text"
        :aria-label="t('order-dialog-remove-line', { name: line.name })"
        @click="lines.splice(i, 1)"
        >{{ t('order-dialog-remove') }}</v-btn
      >
    </div>
    <PaperField v-model="texts.note" name="note" :label="t('order-dialog-note')" lines maxlength="2000" />
  </PaperDialog>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 110px auto;
  gap: 0 10px;
  margin-top: 8px;
  align-items: start;
}
</style>
