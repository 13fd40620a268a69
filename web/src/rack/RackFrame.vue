<script setup lang="ts">
import QuestionFrame from '../shared/QuestionFrame.vue'

/** The questions asked before cutting, in the order they come up. */
const questions = [
  { path: '/rack', name: 'Stock' },
  { path: '/rack/choose', name: 'Choose wire' },
  { path: '/rack/cut', name: 'Cutting plan' },
  { path: '/rack/cost', name: 'Cost' },
] as const
</script>

<template>
  <QuestionFrame stage="Wire" :questions="questions" />
</template>
