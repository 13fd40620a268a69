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

/** What else stands on the bench; all of it as on a usual bench until it is said. */
type Gear = NonNullable<Settings['gear']>

const settings = useSettings()
const refreshDesks = useDesks()
const notice = useNotice()
const open = ref(false)
const texts = ref<Record<string, string>>({})
const has = ref({ torch: true, guide_block: false, hammer_and_block: true, mallet: true })
const owned = [
  { key: 'torch', says: 'I have a torch', test: 'gear-torch' },
  { key: 'guide_block', says: 'I have a guide block for sawing heavy wire', test: 'gear-guide' },
  { key: 'hammer_and_block', says: 'I have a steel hammer and a polished block', test: 'gear-hammer' },
  { key: 'mallet', says: 'I have a mallet', test: 'gear-mallet' },
] as const
const lengths = [
  { key: 'gear.cutter_mm', label: 'Cutter: soft wire up to' },
  { key: 'gear.cutter_hard_mm', label: 'Cutter: hard wire up to' },
  { key: 'gear.taper.narrow_mm', label: 'Taper, narrow end' },
  { key: 'gear.taper.wide_mm', label: 'Taper, wide end' },
  { key: 'gear.taper.length_mm', label: 'Taper, length between the two' },
] as const
const { faults, take } = useForm()
const { show, exact } = useShownLengths()
const { acrossUnit, acrossNumber } = useAmounts()
const gear = computed(() => settings.settings.gear)
const across = (mm: number | undefined) =>
  mm === undefined ? '' : `${Number(acrossNumber(mm, acrossUnit.value === 'mm' ? 2 : 3))} ${acrossUnit.value}`

const lines = computed(() => {
  const { cutter_mm, cutter_hard_mm, barrel_g, torch, guide_block, taper } = gear.value ?? {}
  const { hammer_and_block, mallet } = gear.value ?? {}
  return [
    ['Cutter', `wire to ${across(cutter_mm)} soft, ${across(cutter_hard_mm)} hard`],
    ['Tumbler', `${barrel_g ?? ''} g of pieces a load`],
    [
      'Taper',
      taper
        ? `${across(taper.narrow_mm)} to ${across(taper.wide_mm)} over ${across(taper.length_mm)}`
        : 'none',
    ],
    ['Torch', torch === false ? 'none' : 'yes'],
    ['Guide block', guide_block ? 'yes' : 'none'],
    ['Hammer and block', hammer_and_block === false ? 'none' : 'yes'],
    ['Mallet', mallet === false ? 'none' : 'yes'],
  ]
})

function edit() {
  faults.value = []
  const { cutter_mm, cutter_hard_mm, barrel_g, torch, guide_block, taper } = gear.value ?? {}
  texts.value = {
    'gear.cutter_mm': show(cutter_mm),
    'gear.cutter_hard_mm': show(cutter_hard_mm),
    'gear.taper.narrow_mm': show(taper?.narrow_mm),
    'gear.taper.wide_mm': show(taper?.wide_mm),
    'gear.taper.length_mm': show(taper?.length_mm),
    'gear.barrel_g': barrel_g ? `${barrel_g} g` : '',
  }
  const { hammer_and_block, mallet } = gear.value ?? {}
  has.value = {
    torch: torch ?? true,
    guide_block: guide_block ?? false,
    hammer_and_block: hammer_and_block ?? true,
    mallet: mallet ?? true,
  }
  open.value = true
}

/** Another window changed the settings first: what stands there now is shown. */
async function failed(thrown: unknown) {
  notice.fail(thrown)
  await settings.load()
}

async function keep() {
  const before = gear.value
  const put = async (kept: Gear | undefined) => {
    await settings.keep({ gear: kept })
    await refreshDesks()
  }
  try {
    faults.value = []
    const tapered = ['narrow_mm', 'wide_mm', 'length_mm'].some((key) =>
      texts.value[`gear.taper.${key}`]?.trim(),
    )
    const length = (key: string) =>
      [key, tapered && key.startsWith('gear.taper') ? (['length', 'needed'] as const) : 'length'] as const
    const asked = {
      ...Object.fromEntries(lengths.map(({ key }) => length(key))),
      'gear.barrel_g': 'mass' as const,
    }
    const read = exact(await readFields(texts.value, asked), texts.value) as Record<
      string,
      number | undefined
    >
    const taper = tapered
      ? {
          narrow_mm: read['gear.taper.narrow_mm'],
          wide_mm: read['gear.taper.wide_mm'],
          length_mm: read['gear.taper.length_mm'],
        }
      : undefined
    // What is left out is the usual.
    await put({
      cutter_mm: read['gear.cutter_mm'],
      cutter_hard_mm: read['gear.cutter_hard_mm'],
      barrel_g: read['gear.barrel_g'],
      ...has.value,
      taper,
    } as Gear)
    open.value = false
    notice.say('Equipment saved.', () => put(before).catch(failed))
  } catch (thrown) {
    take(thrown)
    await settings.load()
  }
}
</script>

<template>
  <section>
    <h1>Equipment</h1>
    <table class="ledger middle" data-test="gear">
      <tbody>
        <tr v-for="[what, said] in lines" :key="what">
          <td>{{ what }}</td>
          <td class="right num">{{ said }}</td>
        </tr>
      </tbody>
    </table>
    <v-btn class="ml-n4" data-test="edit-gear" @click="edit">Change these</v-btn>
    <PaperDialog v-model="open" title="Equipment" :width="560" does="Save" test="keep-gear" @submit="keep">
      <p class="quiet">Empty lines use the usual value. Without a taper, cones are wound on any that fits.</p>
      <div class="fields">
        <PaperField
          v-for="({ key, label }, i) in lengths"
          :key="key"
          v-model="texts[key]"
          :name="key"
          :label="label"
          figures
          :autofocus="i === 0"
          :data-test="key"
        />
        <PaperField
          v-model="texts['gear.barrel_g']"
          name="gear.barrel_g"
          label="Tumbler takes pieces of"
          figures
          data-test="gear.barrel_g"
        />
      </div>
      <label v-for="{ key, says, test } in owned" :key="key" class="has"
        ><input v-model="has[key]" type="checkbox" :data-test="test" /> {{ says }}</label
      >
    </PaperDialog>
  </section>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 14px 24px;
  margin-bottom: 12px;
}

.has {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 32px;
}

.has input {
  width: 20px;
  height: 20px;
  accent-color: rgb(var(--v-theme-primary));
}

.ledger td {
  padding-block: 3px;
}
</style>
