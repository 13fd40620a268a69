<script setup lang="ts">
import QuestionFrame from '../shared/QuestionFrame.vue'

/** The questions asked before cutting, in the order they come up. */
const questions = [
  { path: '/wire', name: 'Stock' },
  { path: '/wire/choose', name: 'Choose wire' },
  { path: '/wire/cutting-plan', name: 'Cutting plan' },
  { path: '/wire/cost', name: 'Cost' },
] as const
</script>

<template>
  <QuestionFrame stage="Wire" :questions="questions" />
</template>
