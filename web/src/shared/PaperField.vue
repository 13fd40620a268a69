<script setup lang="ts">
import { computed } from 'vue'
import { useFieldFaults } from './form'

/** The one field that is typed into: what is wrong with it stands under it. */
const props = defineProps<{
  /** What its faults call it. */
  name?: string
  /** What else they may call it. */
  also?: readonly string[]
  /** A number is typed: a telephone shows its figures. */
  figures?: boolean
  /** Whether it grows with what is typed. */
  lines?: boolean
  /** What is wrong with it, where no form says so. */
  wrong?: string | readonly string[]
}>()
const text = defineModel<string | null>()

const found = useFieldFaults([...(props.name ? [props.name] : []), ...(props.also ?? [])])
const faults = computed(() => [...found.value, ...[props.wrong ?? []].flat().filter(Boolean)])
</script>

<template>
  <v-textarea v-if="lines" v-model="text" rows="2" auto-grow :error-messages="faults" />
  <v-text-field
    v-else
    v-model="text"
    autocomplete="off"
    persistent-hint
    :inputmode="figures ? 'decimal' : undefined"
    :error-messages="faults"
  >
    <template v-if="$slots['append-inner']" #append-inner><slot name="append-inner" /></template>
  </v-text-field>
</template>
