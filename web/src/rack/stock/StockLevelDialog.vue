<script setup lang="ts">
import { t } from '../../text'
import { useQuery } from '@tanstack/vue-query'
import { ref, watch } from 'vue'
import { api, data, type StockLevel, type Wire } from '../../api/client'
import { readFields, useForm, useOpen, useShownLengths } from '../../shared/form'
import { useNotice } from '../../shared/notice'
import { useAmounts } from '../../shared/amounts'
import { useRackRefresh } from '../../shared/picking'
import PaperDialog from '../../shared/PaperDialog.vue'
import PaperField from '../../shared/PaperField.vue'

/** How a wire is kept: its shortest useful length, what should always be there, how it is sold. */
const wire = defineModel<Wire | null>({ required: true })
const refresh = useRackRefresh()
const notice = useNotice()
const { currency, across } = useAmounts()
const texts = ref<Record<string, string>>({})
const { faults, attempt } = useForm()
const { show, long, exact } = useShownLengths()
const open = useOpen(wire)
const { data: how } = useQuery({
  queryKey: ['keepings', wire],
  queryFn: () => data(api.POST('/api/settings/wires/of', { body: wire.value! })),
  enabled: open,
})

watch([wire, how], () => {
  faults.value = []
  const kept = how.value?.keeping
  texts.value = {
    shortest_useful_mm: show(kept?.shortest_useful_mm || null),
    keep_mm: long(kept?.keep_mm),
    pack_mm: long(kept?.pack_mm),
    pack_price: kept?.pack_price ?? '',
    source: kept?.source ?? '',
  }
})

const keep = () =>
  attempt(async () => {
    if (!wire.value) return
    const asked = {
      shortest_useful_mm: 'of-wire',
      keep_mm: 'of-wire',
      pack_mm: 'of-wire',
      pack_price: 'money',
    } as const
    const { keep_mm, ...read } = exact(await readFields(texts.value, asked, wire.value), texts.value)
    const body: StockLevel = {
      wire: wire.value,
      keep_mm: keep_mm ?? 0,
      source: texts.value.source ?? '',
      ...read,
    }
    const { entry, undo } = await data(api.PUT('/api/settings/wires', { body }))
    wire.value = null
    await refresh()
    notice.did(t('keeping-dialog-saved-when-buy-again', { name: entry.name }), undo, refresh)
  })
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="t('keeping-dialog-when-buy-this-wire-again')"
    :name="t('stock-level-dialog-named')"
    :width="460"
    :does="t('keeping-dialog-save')"
    test="keep-keeping"
    @submit="keep"
  >
    <PaperField
      v-model="texts.keep_mm"
      name="keep_mm"
      :label="t('keeping-dialog-keep-at-least')"
      :hint="t('keeping-dialog-if-less-left-appears-on')"
      placeholder="5 m, 50 g"
      autofocus
      data-test="keep-length"
    />
    <PaperField
      v-model="texts.pack_mm"
      name="pack_mm"
      :label="t('keeping-dialog-sold-in-packs')"
      placeholder="10 m, 100 g"
      data-test="pack-length"
    />
    <PaperField
      v-model="texts.pack_price"
      name="pack_price"
      :label="currency ? t('keeping-dialog-price-pack', { currency }) : t('keeping-dialog-price-pack-2')"
      figures
    />
    <PaperField
      v-model="texts.shortest_useful_mm"
      name="shortest_useful_mm"
      :label="t('keeping-dialog-shortest-offcut-worth-keeping')"
      :hint="
        t('keeping-dialog-shorter-ends-go-scrap-if', {
          usualshortestmm: how ? across(how.usual_shortest_mm) : '',
        })
      "
    />
    <PaperField
      v-model="texts.source"
      name="source"
      :label="t('keeping-dialog-bought-from')"
      maxlength="120"
    />
  </PaperDialog>
</template>
