<script setup lang="ts" generic="T extends string">
/** One of a few, all of them in sight. */
defineProps<{
  label?: string
  choices: readonly { value: T; title: string }[]
}>()
const chosen = defineModel<T | null>()
</script>

<template>
  <v-radio-group v-model="chosen" :label="label" inline>
    <v-radio
      v-for="choice in choices"
      :key="choice.value"
      :label="choice.title"
      :value="choice.value"
      :data-choice="choice.value"
    />
  </v-radio-group>
</template>
