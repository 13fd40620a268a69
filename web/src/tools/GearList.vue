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

/** What else stands on the bench; all of it as on a usual bench until it is said. */
type Gear = NonNullable<Settings['gear']>

const settings = useSettings()
const refreshDesks = useDesks()
const notice = useNotice()
const open = ref(false)
const texts = ref<Record<string, string>>({})
const has = ref({ torch: true, guide_block: false, hammer_and_block: true, mallet: true })
const owned = [
  { key: 'torch', says: t('gear-list-i-have-torch'), test: 'gear-torch' },
  { key: 'guide_block', says: t('gear-list-i-have-guide-block-for'), test: 'gear-guide' },
  { key: 'hammer_and_block', says: t('gear-list-i-have-steel-hammer-polished'), test: 'gear-hammer' },
  { key: 'mallet', says: t('gear-list-i-have-mallet'), test: 'gear-mallet' },
] as const
const lengths = [
  { key: 'gear.cutter_mm', label: t('gear-list-cutter-soft-wire-up') },
  { key: 'gear.cutter_hard_mm', label: t('gear-list-cutter-hard-wire-up') },
  { key: 'gear.taper.narrow_mm', label: t('gear-list-taper-narrow-end') },
  { key: 'gear.taper.wide_mm', label: t('gear-list-taper-wide-end') },
  { key: 'gear.taper.length_mm', label: t('gear-list-taper-length-between-two') },
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
    [
      t('gear-list-cutter'),
      t('gear-list-wire-soft-hard', { cuttermm: across(cutter_mm), cutterhardmm: across(cutter_hard_mm) }),
    ],
    [t('gear-list-tumbler'), t('gear-list-g-pieces-load', { barrelg: barrel_g ?? '' })],
    [
      t('gear-list-taper'),
      taper
        ? t('gear-list-over', {
            narrowmm: across(taper.narrow_mm),
            widemm: across(taper.wide_mm),
            lengthmm: across(taper.length_mm),
          })
        : t('gear-list-none'),
    ],
    [t('gear-list-torch'), torch === false ? t('gear-list-none') : t('gear-list-yes')],
    [t('gear-list-guide-block'), guide_block ? t('gear-list-yes') : t('gear-list-none')],
    [t('gear-list-hammer-block'), hammer_and_block === false ? t('gear-list-none') : t('gear-list-yes')],
    [t('gear-list-mallet'), mallet === false ? t('gear-list-none') : t('gear-list-yes')],
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
    notice.say(t('gear-list-equipment-saved'), () => put(before).catch(failed))
  } catch (thrown) {
    take(thrown)
    await settings.load()
  }
}
</script>

<template>
  <section>
    <h1>{{ t('gear-list-equipment') }}</h1>
    <v-table class="ledger middle" data-test="gear">
      <tbody>
        <tr v-for="[what, value] in lines" :key="what">
          <td>{{ what }}</td>
          <td class="right num">{{ value }}</td>
        </tr>
      </tbody>
    </v-table>
    <v-btn class="ml-n4" data-test="edit-gear" @click="edit">{{ t('gear-list-change-these') }}</v-btn>
    <PaperDialog
      v-model="open"
      :title="t('gear-list-equipment')"
      :width="560"
      :does="t('gear-list-save')"
      test="keep-gear"
      @submit="keep"
    >
      <p class="quiet">{{ t('gear-list-empty-lines-use-usual-value') }}</p>
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
          :label="t('gear-list-tumbler-takes-pieces')"
          figures
          data-test="gear.barrel_g"
        />
      </div>
      <v-checkbox-btn
        v-for="{ key, says, test } in owned"
        :key="key"
        v-model="has[key]"
        :label="says"
        :data-test="test"
      />
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

.ledger td {
  padding-block: 3px;
}
</style>
