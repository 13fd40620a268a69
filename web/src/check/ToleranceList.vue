<script setup lang="ts">
import { t } from '../text'
import { computed, ref } from 'vue'
import type { Settings } from '../api/client'
import { useAmounts } from '../shared/amounts'
import { readFields, useForm, useShownLengths } from '../shared/form'
import { useNotice } from '../shared/notice'
import PaperDialog from '../shared/PaperDialog.vue'
import PaperField from '../shared/PaperField.vue'
import { useSettings } from '../shared/settings'

/** How far a made piece may be off its drawing: a workshop's habit, never nothing. */
type Tolerances = NonNullable<Settings['tolerances']>

const settings = useSettings()
const notice = useNotice()
const { across } = useAmounts()
const { show, exact } = useShownLengths()
const { faults, attempt } = useForm()
const open = ref(false)
const texts = ref<Record<string, string>>({})
const kinds = [
  { key: 'ring_mm', label: t('tolerance-list-inside-ring-or-coil') },
  { key: 'loop_mm', label: t('tolerance-list-inside-loop-or-bend') },
  { key: 'length_mm', label: t('tolerance-list-length') },
  { key: 'gap_mm', label: t('tolerance-list-gap-closed-loop-or-ring') },
  { key: 'wire_mm', label: t('tolerance-list-wire') },
  { key: 'pair_mm', label: t('tolerance-list-difference-within-pair') },
] as const
const tolerances = computed(() => settings.settings.tolerances)

function edit() {
  faults.value = []
  texts.value = Object.fromEntries(
    kinds.map(({ key }) => [`tolerances.${key}`, show(tolerances.value?.[key])]),
  )
  open.value = true
}

const keep = () =>
  attempt(async () => {
    const asked = Object.fromEntries(kinds.map(({ key }) => [`tolerances.${key}`, 'length'] as const))
    const before = tolerances.value
    const read = exact(await readFields(texts.value, asked), texts.value)
    // What is left out is the usual.
    const kept = Object.fromEntries(kinds.map(({ key }) => [key, read[`tolerances.${key}`]])) as Tolerances
    await settings.keep({ tolerances: kept })
    open.value = false
    notice.say(t('tolerance-list-tolerances-saved'), () =>
      settings.keep({ tolerances: before }).catch((thrown: unknown) => notice.fail(thrown)),
    )
  })
</script>

<template>
  <section>
    <h2>{{ t('tolerance-list-tolerances') }}</h2>
    <v-table class="ledger" data-test="tolerances">
      <tbody>
        <tr v-for="{ key, label } in kinds" :key="key">
          <td>{{ label }}</td>
          <td class="right num">± {{ across(tolerances?.[key] ?? 0) }}</td>
        </tr>
      </tbody>
    </v-table>
    <v-btn class="no-print" data-test="change-tolerances" @click="edit">{{
      t('tolerance-list-change')
    }}</v-btn>
    <PaperDialog
      v-model="open"
      :title="t('tolerance-list-tolerances')"
      :name="t('tolerance-list-named')"
      :width="440"
      :does="t('tolerance-list-save')"
      test="keep-tolerances"
      @submit="keep"
    >
      <PaperField
        v-for="{ key, label } in kinds"
        :key="key"
        v-model="texts[`tolerances.${key}`]"
        :name="`tolerances.${key}`"
        :label="label"
        :hint="t('tolerance-list-usual-if-left-empty')"
        :data-test="key"
      />
    </PaperDialog>
  </section>
</template>
