<script setup lang="ts">
import { computed } from 'vue'
import { useFormAround } from '../../shared/form'
import { t } from '../../text'

/** What is being done to a lot, under its head: its fields, what they lead to, what is wrong. */
defineProps<{
  /** What its button says. */
  does: string
  disabled?: boolean
  /** Its button's name in tests. */
  test: string
}>()
const emit = defineEmits<{ submit: []; close: [] }>()
defineSlots<{
  before?(): unknown
  default(): unknown
  after?(): unknown
}>()
const form = useFormAround()
const elsewhere = computed(() => form?.elsewhere.value ?? [])
</script>

<template>
  <form class="doing" novalidate @submit.prevent="emit('submit')">
    <slot name="before" />
    <div class="fields"><slot /></div>
    <slot name="after" />
    <v-btn type="submit" variant="flat" color="primary" :disabled="disabled" :data-test="test">{{
      does
    }}</v-btn>
    <v-btn @click="emit('close')">{{ t('lot-panel-cancel') }}</v-btn>
    <p v-for="fault in elsewhere" :key="fault.message" class="stop" role="alert" data-test="lot-fault">
      {{ fault.message }}
    </p>
  </form>
</template>

<style scoped>
.doing {
  border-left: 3px solid rgb(var(--v-theme-primary));
  padding: 2px 0 6px 16px;
  margin: 6px 0 14px;
}

.doing :deep(p) {
  margin: 4px 0;
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 0 16px;
  align-items: center;
  margin-bottom: 10px;
}
</style>
