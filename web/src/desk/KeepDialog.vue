<script setup lang="ts" generic="R extends object">
import { t } from '../text'
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { api, data, currentOf } from '../api/client'
import { useForm } from '../shared/form'
import { useNotice } from '../shared/notice'
import type { Desk, ShelfRecord } from './types'
import BothVersions from '../shared/BothVersions.vue'
import PaperDialog from '../shared/PaperDialog.vue'
import PaperField from '../shared/PaperField.vue'

const props = defineProps<{
  desk: Desk<R>
  /** What is kept: `plan`, `pattern`. */
  noun: string
  /** What happens once it is saved, as its button says it. */
  then?: string
}>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ kept: []; undone: [] }>()
const notice = useNotice()
const name = ref('')
const note = ref('')
const { faults, take } = useForm()
/** What stands on the shelf instead, where somebody else changed it first. */
const current = shallowRef<(ShelfRecord<R> & { description: string; updated_at: string }) | null>(null)
const busy = ref(false)

const naming = refDebounced(name, 200)
/** What else is kept under this name. */
const { data: namesakes } = useQuery({
  queryKey: ['kept', 'named', naming, () => props.desk.kept?.id],
  queryFn: () => {
    const query = { name: naming.value, but: props.desk.kept?.id }
    return data(api.GET('/api/saved/named', { params: { query } }))
  },
  enabled: () => open.value && !!naming.value.trim(),
})
const alike = computed(() => (naming.value.trim() ? namesakes.value?.[0] : undefined))

watch(open, (now) => {
  if (!now) return
  name.value = props.desk.kept?.name ?? ''
  note.value = props.desk.kept?.note ?? ''
  faults.value = []
  current.value = null
})

/** Yours goes over what stands there; that stays among its revisions. */
async function keepMine() {
  props.desk.updateKept(current.value!)
  await keep(false)
}

async function openTheirs() {
  await props.desk.openKept(current.value!)
  open.value = false
}

async function keep(asNew: boolean) {
  busy.value = true
  faults.value = []
  try {
    const undo = await props.desk.keep(name.value, note.value, asNew)
    open.value = false
    emit('kept')
    if (undo !== null && !props.then)
      notice.did(t('keep-dialog-saved-as', { name: name.value }), undo, () => emit('undone'))
  } catch (thrown) {
    current.value = currentOf(thrown) as typeof current.value
    if (!current.value) take(thrown)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="t('keep-dialog-save-this', { noun })"
    :width="520"
    :does="then ?? (desk.kept ? t('keep-dialog-save-changes') : t('desk-tools-save'))"
    test="keep-confirm"
    :busy="busy"
    @submit="keep(!desk.kept)"
  >
    <p class="serif quiet">{{ desk.sheet?.text }}</p>
    <PaperField
      v-model="name"
      name="name"
      :label="t('keep-dialog-name')"
      autofocus
      maxlength="80"
      data-test="plan-name"
    />
    <p v-if="alike" class="watch" role="status" data-test="alike">
      {{ t('keep-dialog-saved-already-two-with-one', { name: alike.name, sentence: alike.description }) }}
    </p>
    <PaperField v-model="note" name="note" :label="t('keep-dialog-note')" lines data-test="plan-note" />
    <BothVersions
      v-if="current"
      :yours="desk.sheet?.text ?? ''"
      :theirs="current.description"
      :at="current.updated_at"
      @mine="keepMine"
      @theirs="openTheirs"
    >
      <p class="quiet">
        “{{ current.record.name }}”{{ current.record.note ? `: ${current.record.note}` : '' }}
      </p>
    </BothVersions>
    <template #acts>
      <v-btn v-if="desk.kept" :disabled="busy" data-test="keep-as-new" @click="keep(true)">
        {{ t('keep-dialog-save-as-new', { noun }) }}
      </v-btn>
    </template>
  </PaperDialog>
</template>
