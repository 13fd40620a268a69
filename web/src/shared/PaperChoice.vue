<script setup lang="ts" generic="T extends string">
import { useFieldFaults } from './form'

/** The one field that is chosen in, from words as the server lists them. */
const props = defineProps<{
  /** What its faults call it. */
  name?: string
  choices: readonly { word: string; label: string }[]
}>()
const chosen = defineModel<T | null>()

const faults = useFieldFaults(props.name ? [props.name] : [])
</script>

<template>
  <v-select
    v-model="chosen"
    :items="choices.map((one) => ({ value: one.word, title: one.label }))"
    :error-messages="faults"
  />
</template>
