<script setup lang="ts">
import QuestionFrame from '../shared/QuestionFrame.vue'

/** From what is measured to what is learned of it. */
const questions = [
  { path: '/check', name: 'Measurements' },
  { path: '/check/lots', name: 'Springback' },
  { path: '/check/practice', name: 'Practice' },
  { path: '/check/hand', name: 'Consistency' },
  { path: '/check/jaws', name: 'Jaw marks' },
  { path: '/check/rescue', name: 'Fix a problem' },
] as const
</script>

<template>
  <QuestionFrame stage="Measure" :questions="questions" />
</template>
