<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { api, data, type Stocked, type Weighed } from '../../api/client'
import PaperField from '../../shared/PaperField.vue'
import { useAmounts } from '../../shared/amounts'
import { readFields, useForm } from '../../shared/form'
import { useNotice } from '../../shared/notice'
import { t } from '../../text'
import DoingForm from './DoingForm.vue'

/** A lot is put on the scale, and what it weighs says what is left of it. */
const { lot } = defineProps<{ lot: Stocked }>()
const emit = defineEmits<{ done: [sentence: string, undo: number]; close: [] }>()
const notice = useNotice()
const { grams } = useAmounts()
const { attempt } = useForm()
const path = computed(() => ({ path: { id: lot.id } }))

const weight = ref('')
const tare = ref('')
const weighed = ref<Weighed | null>(null)
const simulated = ref(true)
/** The weight behind which Enter was pressed last. */
let entered = ''

const readScale = (lay: boolean) =>
  attempt(async () => {
    if (lay) await data(api.POST('/api/scale/pan', { body: { lot: lot.id } }))
    const reading = await data(api.GET('/api/scale'))
    simulated.value = reading.simulated
    weight.value = reading.line.replace(/\s+/g, ' ')
    await look()
  })

/** A spool whose empty weight nobody has said yet: all of it would be taken for wire. */
const wantsTare = computed(() => lot.record.kind === 'spool' && (lot.record.tare_g ?? null) === null)
async function onTheScale() {
  const { tare_g } = await readFields({ tare_g: wantsTare.value ? tare.value : '' }, { tare_g: 'mass' })
  return { typed: weight.value, tare_g }
}

/** What was typed when it was last looked at: looked at again, what is shown stays, so that a press can book it. */
let looked = ''
const look = () =>
  attempt(async () => {
    const typed = `${weight.value}|${tare.value}`
    if (looked !== typed) weighed.value = null
    looked = typed
    if (!weight.value.trim()) return
    const body = await onTheScale()
    const found = (await data(api.POST('/api/lots/{id}/weigh', { params: path.value, body }))).weighed
    // Typed on meanwhile: a later look is on its way.
    if (body.typed === weight.value) weighed.value = found
  })
/** What is typed is looked at at once, so that it is the shown that the first press books. */
const lookSoon = useDebounceFn(look, 220)
function typedOn() {
  weighed.value = null
  void lookSoon()
}

/** A scale that acts as a keyboard ends its line with Enter: the first Enter behind a weight only looks. */
function onEnter() {
  if (entered === weight.value && weighed.value && !weighed.value.doubt) return bookWeight()
  entered = weight.value
  return look()
}

const bookWeight = () =>
  attempt(async () => {
    if (!weighed.value) return look()
    // A doubt that stands there was read by whoever presses.
    const body = { ...(await onTheScale()), book: true, sure: !!weighed.value.doubt }
    const { undo } = await data(api.POST('/api/lots/{id}/weigh', { params: path.value, body }))
    if (undo) return emit('done', t('lot-panel-stock-corrected-scale'), undo)
    emit('close')
    notice.say(t('lot-panel-stock-already-agrees-with-scale'))
  })
</script>

<template>
  <DoingForm
    :does="weighed?.doubt ? t('lot-panel-right-correct-stock') : t('lot-panel-correct-stock')"
    :disabled="!weight"
    test="book-weight"
    @submit="bookWeight"
    @close="emit('close')"
  >
    <template #before>
      <p class="quiet">
        {{
          lot.record.tare_g
            ? t('lot-panel-put-on-scale-with-its-spool', { tareg: grams(lot.record.tare_g) })
            : t('lot-panel-put-on-scale')
        }}<template v-if="simulated">{{ t('lot-panel-this-simulated-scale-that-comes') }}</template>
      </p>
    </template>
    <PaperField
      v-model="weight"
      name="typed"
      :label="t('lot-panel-weight-with-spool')"
      placeholder="182.31 g"
      autofocus
      data-test="weight"
      @update:model-value="typedOn"
      @keydown.enter.prevent="onEnter"
    />
    <PaperField
      v-if="wantsTare"
      v-model="tare"
      name="tare_g"
      :label="t('lot-panel-empty-spool-g')"
      :hint="t('lot-panel-0-if-wire-weighed-without')"
      figures
      data-test="weigh-tare"
      @update:model-value="typedOn"
    />
    <v-btn data-test="read-scale" @click="readScale(simulated)">
      {{ simulated ? t('lot-panel-put-on-read') : t('lot-panel-read-scale') }}
    </v-btn>
    <template #after>
      <p v-if="weighed" data-test="weighed">{{ weighed.text }}</p>
      <p v-if="weighed?.doubt" class="watch" role="alert" data-test="doubt">{{ weighed.doubt }}</p>
    </template>
  </DoingForm>
</template>
