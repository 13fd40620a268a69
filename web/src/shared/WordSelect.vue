<script setup lang="ts" generic="T extends string | number | null">
/** A word of a sentence that is chosen from a list. */
defineProps<{
  choices: readonly { word: T; label: string }[]
}>()
const chosen = defineModel<T>()
</script>

<template>
  <select v-model="chosen" class="word">
    <option v-for="one in choices" :key="String(one.word)" :value="one.word">{{ one.label }}</option>
  </select>
</template>
