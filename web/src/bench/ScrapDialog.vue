<script setup lang="ts">
import { t } from '../text'
import { ref, watch } from 'vue'
import PaperDialog from '../shared/PaperDialog.vue'
import PaperField from '../shared/PaperField.vue'

/** Why a piece is scrapped: it goes to scrap with that. */
defineProps<{
  step: string
  /** Where to see what it can still become, where it can. */
  rescue?: string | undefined
}>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ scrapped: [reason: string] }>()
const reason = ref('')
watch(open, () => (reason.value = ''))

function scrap() {
  emit('scrapped', reason.value.trim())
  open.value = false
}
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="t('scrap-dialog-scrap-one')"
    :width="480"
    :does="t('scrap-dialog-scrap')"
    test="to-scrap"
    @submit="scrap"
  >
    <p class="quiet">
      {{ t('scrap-dialog-one-piece-leaves-batch-at', { step }) }}
    </p>
    <p v-if="rescue">
      <router-link :to="rescue" data-test="to-rescue">{{
        t('scrap-dialog-see-if-can-be-rescued')
      }}</router-link>
    </p>
    <PaperField
      v-model="reason"
      :label="t('scrap-dialog-reason-optional')"
      name="reason"
      autofocus
      data-test="reason"
    />
  </PaperDialog>
</template>
