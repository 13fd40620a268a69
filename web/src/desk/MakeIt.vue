<script setup lang="ts" generic="R extends object">
import { t } from '../text'
import { ref } from 'vue'
import { useMakeNext } from '../shared/makeNext'
import { useNotice } from '../shared/notice'
import type { Desk } from './types'
import KeepDialog from './KeepDialog.vue'

/** Starts a batch of what is on the desk, or puts it on an order; what is not saved yet is saved first. */
const { desk, noun, count } = defineProps<{
  desk: Desk<R>
  noun: string
  /** How many of it. */
  count: number
}>()
const emit = defineEmits<{ kept: [] }>()
const notice = useNotice()
const { startBatch, order } = useMakeNext()
const keeping = ref(false)
const next = ref<'batch' | 'order'>('batch')
/** However often it is pressed, it is begun once. */
const busy = ref(false)

async function go() {
  const entry = desk.kept?.id
  if (entry === undefined || busy.value) return
  busy.value = true
  try {
    await (next.value === 'batch' ? startBatch(entry, count) : order(entry, count))
  } catch (thrown) {
    notice.fail(thrown)
  } finally {
    busy.value = false
  }
}

async function press(what: 'batch' | 'order') {
  next.value = what
  if (desk.kept && !desk.changed) await go()
  else keeping.value = true
}

async function kept() {
  emit('kept')
  await go()
}
</script>

<template>
  <v-btn variant="outlined" :disabled="!desk.sound || busy" data-test="make-batch" @click="press('batch')">{{
    t('make-it-start-batch')
  }}</v-btn>
  <v-btn variant="text" :disabled="!desk.sound || busy" data-test="make-order" @click="press('order')">{{
    t('make-it-add-order')
  }}</v-btn>
  <KeepDialog
    v-model="keeping"
    :desk="desk"
    :noun="noun"
    :then="next === 'batch' ? t('make-it-save-start-batch') : t('make-it-save-add-order')"
    @kept="kept"
  />
</template>
