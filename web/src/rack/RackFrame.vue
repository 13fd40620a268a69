<script setup lang="ts">
import QuestionFrame from '../shared/QuestionFrame.vue'

/** The questions asked before cutting, in the order they come up. */
const questions = [
  { path: '/rack', name: 'What is there' },
  { path: '/rack/choose', name: 'Which wire' },
  { path: '/rack/cut', name: 'What to cut from' },
  { path: '/rack/cost', name: 'What it costs' },
] as const
</script>

<template>
  <QuestionFrame stage="The rack" :questions="questions" />
</template>
