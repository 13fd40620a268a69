<script setup lang="ts" generic="T extends string">
import WordFaults from './WordFaults.vue'
import { useFieldFaults } from './form'

/** A word of a sentence that is chosen, from words as the server lists them; what is wrong with it stands under it. */
const props = defineProps<{
  /** What its faults call it. */
  name: string
  /** What it is called for those who cannot see the sentence. */
  label: string
  /** What stands there while nothing is chosen. */
  placeholder?: string
  choices: readonly { word: string; label: string }[]
}>()
const chosen = defineModel<T | null>()

const faults = useFieldFaults([props.name])
</script>

<template>
  <span class="sentence-word">
    <select
      v-model="chosen"
      class="word"
      :class="{ wrong: faults.length }"
      :aria-label="label"
      :aria-invalid="faults.length > 0"
    >
      <option v-if="placeholder" :value="null" disabled>{{ placeholder }}</option>
      <option v-for="one in choices" :key="one.word" :value="one.word">{{ one.label }}</option>
    </select>
    <WordFaults :faults="faults" />
  </span>
</template>
