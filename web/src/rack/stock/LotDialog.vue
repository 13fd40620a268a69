<script setup lang="ts">
import { t } from '../../text'
import { useDebounceFn, useSessionStorage } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { api, data, faultsOf, currentOf, type Lot, type Stocked, type Wire } from '../../api/client'
import { useNotice } from '../../shared/notice'
import PiecePicker from '../PiecePicker.vue'
import type { ChosenPiece } from '../../shared/asked'
import { useAmounts } from '../../shared/amounts'
import { useRackRefresh } from '../../shared/picking'
import { useWords } from '../../shared/words'
import { readFields, refused, useForm, useOpen, useShownLengths } from '../../shared/form'
import BothVersions from '../../shared/BothVersions.vue'
import PaperDialog from '../../shared/PaperDialog.vue'
import PaperField from '../../shared/PaperField.vue'
import PaperPick from '../../shared/PaperPick.vue'
import PaperWord from '../../shared/PaperWord.vue'

/** Receiving wire, or changing what is written of a lot. A shop's line fills in what it says. */
const entry = defineModel<Stocked | 'new' | null>({ required: true })
const refresh = useRackRefresh()
const notice = useNotice()
const words = useWords()
const { currency } = useAmounts()
const { faults, attempt } = useForm()
const { show, long, exact } = useShownLengths()
const listing = ref('')
const understood = ref<{ missing: string[]; doubtful: string[]; unclear: string[] } | null>(null)
const prices = ref('')
const piece = ref<ChosenPiece | null>(null)
const perPiece = ref('')
const texts = ref<Record<string, string>>({})
/** What stands on the rack instead, where somebody else changed it first. */
const current = shallowRef<(Stocked & { description: string }) | null>(null)
const picked = ref<{
  metal: Wire['metal'] | null
  temper: NonNullable<Wire['temper']>
  section: NonNullable<Wire['section']>
  surface: NonNullable<Lot['surface']>
  kind: NonNullable<Lot['kind']>
}>({ metal: null, temper: 'soft', section: 'round', surface: 'bare', kind: 'spool' })

const open = useOpen(entry)
const isNew = computed(() => entry.value === 'new')
const today = () => new Date().toLocaleDateString('sv')
/** Whether a skin lies on the metal, whose share can be said. */
const skinned = computed(() => words.value?.skinned_surfaces.includes(picked.value.surface) ?? false)

/** What is being received, and not on the rack yet: neither a reload nor a lock loses it. */
const draft = useSessionStorage<{
  listing: string
  texts: Record<string, string>
  picked: typeof picked.value
} | null>('lorimant.receiving', null, { serializer: { read: JSON.parse, write: JSON.stringify } })
watch(
  [listing, texts, picked],
  () => {
    if (isNew.value) draft.value = { listing: listing.value, texts: texts.value, picked: picked.value }
  },
  { deep: true },
)

/** Whether what stands there was typed before a reload or a lock. */
const restored = ref(false)
watch(entry, (now, before) => {
  const { listing: line = '', texts: left = {} } = draft.value ?? {}
  restored.value = now === 'new' && [line, left.name, left.size, left.amount].some(Boolean)
  faults.value = []
  understood.value = null
  prices.value = ''
  current.value = null
  // Kept, or left on purpose.
  if (before === 'new') draft.value = null
  if (now === 'new' && draft.value) {
    ;({ listing: listing.value, texts: texts.value, picked: picked.value } = draft.value)
    void decode(false)
    return
  }
  listing.value = ''
  const lot = now && now !== 'new' ? now.record : null
  picked.value = {
    metal: lot?.wire.metal ?? null,
    temper: lot?.wire.temper ?? 'soft',
    section: lot?.wire.section ?? 'round',
    surface: lot?.surface ?? 'bare',
    kind: lot?.kind ?? 'spool',
  }
  texts.value = {
    name: lot?.name ?? '',
    size: show(lot?.wire.size_mm),
    skin_share: lot?.skin_share ? String(Number((lot.skin_share * 100).toFixed(4))) : '',
    amount: '',
    price: lot?.price ?? '',
    bought_on: lot ? (lot.bought_on ?? '') : today(),
    tare_g: lot?.tare_g ? String(lot.tare_g) : '',
    note: lot?.note ?? '',
  }
})

/** Reads the shop's line and fills in what it says; what it does not say stays as it is. */
async function decode(fill = true) {
  if (!listing.value.trim()) {
    understood.value = null
    return
  }
  try {
    const start = piece.value && (await data(api.POST('/api/costs/start', { body: piece.value.purpose })))
    const body = { text: listing.value, blank_mm: start?.request.wire_mm }
    const read = await data(api.POST('/api/listings/decode', { body }))
    // Typed on meanwhile: a later answer is on its way.
    if (body.text !== listing.value) return
    understood.value = read
    if (read.prices.foreign) read.doubtful.push(read.prices.foreign)
    prices.value = read.prices.text ?? ''
    perPiece.value = read.prices.of_blank ?? ''
    faults.value = []
    if (!fill) return
    if (read.metal) picked.value.metal = read.metal
    if (read.temper) picked.value.temper = read.temper
    if (read.section) picked.value.section = read.section
    if (read.size_mm) texts.value.size = show(read.size_mm)
    if (read.surface) picked.value.surface = read.surface as Lot['surface'] & string
    if (read.length_mm) texts.value.amount = long(read.length_mm)
    if (read.price) texts.value.price = Number(read.price).toFixed(2)
  } catch (thrown) {
    faults.value = faultsOf(thrown).map((fault) => ({ ...fault, field: 'listing' }))
  }
}

// A price of a piece is asked; what was put right by hand stays.
watch(piece, () => decode(false))

/** The lot as it is typed, and how much of it comes in. */
async function typed(): Promise<{ lot: Lot; length_mm?: number }> {
  const { metal, temper, section, surface, kind } = picked.value
  const asked = { size: ['length', 'needed'], tare_g: 'mass', price: 'money', skin_share: 'percent' } as const
  const shown = { ...texts.value, skin_share: skinned.value ? texts.value.skin_share : '' }
  const missing = metal ? [] : [{ field: 'metal', message: t('lot-dialog-choose-metal') }]
  const found = await readFields(shown, asked).catch((thrown) => {
    throw refused([...missing, ...faultsOf(thrown)])
  })
  const { size, ...read } = exact(found, shown)
  if (!metal) throw refused(missing)
  const { name, bought_on, note } = texts.value
  const wire: Wire = { metal, temper, section, size_mm: size }
  const lot: Lot = {
    name: name?.trim() ?? '',
    kind,
    wire,
    surface,
    bought_on: bought_on || undefined,
    note: note ?? '',
    ...read,
  }
  if (!isNew.value) return { lot }
  const much = await readFields(texts.value, { amount: ['of-wire', 'needed'] }, wire)
  const { amount } = exact(much, texts.value)
  return { lot, length_mm: amount }
}

/** Which lot it will be, said while it is being typed; nothing where it cannot be said yet. */
const receiving = ref('')
const sayReceiving = useDebounceFn(async () => {
  receiving.value = ''
  const { name, size, amount } = texts.value
  if (!isNew.value || !picked.value.metal || !name?.trim() || !size?.trim() || !amount?.trim()) return
  try {
    receiving.value = (await data(api.POST('/api/lots/receiving', { body: await typed() }))).text
  } catch {
    // What is wrong is said at its field once it is kept.
  }
}, 250)
watch([texts, picked], () => void sayReceiving(), { deep: true })

const keep = () =>
  attempt(async () => {
    if (!entry.value) return
    const { lot, length_mm } = await typed()
    if (entry.value === 'new') {
      const { undo } = await data(api.POST('/api/lots', { body: { lot, length_mm } }))
      notice.did(t('lot-dialog-added-stock', { name: lot.name }), undo, refresh)
    } else {
      const { id, revision, record } = entry.value
      const body = { ...lot, bought_mm: record.bought_mm }
      const params = { path: { id }, query: { revision: current.value?.revision ?? revision } }
      const { undo } = await data(api.PUT('/api/lots/{id}', { params, body })).catch((thrown) => {
        current.value = currentOf(thrown) as typeof current.value
        throw thrown
      })
      notice.did(t('lot-dialog-changed', { name: lot.name }), undo, refresh)
    }
    entry.value = null
    await refresh()
  })

/** What is written of a lot, in a line. */
const told = (lot: { name?: string; note?: string; price?: string | null }) =>
  [`“${lot.name}”`, lot.price && `${lot.price} ${currency.value}`, lot.note].filter(Boolean).join(', ')
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="isNew ? t('lot-dialog-add-wire') : t('lot-dialog-edit-lot')"
    :name="isNew ? t('lot-dialog-add-wire') : t('lot-dialog-change-lot')"
    :width="680"
    :unkept="restored"
    :does="isNew ? t('lot-dialog-add-stock') : 'Save'"
    test="keep-lot"
    @submit="keep"
  >
    <template v-if="isNew">
      <PaperField
        v-model="listing"
        name="listing"
        :label="t('lot-dialog-paste-shops-listing')"
        :placeholder="t('lot-dialog-925-hh-sq-20ga-5ft')"
        :hint="t('lot-dialog-metal-size-temper-amount-price')"
        autofocus
        maxlength="300"
        data-test="listing"
        @update:model-value="decode()"
      />
      <ul v-if="understood" class="listing" data-test="listing-says">
        <li v-if="prices">{{ prices }}</li>
        <li v-for="line in understood.doubtful" :key="line" class="watch">{{ line }}</li>
        <li v-for="line in understood.missing" :key="line" class="quiet">{{ line }}</li>
        <li v-if="understood.unclear.length" class="quiet">
          {{ t('lot-dialog-not-understood', { unclear: understood.unclear.join(', ') }) }}
        </li>
      </ul>
      <p v-if="understood" class="quiet priced">
        {{ t('lot-dialog-priced-for') }}<PiecePicker v-model="piece" :label="t('lot-dialog-piece')" />
        <span data-test="per-piece">{{ perPiece }}</span>
      </p>
    </template>
    <p class="serif wish">
      <PaperPick
        v-model="picked.kind"
        name="kind"
        :label="t('lot-dialog-it-is-a')"
        :choices="words?.stock_kinds ?? []"
        class="begins"
        data-test="lot-kind"
      />{{ t('lot-dialog-of')
      }}<PaperPick
        v-model="picked.temper"
        name="temper"
        :label="t('lot-dialog-temper')"
        :choices="words?.tempers ?? []"
        data-test="lot-temper"
      />
      <PaperPick
        v-model="picked.metal"
        name="metal"
        :label="t('lot-dialog-metal')"
        :placeholder="t('lot-dialog-which-metal')"
        :choices="words?.metals ?? []"
        data-test="lot-metal"
      />,
      <PaperPick
        v-model="picked.section"
        name="section"
        :label="t('lot-dialog-section')"
        :choices="words?.sections ?? []"
        data-test="lot-section"
      />
      <PaperWord
        v-model="texts.size"
        name="size"
        :also="['wire.size_mm', 'lot.wire.size_mm']"
        :label="t('lot-dialog-size')"
        :placeholder="t('lot-dialog-18-awg-1-mm')"
        data-test="lot-size"
      />,
      <PaperPick
        v-model="picked.surface"
        name="surface"
        :label="t('lot-dialog-surface')"
        :choices="words?.surfaces ?? []"
        data-test="lot-surface"
      /><template v-if="skinned">
        {{ t('lot-dialog-with-outer-layer')
        }}<PaperWord
          v-model="texts.skin_share"
          name="skin_share"
          :also="['lot.skin_share']"
          :label="t('lot-dialog-outer-layer-weight')"
          placeholder="5"
          figures
        />{{ t('lot-dialog-its-weight') }}</template
      ><template v-if="isNew"
        >:
        <PaperWord
          v-model="texts.amount"
          name="amount"
          :also="['length_mm']"
          :label="t('lot-dialog-length-or-weight')"
          :placeholder="t('lot-dialog-5-m-16-ft-250')"
          data-test="lot-amount"
        />{{ t('lot-dialog-of-it') }}</template
      ><template v-else>{{ t('lot-dialog-bought') }}</template
      >{{ t('lot-dialog-for')
      }}<PaperWord
        v-model="texts.price"
        name="price"
        :also="['lot.price']"
        :label="t('lot-dialog-price')"
        :placeholder="t('lot-dialog-not-said')"
        figures
        data-test="lot-price"
      />{{ t('lot-dialog-bought-on', { currency })
      }}<PaperWord
        v-model="texts.bought_on"
        name="bought_on"
        :also="['lot.bought_on']"
        :label="t('lot-dialog-bought-on-2')"
        day
        data-test="lot-bought-on"
      />{{ t('lot-dialog-empty-spool-weighs')
      }}<PaperWord
        v-model="texts.tare_g"
        name="tare_g"
        :also="['lot.tare_g']"
        :label="t('lot-dialog-empty-spool-g')"
        :placeholder="t('lot-dialog-not-weighed')"
        figures
        data-test="lot-tare"
      />{{ t('lot-dialog-g-its-tag-says')
      }}<PaperWord
        v-model="texts.name"
        name="name"
        :also="['lot.name']"
        :label="t('lot-dialog-name-on-its-tag')"
        :placeholder="t('lot-dialog-blue-spool')"
        :most="60"
        data-test="lot-name"
      />.
    </p>
    <PaperField v-model="texts.note" name="note" :label="t('lot-dialog-note')" maxlength="500" />
    <BothVersions
      v-if="current"
      :yours="told(texts)"
      :theirs="`${told(current.record)}: ${current.description}`"
      :at="current.updated_at"
      @mine="keep"
      @theirs="entry = current"
    />
    <p v-if="receiving" class="serif" role="status" data-test="receiving">{{ receiving }}</p>
  </PaperDialog>
</template>

<style scoped>
.wish {
  font-size: 1.35rem;
  line-height: 1.75;
  margin: 4px 0 12px;
}

.begins :deep(select) {
  text-transform: capitalize;
}

.priced {
  margin: 0 0 8px;
}

.listing {
  margin: 8px 0 4px;
  padding-left: 18px;
}
</style>
