<script setup lang="ts">
/** What is wrong with a word of a sentence, under it. */
defineProps<{ faults: readonly string[] }>()
</script>

<template>
  <span v-for="sentence in faults" :key="sentence" class="stop why" role="alert">{{ sentence }}</span>
</template>

<style scoped>
.why {
  display: block;
  font-family: 'Alegreya Sans', sans-serif;
  font-size: 0.98rem;
  line-height: 1.2;
  max-width: 30ch;
}
</style>
