<script setup lang="ts">
import { t } from '../../text'
import { computed, ref, watch } from 'vue'
import { api, data, faultsOf, type Target } from '../../api/client'
import { useNotice } from '../../shared/notice'
import { usePattern } from '../pattern'
import { readFields, refused, useForm } from '../../shared/form'
import PaperDialog from '../../shared/PaperDialog.vue'
import PaperField from '../../shared/PaperField.vue'
import { useAmounts } from '../../shared/amounts'

/** The free dimensions are solved for a finished size, or follow from the cut and the pliers in hand. */
const open = defineModel<boolean>({ required: true })
const pattern = usePattern()
const { across } = useAmounts()
const now = (mm: number | undefined) => t('fit-dialog-now', { mm: across(mm ?? 0) })
const groups = computed(() => [
  {
    legend: t('fit-dialog-size'),
    fields: [
      { key: 'height', label: t('fit-dialog-height-over-wire'), hint: now(pattern.worked?.form.height_mm) },
      { key: 'width', label: t('fit-dialog-width-over-wire'), hint: now(pattern.worked?.form.width_mm) },
    ],
  },
  {
    legend: t('fit-dialog-from-what-you-have'),
    fields: [
      { key: 'cut_mm', label: t('fit-dialog-cut-length-flush-flush'), hint: t('fit-dialog-2-in-50-mm') },
      { key: 'plier', label: t('fit-dialog-pliers'), hint: t('fit-dialog-name-under-tools-or-two') },
      { key: 'jaw_mm', label: t('fit-dialog-jaw-mark-from-tip'), hint: t('fit-dialog-for-tapered-jaws') },
    ],
  },
])
const texts = ref<Record<string, string>>({})
const notice = useNotice()
const { faults, attempt } = useForm()
const busy = ref(false)

watch(open, (now) => {
  if (now) [texts.value, faults.value] = [{}, []]
})

async function fit() {
  busy.value = true
  await attempt(async () => {
    if (!pattern.draft) return
    const lengths = { height: 'length', width: 'length', cut_mm: 'length', jaw_mm: 'length' } as const
    const read = await readFields(texts.value, lengths)
    const targets: Target[] = (['height', 'width'] as const).flatMap((measure) => {
      const mm = read[measure]
      return mm === undefined ? [] : [{ measure, mm }]
    })
    const tools = {
      plier: texts.value.plier?.trim() || null,
      cut_mm: read.cut_mm ?? null,
      jaw_mm: read.jaw_mm ?? null,
    }
    let request = pattern.draft
    const changes: string[] = []
    if (Object.values(tools).some((one) => one !== null)) {
      const made = await data(api.POST('/api/findings/from-tools', { body: { request, tools } })).catch(
        (thrown) => {
          throw refused(
            faultsOf(thrown).map((fault) => ({ ...fault, field: fault.field.replace('tools.', '') })),
          )
        },
      )
      request = made.request
      changes.push(...made.changes)
    }
    if (targets.length || !changes.length) {
      const made = await data(api.POST('/api/findings/fit', { body: { request, targets } })).catch(
        (thrown) => {
          // A fault of a target belongs to the field it was typed in.
          const field = (path: string) =>
            targets[Number(/targets\[(\d+)\]/.exec(path)?.[1] ?? -1)]?.measure ?? path
          throw refused(faultsOf(thrown).map((fault) => ({ ...fault, field: field(fault.field) })))
        },
      )
      request = made.request
      changes.push(...made.changes)
    }
    await pattern.set(request)
    open.value = false
    notice.say(
      changes.length
        ? t('fit-dialog-done', { changes: changes.join('; ') })
        : t('fit-dialog-that-size-already-nothing-changed'),
      async () => pattern.undo(),
    )
  })
  busy.value = false
}
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="t('fit-dialog-fit')"
    :does="t('fit-dialog-fit')"
    test="fit"
    :busy="busy"
    @submit="fit"
  >
    <p class="quiet">
      {{ t('fit-dialog-enter-size-you-want-free') }}
    </p>
    <fieldset v-for="group in groups" :key="group.legend">
      <legend>{{ group.legend }}</legend>
      <PaperField
        v-for="{ key, label, hint } in group.fields"
        :key="key"
        v-model="texts[key]"
        :name="key"
        :label="label"
        :placeholder="hint"
        persistent-placeholder
        :data-test="`fit-${key}`"
      />
    </fieldset>
  </PaperDialog>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0.6rem 0 0;
}

legend {
  font-weight: 600;
  padding: 0 0 0.3rem;
}
</style>
