<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { api, data, faultsOf, type Fault, type Lot, type Stocked, type Wire } from '../../api/client'
import { useNotice } from '../../shared/notice'
import PiecePicker from '../PiecePicker.vue'
import type { ChosenPiece } from '../../shared/asked'
import { useAmounts } from '../../shared/amounts'
import { useRackRefresh } from '../../shared/picking'
import { useWords } from '../../shared/words'
import { lengthAt, moneyAt, numberAt, useFaults } from '../../shared/faults'
import PaperDialog from '../../shared/PaperDialog.vue'

/** Receiving wire, or changing what is written of a lot. A shop's line fills in what it says. */
const entry = defineModel<Stocked | 'new' | null>({ required: true })
const refresh = useRackRefresh()
const notice = useNotice()
const words = useWords()
const { currency, money } = useAmounts()
const { faults, at, elsewhere } = useFaults([
  'listing',
  'name',
  'wire.size_mm',
  'size',
  'metal',
  'skin_share',
  'amount',
  'length_mm',
  'typed',
  'price',
  'bought_on',
  'tare_g',
])
const listing = ref('')
const said = ref<{ missing: string[]; doubtful: string[]; unclear: string[] } | null>(null)
const prices = ref('')
const piece = ref<ChosenPiece | null>(null)
const perPiece = ref('')
const texts = ref<Record<string, string>>({})
const picked = ref<{
  metal: Wire['metal'] | null
  temper: NonNullable<Wire['temper']>
  section: NonNullable<Wire['section']>
  surface: NonNullable<Lot['surface']>
  kind: NonNullable<Lot['kind']>
}>({ metal: null, temper: 'soft', section: 'round', surface: 'bare', kind: 'spool' })

const open = computed({
  get: () => entry.value !== null,
  set: (now) => {
    if (!now) entry.value = null
  },
})
const isNew = computed(() => entry.value === 'new')
const today = () => new Date().toLocaleDateString('sv')
const items = (kind: 'metals' | 'tempers' | 'sections' | 'surfaces' | 'stock_kinds') =>
  (words.value?.[kind] ?? []).map((one) => ({ value: one.word, title: one.shown }))

watch(entry, (now) => {
  faults.value = []
  listing.value = ''
  said.value = null
  prices.value = ''
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
    size: lot ? `${lot.wire.size_mm} mm` : '',
    share: lot?.skin_share ? String(Number((lot.skin_share * 100).toFixed(4))) : '',
    amount: '',
    price: lot?.price ?? '',
    bought_on: lot ? (lot.bought_on ?? '') : today(),
    tare: lot?.tare_g ? String(lot.tare_g) : '',
    note: lot?.note ?? '',
  }
})

/** Reads the shop's line and fills in what it says; what it does not say stays as it is. */
async function decode() {
  if (!listing.value.trim()) {
    said.value = null
    return
  }
  try {
    const start = piece.value && (await data(api.POST('/api/costs/start', { body: piece.value.purpose })))
    const body = { text: listing.value, blank_mm: start?.request.wire_mm }
    const read = await data(api.POST('/api/listings/decode', { body }))
    // Typed on meanwhile: a later answer is on its way.
    if (body.text !== listing.value) return
    said.value = read
    if (read.metal) picked.value.metal = read.metal
    if (read.temper) picked.value.temper = read.temper
    if (read.section) picked.value.section = read.section
    if (read.size_mm) texts.value.size = `${Number(read.size_mm.toFixed(4))} mm`
    if (read.surface) picked.value.surface = read.surface as Lot['surface'] & string
    if (read.length_mm) texts.value.amount = `${Number((read.length_mm / 1000).toFixed(3))} m`
    if (read.price) texts.value.price = Number(read.price).toFixed(2)
    const foreign = read.currency && read.currency !== currency.value ? read.currency : ''
    const shown = (amount: string) => (foreign ? `${Number(amount).toFixed(2)} ${foreign}` : money(amount))
    if (foreign && currency.value)
      read.doubtful.push(`The line says ${foreign}, you reckon in ${currency.value}: type the price over.`)
    const per = [
      read.per_metre ? `${shown(read.per_metre)} a metre` : '',
      read.per_gram ? `${shown(read.per_gram)} a gram` : '',
    ].filter(Boolean)
    prices.value = per.length ? `That is ${per.join(', ')}.` : ''
    perPiece.value = !piece.value
      ? ''
      : read.per_blank
        ? `${shown(read.per_blank)} for the wire of one.`
        : 'The line does not say what its wire costs.'
    faults.value = []
  } catch (thrown) {
    faults.value = faultsOf(thrown).map((fault) => ({ ...fault, field: 'listing' }))
  }
}

watch(piece, decode)

/** The lot as it is typed; what is wrong with it goes to its fields. */
async function typedLot(wrong: Fault[]): Promise<Lot | null> {
  const t = texts.value
  if (!picked.value.metal) wrong.push({ field: 'metal', sentence: 'Say which metal it is.' })
  const size_mm = (await lengthAt('size', wrong, t.size ?? '')) ?? 0
  const share = numberAt('skin_share', wrong, t.share)
  const tare = numberAt('tare_g', wrong, t.tare, { unit: 'g' })
  const price = moneyAt('price', wrong, t.price)
  if (wrong.length || !picked.value.metal) return null
  const { metal, temper, section, surface, kind } = picked.value
  const skin = surface === 'plated' || surface === 'filled'
  return {
    name: t.name?.trim() ?? '',
    kind,
    wire: { metal, temper, section, size_mm },
    surface,
    skin_share: skin && share !== undefined ? share / 100 : undefined,
    price,
    bought_on: t.bought_on || undefined,
    tare_g: tare,
    note: t.note ?? '',
  }
}

/** How much of the wire comes in, as it is typed. */
async function typedLength(wire: Wire) {
  const body = { wire, typed: texts.value.amount ?? '' }
  return Number((await data(api.POST('/api/wires/weigh', { body }))).length_mm.toFixed(3))
}

/** Which lot it will be, said while it is being typed; nothing where it cannot be said yet. */
const receiving = ref('')
const sayReceiving = useDebounceFn(async () => {
  receiving.value = ''
  const { name, size, amount } = texts.value
  if (!isNew.value || !picked.value.metal || !name?.trim() || !size?.trim() || !amount?.trim()) return
  try {
    const lot = await typedLot([])
    if (!lot) return
    const body = { lot, length_mm: await typedLength(lot.wire) }
    receiving.value = (await data(api.POST('/api/lots/receiving', { body }))).sentence
  } catch {
    // What is wrong is said at its field once it is kept.
  }
}, 250)
watch([texts, picked], () => void sayReceiving(), { deep: true })

async function keep() {
  const wrong: Fault[] = []
  const lot = await typedLot(wrong)
  faults.value = wrong
  if (!lot || !entry.value) return
  try {
    if (entry.value === 'new') {
      const length_mm = await typedLength(lot.wire)
      const { undo } = await data(api.POST('/api/lots', { body: { lot, length_mm } }))
      notice.did(`“${lot.name}” is on the rack.`, undo, refresh)
    } else {
      const { id, revision, record } = entry.value
      const body = { ...lot, bought_mm: record.bought_mm }
      const params = { path: { id }, query: { revision } }
      const { undo } = await data(api.PUT('/api/lots/{id}', { params, body }))
      notice.did(`Changed “${lot.name}”.`, undo, refresh)
    }
    entry.value = null
    await refresh()
  } catch (thrown) {
    faults.value = faultsOf(thrown).map((fault) => ({ ...fault, field: fault.field.replace(/^lot\./, '') }))
  }
}
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="isNew ? 'Receive wire' : 'Change what is written of it'"
    :name="isNew ? 'Receive wire' : 'Change the lot'"
    :width="640"
    form
    @submit="keep"
  >
    <template v-if="isNew">
      <v-text-field
        v-model="listing"
        label="Paste the shop's line"
        placeholder=".925 HH sq 20ga 5ft 14.80"
        hint="Metal, size, temper, amount and price in any order; it fills in what it says."
        persistent-hint
        autofocus
        autocomplete="off"
        maxlength="300"
        :error-messages="at('listing')"
        data-test="listing"
        @update:model-value="decode"
      />
      <ul v-if="said" class="said" data-test="listing-says">
        <li v-if="prices">{{ prices }}</li>
        <li v-for="line in said.doubtful" :key="line" class="watch">{{ line }}</li>
        <li v-for="line in said.missing" :key="line" class="quiet">{{ line }}</li>
        <li v-if="said.unclear.length" class="quiet">Not understood: {{ said.unclear.join(', ') }}.</li>
      </ul>
      <p v-if="said" class="quiet">
        Priced for <PiecePicker v-model="piece" label="a piece…" />
        <span data-test="per-piece">{{ perPiece }}</span>
      </p>
    </template>
    <div class="fields">
      <v-text-field
        v-model="texts.name"
        class="two"
        label="What stands on its tag"
        placeholder="Blue spool"
        maxlength="60"
        :error-messages="at('name')"
        data-test="lot-name"
      />
      <v-select v-model="picked.kind" label="It is a" :items="items('stock_kinds')" data-test="lot-kind" />
      <v-select
        v-model="picked.metal"
        label="Metal"
        :items="items('metals')"
        :error-messages="at('metal')"
        data-test="lot-metal"
      />
      <v-select v-model="picked.temper" label="Temper" :items="items('tempers')" data-test="lot-temper" />
      <v-select v-model="picked.section" label="Section" :items="items('sections')" />
      <v-text-field
        v-model="texts.size"
        label="Size"
        placeholder="18 awg, 1 mm"
        autocomplete="off"
        :error-messages="at('size', 'wire.size_mm')"
        data-test="lot-size"
      />
      <v-select v-model="picked.surface" label="Surface" :items="items('surfaces')" />
      <v-text-field
        v-if="picked.surface === 'plated' || picked.surface === 'filled'"
        v-model="texts.share"
        label="Skin, % of weight"
        placeholder="5"
        inputmode="decimal"
        :error-messages="at('skin_share')"
      />
      <v-text-field
        v-if="isNew"
        v-model="texts.amount"
        label="Length or weight"
        placeholder="5 m, 16 ft, 250 g"
        autocomplete="off"
        :error-messages="at('amount', 'typed', 'length_mm')"
        data-test="lot-amount"
      />
      <v-text-field
        v-model="texts.price"
        :label="currency ? `Price, ${currency}` : 'Price'"
        inputmode="decimal"
        autocomplete="off"
        :error-messages="at('price')"
        data-test="lot-price"
      />
      <v-text-field v-model="texts.bought_on" label="Came in" type="date" :error-messages="at('bought_on')" />
      <v-text-field
        v-model="texts.tare"
        label="Empty spool, g"
        inputmode="decimal"
        autocomplete="off"
        :error-messages="at('tare_g')"
        data-test="lot-tare"
      />
      <v-text-field v-model="texts.note" class="three" label="Note" maxlength="500" />
    </div>
    <p v-for="fault in elsewhere" :key="fault.sentence" class="stop" role="alert">{{ fault.sentence }}</p>
    <p v-if="receiving" class="serif" role="status" data-test="receiving">{{ receiving }}</p>
    <div class="mt-4">
      <v-btn type="submit" variant="flat" color="primary" data-test="keep-lot">
        {{ isNew ? 'Put it on the rack' : 'Keep' }}
      </v-btn>
      <v-btn @click="entry = null">Cancel</v-btn>
    </div>
  </PaperDialog>
</template>

<style scoped>
.form {
  overflow-y: auto;
}

.fields {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 4px 18px;
  margin-top: 8px;
}

.two {
  grid-column: span 2;
}

.three {
  grid-column: 1 / -1;
}

.said {
  margin: 8px 0 4px;
  padding-left: 18px;
}

@media (max-width: 600px) {
  .fields {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
}
</style>
