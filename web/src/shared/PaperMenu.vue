<script setup lang="ts">
import { walkLines } from './walk'

/** The one menu that opens below a button: what can be done, line by line. */
defineProps<{
  /** What the button says. */
  says: string
  disabled?: boolean
  /** Its name in tests. */
  test: string
}>()
</script>

<template>
  <v-menu location="bottom start" :offset="6">
    <template #activator="{ props: activator }">
      <v-btn v-bind="activator" :disabled="disabled" :data-test="test">{{ says }}</v-btn>
    </template>
    <div class="popover" @keydown="walkLines"><slot /></div>
  </v-menu>
</template>
