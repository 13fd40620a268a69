<script setup lang="ts">
import { vOneStop } from './oneStop'

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
    <div v-one-stop="'.menu-line'" class="popover"><slot /></div>
  </v-menu>
</template>
