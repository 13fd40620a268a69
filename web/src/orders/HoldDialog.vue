<script setup lang="ts">
import { t } from '../text'
import { computed, ref, watch } from 'vue'
import type { AgendaSession, BatchRun, ScheduleChange, SessionStep } from '../api/client'
import { refused, useForm, useOpen } from '../shared/form'
import PaperChoice from '../shared/PaperChoice.vue'
import PaperDialog from '../shared/PaperDialog.vue'
import PaperField from '../shared/PaperField.vue'
import { countOf } from '../shared/typing'
import { dayOf } from '../shared/dates'

/** Holds a step in a later session, or parts it between two. */
const held = defineModel<{ run: BatchRun; work: SessionStep; part: boolean } | null>({ required: true })
const props = defineProps<{
  sessions: AgendaSession[]
  hold: (body: ScheduleChange, message: string) => Promise<unknown>
}>()
const open = useOpen(held)
const { faults, attempt } = useForm()
const from = ref('')
const first = ref('')

const later = computed(() =>
  props.sessions.filter(
    (one) => !one.skipped && (!held.value || Date.parse(one.to) > Date.parse(held.value.work.to)),
  ),
)
watch(held, (now) => {
  faults.value = []
  if (!now) return
  first.value = String(Math.ceil(now.work.of_n / 2))
  from.value =
    later.value.find((one) => Date.parse(one.from) > Date.parse(now.work.from))?.from ??
    later.value[0]?.from ??
    ''
})

const submit = () =>
  attempt(async () => {
    const now = held.value
    if (!now) return
    const { step_n, named, of_n } = now.work
    const { of } = now.run
    const at = from.value
    if (!at) throw refused([{ field: '', message: t('hold-dialog-there-no-later-session-within') }])
    const session = later.value.find((one) => one.from === at)!
    const when = `${dayOf(session.day)}, ${session.clock}`
    if (!now.part)
      await props.hold({ 'not-before': { of, step_n, at } }, t('hold-dialog-not-before', { named, when }))
    else {
      const first_n = countOf(first.value)
      if (!first_n || first_n >= of_n)
        throw refused([
          { field: 'first_n', message: t('hold-dialog-you-can-do-1-first', { ofn: of_n - 1, ofn2: of_n }) },
        ])
      await props.hold(
        { parted: { of, step_n, first_n, at } },
        t('hold-dialog-first-others', { named, firstn: first_n, when }),
      )
    }
    held.value = null
  })
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="
      held?.part
        ? t('hold-dialog-split', { named: held.work.named })
        : t('hold-dialog-not-before-2', { named: held?.work.named })
    "
    :width="420"
    :does="t('hold-dialog-pin')"
    test="hold-it"
    @submit="submit"
  >
    <PaperField
      v-if="held?.part"
      v-model="first"
      name="first_n"
      :label="t('hold-dialog-how-many-first', { ofn: held.work.of_n })"
      figures
      autofocus
    />
    <PaperChoice
      v-model="from"
      :label="held?.part ? t('hold-dialog-others-not-before') : t('hold-dialog-not-before-3')"
      :choices="later.map((one) => ({ word: one.from, label: `${dayOf(one.day)}, ${one.clock}` }))"
      data-test="hold-from"
    />
  </PaperDialog>
</template>
