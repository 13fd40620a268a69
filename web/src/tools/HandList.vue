<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Settings } from '../api/client'
import { useNotice } from '../shared/notice'
import { readFields, useForm, useShownLengths } from '../shared/form'
import { useAmounts } from '../shared/amounts'
import { useSettings } from '../shared/settings'
import { useDesks } from '../patterns/desks'
import PaperDialog from '../shared/PaperDialog.vue'
import PaperField from '../shared/PaperField.vue'

type Hand = NonNullable<Settings['hand']>

const settings = useSettings()
const refreshDesks = useDesks()
const notice = useNotice()
const open = ref(false)
const texts = ref<Record<string, string>>({})
/** What moves a ring's inside from one to the next, in the order it comes about. */
const sources = [
  { key: 'rod_mm', label: 'Your measurement of the rod' },
  { key: 'wood_mm', label: 'More, on a wooden rod' },
  { key: 'hugging_mm', label: 'Coil not tight on the rod' },
  { key: 'kerf_mm', label: 'Saw wandering' },
  { key: 'closing_mm', label: 'Closing the ring' },
  { key: 'roundness_mm', label: 'The ring not being round' },
  { key: 'caliper_mm', label: 'The caliper' },
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
  const put = async (kept: Hand | undefined) => {
    await settings.keep({ hand: kept })
    await refreshDesks()
  }
  try {
    faults.value = []
    const read = exact(await readFields(texts.value, asked), texts.value)
    // What is left out is the usual.
    await put(Object.fromEntries(sources.map(({ key }) => [key, read[`hand.${key}`]])) as Hand)
    open.value = false
    notice.say('Consistency saved.', () => put(before).catch(failed))
  } catch (thrown) {
    take(thrown)
    await settings.load()
  }
}
</script>

<template>
  <section>
    <h1>Consistency</h1>
    <p class="quiet lead">
      How much each of these changes a ring, usually. Together with the wire they make the ± in your hand.
    </p>
    <table class="ledger middle" data-test="hand">
      <thead>
        <tr>
          <th>Source</th>
          <th class="right">±, {{ acrossUnit }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ key, label } in sources" :key="key">
          <td>{{ label }}</td>
          <td class="right num">{{ hand ? fine(hand[key] ?? 0) : '' }}</td>
        </tr>
      </tbody>
    </table>
    <v-btn class="ml-n4" data-test="edit-hand" @click="edit">Change these</v-btn>
    <PaperDialog v-model="open" title="Consistency" :width="520" does="Save" test="keep-hand" @submit="keep">
      <p class="quiet">Empty lines use the usual value of a careful maker.</p>
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
