import { useDebounceFn, useSessionStorage } from '@vueuse/core'
import { computed, ref, shallowRef, watch, type Ref } from 'vue'
import { api, data, faultsOf, currentOf, type Lot, type Stocked, type Wire } from '../../api/client'
import type { ChosenPiece } from '../../shared/asked'
import { typedDayOf } from '../../shared/dates'
import { readDay } from '../../shared/day'
import { readFields, refused, useForm, useOpen, useShownLengths } from '../../shared/form'
import { useNotice } from '../../shared/notice'
import { useRackRefresh } from '../../shared/picking'
import { useWords } from '../../shared/words'
import { t } from '../../text'

/** A day that is kept, as it would be typed. */
const dayTyped = (day: string | null | undefined) => (day ? typedDayOf(new Date(`${day}T12:00`)) : '')

/** Wire as it is received, or what is written of a lot, while it is typed. A shop's line fills in what it says. */
export function useLotForm(entry: Ref<Stocked | 'new' | null>) {
  const refresh = useRackRefresh()
  const notice = useNotice()
  const words = useWords()
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
      // Which day today is, the workshop's time zone says, not this device's.
      bought_on: lot ? dayTyped(lot.bought_on) : 'today',
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
    const asked = {
      size: ['length', 'needed'],
      tare_g: 'mass',
      price: 'money',
      skin_share: 'percent',
    } as const
    const shown = { ...texts.value, skin_share: skinned.value ? texts.value.skin_share : '' }
    const missing = metal ? [] : [{ field: 'metal', message: t('lot-dialog-choose-metal') }]
    const found = await readFields(shown, asked).catch((thrown) => {
      throw refused([...missing, ...faultsOf(thrown)])
    })
    const { size, ...read } = exact(found, shown)
    if (!metal) throw refused(missing)
    const { name, note } = texts.value
    const bought_on = await readDay(texts.value.bought_on ?? '', 'bought_on', true)
    const wire: Wire = { metal, temper, section, size_mm: size }
    const lot: Lot = {
      name: name?.trim() ?? '',
      kind,
      wire,
      surface,
      bought_on: bought_on ?? undefined,
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
        // What is not in the form stays as it is.
        const body = { ...lot, bought_mm: record.bought_mm, pulls: record.pulls }
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

  return {
    open,
    isNew,
    restored,
    listing,
    understood,
    prices,
    piece,
    perPiece,
    texts,
    picked,
    skinned,
    current,
    receiving,
    decode,
    keep,
  }
}
