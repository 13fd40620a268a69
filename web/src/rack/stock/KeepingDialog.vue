<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { api, data, type Fault, type Keeping, type Wire } from '../../api/client'
import { moneyAt, readAt, useFaults } from '../../shared/faults'
import { useNotice } from '../../shared/notice'
import { useAmounts } from '../../shared/amounts'
import { useRackRefresh } from '../../shared/picking'
import PaperDialog from '../../shared/PaperDialog.vue'

/** How a wire is kept: its shortest useful length, what should always be there, how it is sold. */
const wire = defineModel<Wire | null>({ required: true })
const refresh = useRackRefresh()
const notice = useNotice()
const { currency } = useAmounts()
const texts = ref<Record<string, string>>({})
const { faults, at, elsewhere, take } = useFaults(() => Object.keys(texts.value))
const open = computed({
  get: () => wire.value !== null,
  set: (now) => {
    if (!now) wire.value = null
  },
})
const { data: how } = useQuery({
  queryKey: ['keepings', wire],
  queryFn: () => data(api.POST('/api/keepings/of', { body: wire.value! })),
  enabled: open,
})

watch([wire, how], () => {
  faults.value = []
  const kept = how.value?.keeping
  const metres = (mm: number | null | undefined) => (mm ? `${mm / 1000} m` : '')
  texts.value = {
    shortest_useful_mm: kept?.shortest_useful_mm ? `${kept.shortest_useful_mm} mm` : '',
    keep_mm: metres(kept?.keep_mm),
    pack_mm: metres(kept?.pack_mm),
    pack_price: kept?.pack_price ?? '',
    source: kept?.source ?? '',
  }
})

async function keep() {
  if (!wire.value) return
  const wrong: Fault[] = []
  const read = async (field: string) => {
    const typed = texts.value[field]?.trim()
    if (!typed) return undefined
    const body = { wire: wire.value!, typed }
    return readAt(field, wrong, async () => (await data(api.POST('/api/wires/weigh', { body }))).length_mm)
  }
  const body: Keeping = {
    wire: wire.value,
    shortest_useful_mm: await read('shortest_useful_mm'),
    keep_mm: (await read('keep_mm')) ?? 0,
    pack_mm: await read('pack_mm'),
    pack_price: moneyAt('pack_price', wrong, texts.value.pack_price),
    source: texts.value.source ?? '',
  }
  faults.value = wrong
  if (wrong.length) return
  try {
    const { entry, undo } = await data(api.PUT('/api/keepings', { body }))
    wire.value = null
    await refresh()
    notice.did(`Noted how ${entry.name} is kept.`, undo, refresh)
  } catch (thrown) {
    take(thrown)
  }
}
</script>

<template>
  <PaperDialog
    v-model="open"
    title="How this wire is kept"
    name="How a wire is kept"
    :width="460"
    form
    @submit="keep"
  >
    <v-text-field
      v-model="texts.keep_mm"
      label="Always keep this much"
      hint="Less than that, after what is picked, and it stands on the buying list."
      persistent-hint
      placeholder="5 m, 50 g"
      autofocus
      autocomplete="off"
      :error-messages="at('keep_mm')"
      data-test="keep-length"
    />
    <v-text-field
      v-model="texts.pack_mm"
      label="Sold in packs of"
      placeholder="10 m, 100 g"
      autocomplete="off"
      :error-messages="at('pack_mm')"
      data-test="pack-length"
    />
    <v-text-field
      v-model="texts.pack_price"
      :label="currency ? `Price of a pack, ${currency}` : 'Price of a pack'"
      inputmode="decimal"
      autocomplete="off"
      :error-messages="at('pack_price')"
    />
    <v-text-field
      v-model="texts.shortest_useful_mm"
      label="Shortest rest worth keeping"
      :hint="`Shorter ends go to scrap. Left empty: ${how?.usual_shortest_mm ?? ''} mm.`"
      persistent-hint
      autocomplete="off"
      :error-messages="at('shortest_useful_mm')"
    />
    <v-text-field v-model="texts.source" label="Bought from" maxlength="120" :error-messages="at('source')" />
    <p v-for="fault in elsewhere" :key="fault.sentence" class="stop" role="alert">{{ fault.sentence }}</p>
    <div class="mt-4">
      <v-btn type="submit" variant="flat" color="primary" data-test="keep-keeping">Keep</v-btn>
      <v-btn @click="wire = null">Cancel</v-btn>
    </div>
  </PaperDialog>
</template>
