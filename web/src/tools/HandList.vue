<script setup lang="ts">
import { t } from '../text'
import { computed, ref } from 'vue'
import type { Settings } from '../api/client'
import { useNotice } from '../shared/notice'
import { readFields, useForm, useShownLengths } from '../shared/form'
import { useAmounts } from '../shared/amounts'
import { useSettings } from '../shared/settings'
import { useDesks } from '../patterns/desks'
import PaperDialog from '../shared/PaperDialog.vue'
import PaperField from '../shared/PaperField.vue'

type HandSpread = NonNullable<Settings['hand']>

const settings = useSettings()
const refreshDesks = useDesks()
const notice = useNotice()
const open = ref(false)
const texts = ref<Record<string, string>>({})
/** What moves a ring's inside from one to the next, in the order it comes about. */
const sources = [
  { key: 'rod_mm', label: t('hand-list-your-measurement-rod') },
  { key: 'wood_mm', label: t('hand-list-more-on-wooden-rod') },
  { key: 'coil_slack_mm', label: t('hand-list-coil-not-tight-on-rod') },
  { key: 'kerf_mm', label: t('hand-list-saw-wandering') },
  { key: 'closing_mm', label: t('hand-list-closing-ring') },
  { key: 'roundness_mm', label: t('hand-list-ring-not-being-round') },
  { key: 'caliper_mm', label: t('hand-list-caliper') },
] as const
const { faults, take } = useForm()
const { show, exact } = useShownLengths()
const { acrossUnit, acrossNumber } = useAmounts()
/** To the hundredth of a millimetre, or to a tenth of a thousandth of an inch. */
const fine = (mm: number) => Number(acrossNumber(mm, acrossUnit.value === 'mm' ? 3 : 4))
const hand = computed(() => settings.settings.hand)

function edit() {
  faults.value = []
  texts.value = Object.fromEntries(sources.map(({ key }) => [`hand.${key}`, show(hand.value?.[key])]))
  open.value = true
}

/** Another window changed the settings first: what stands there now is shown. */
async function failed(thrown: unknown) {
  notice.fail(thrown)
  await settings.load()
}

async function keep() {
  const asked = Object.fromEntries(sources.map(({ key }) => [`hand.${key}`, 'length'] as const))
  const before = hand.value
  const put = async (kept: HandSpread | undefined) => {
    await settings.keep({ hand: kept })
    await refreshDesks()
  }
  try {
    faults.value = []
    const read = exact(await readFields(texts.value, asked), texts.value)
    // What is left out is the usual.
    await put(Object.fromEntries(sources.map(({ key }) => [key, read[`hand.${key}`]])) as HandSpread)
    open.value = false
    notice.say(t('hand-list-consistency-saved'), () => put(before).catch(failed))
  } catch (thrown) {
    take(thrown)
    await settings.load()
  }
}
</script>

<template>
  <section>
    <h1>{{ t('hand-list-consistency') }}</h1>
    <p class="quiet lead">
      {{ t('hand-list-how-much-each-these-changes') }}
    </p>
    <v-table class="ledger middle" data-test="hand">
      <thead>
        <tr>
          <th>{{ t('hand-list-source') }}</th>
          <th class="right">±, {{ acrossUnit }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ key, label } in sources" :key="key">
          <td>{{ label }}</td>
          <td class="right num">{{ hand ? fine(hand[key] ?? 0) : '' }}</td>
        </tr>
      </tbody>
    </v-table>
    <v-btn class="ml-n4" data-test="edit-hand" @click="edit">{{ t('hand-list-change-these') }}</v-btn>
    <PaperDialog
      v-model="open"
      :title="t('hand-list-consistency')"
      :width="520"
      :does="t('hand-list-save')"
      test="keep-hand"
      @submit="keep"
    >
      <p class="quiet">{{ t('hand-list-empty-lines-use-usual-value') }}</p>
      <div class="sources">
        <PaperField
          v-for="({ key, label }, i) in sources"
          :key="key"
          v-model="texts[`hand.${key}`]"
          :name="`hand.${key}`"
          :label="label"
          figures
          :autofocus="i === 0"
          :data-test="`hand-${key}`"
        />
      </div>
    </PaperDialog>
  </section>
</template>

<style scoped>
.lead {
  margin: 0 0 12px;
}

.sources {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 14px 24px;
}

.ledger td {
  padding-block: 3px;
}
</style>
