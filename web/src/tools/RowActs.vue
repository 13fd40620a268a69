<script setup lang="ts">
import { t } from '../text'
/** What can be done with a tool in a list: changed, or taken out of the drawer. */
defineProps<{
  /** What it is called. */
  of: string
  /** What the buttons are called in tests: `edit-rod`, `remove-rod`. */
  noun: string
}>()
const emit = defineEmits<{ edit: []; remove: [] }>()
</script>

<template>
  <td class="right acts">
    <v-btn
      size="small"
      :aria-label="t('row-acts-edit-it', { of })"
      :data-test="`edit-${noun}`"
      @click="emit('edit')"
      >{{ t('row-acts-edit') }}</v-btn
    >
    <v-btn
      size="small"
      :aria-label="t('row-acts-remove-it', { of })"
      :data-test="`remove-${noun}`"
      @click="emit('remove')"
    >
      {{ t('row-acts-remove') }}
    </v-btn>
  </td>
</template>

<style scoped>
.acts {
  white-space: nowrap;
}
</style>
