<script setup lang="ts">
import { t } from '../../text'
import { ref, watch } from 'vue'
import { api, data, type Transferred, type Wire } from '../../api/client'
import { usePattern } from '../pattern'
import { readFields, useForm, useShownLengths } from '../../shared/form'
import { useWords } from '../../shared/words'
import PaperChoice from '../../shared/PaperChoice.vue'
import PaperDialog from '../../shared/PaperDialog.vue'
import PaperField from '../../shared/PaperField.vue'

/** The same piece in another wire: proportions kept, blank worked out anew, differences listed. */
const open = defineModel<boolean>({ required: true })
const pattern = usePattern()
const words = useWords()
const metal = ref<Wire['metal']>('copper')
const temper = ref<Wire['temper']>('soft')
const size = ref('')
const found = ref<Transferred | null>(null)
const { attempt } = useForm()
const { show, exact } = useShownLengths()

async function work() {
  const request = pattern.draft
  if (!request) return
  const done = await attempt(async () => {
    const typed = { size: size.value }
    const read = exact(await readFields(typed, { size: ['length', 'needed'] }), typed)
    const wire: Wire = { ...request.wire, metal: metal.value, temper: temper.value, size_mm: read.size }
    found.value = await data(api.POST('/api/findings/transfer', { body: { request, wire } }))
  })
  if (!done) found.value = null
}

watch(open, (now) => {
  const wire = pattern.draft?.wire
  if (!now || !wire) return
  // Practise in copper, of the same size.
  metal.value = wire.metal === 'copper' ? 'sterling-silver' : 'copper'
  temper.value = wire.temper ?? 'soft'
  size.value = show(wire.size_mm)
  void work()
})

async function use() {
  if (!found.value) return
  await pattern.set(found.value.request)
  open.value = false
}
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="t('wire-dialog-in-another-wire')"
    :width="540"
    :does="t('wire-dialog-use-this-wire')"
    test="use-wire"
    :disabled="!found"
    @submit="use"
  >
    <p class="quiet">
      {{ t('wire-dialog-practise-in-copper-then-cut') }}
    </p>
    <div class="row">
      <PaperChoice
        v-model="metal"
        :label="t('wire-dialog-metal')"
        :choices="words?.metals ?? []"
        data-test="wire-metal"
        @update:model-value="work"
      />
      <PaperChoice
        v-model="temper"
        :label="t('wire-dialog-temper')"
        :choices="words?.tempers ?? []"
        @update:model-value="work"
      />
      <PaperField
        v-model="size"
        name="size"
        :also="['wire.size_mm']"
        :label="t('wire-dialog-size')"
        data-test="wire-size"
        @update:model-value="work"
      />
    </div>
    <ul v-if="found" class="differences" data-test="differences">
      <li v-for="line in found.differences" :key="line">{{ line }}</li>
    </ul>
  </PaperDialog>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 0 14px;
}

.differences {
  margin: 14px 0 0;
  padding-left: 18px;
}

@media (max-width: 520px) {
  .row {
    grid-template-columns: 1fr;
  }
}
</style>
