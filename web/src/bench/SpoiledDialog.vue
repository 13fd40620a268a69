<script setup lang="ts">
import { ref, watch } from 'vue'
import PaperDialog from '../shared/PaperDialog.vue'
import PaperField from '../shared/PaperField.vue'

/** Why a piece is spoiled: it goes to scrap with that. */
defineProps<{
  step: string
  /** Where to see what it can still become, where it can. */
  rescue?: string | undefined
}>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ spoiled: [reason: string] }>()
const reason = ref('')
watch(open, () => (reason.value = ''))

function spoil() {
  emit('spoiled', reason.value.trim())
  open.value = false
}
</script>

<template>
  <PaperDialog v-model="open" title="Scrap one" :width="480" does="Scrap it" test="to-scrap" @submit="spoil">
    <p class="quiet">
      One piece leaves the batch at “{{ step }}”, and its wire goes to the scrap of its metal.
    </p>
    <p v-if="rescue">
      <router-link :to="rescue" data-test="to-rescue">See if it can be rescued first</router-link>
    </p>
    <PaperField v-model="reason" label="Reason (optional)" name="reason" autofocus data-test="reason" />
  </PaperDialog>
</template>
