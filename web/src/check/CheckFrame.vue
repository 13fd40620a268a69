<script setup lang="ts">
import QuestionFrame from '../shared/QuestionFrame.vue'

/** From what is measured to what is learned of it. */
const questions = [
  { path: '/check', name: 'What is measured' },
  { path: '/check/lots', name: 'How lots spring' },
  { path: '/check/practice', name: 'Practice' },
  { path: '/check/hand', name: 'How even my hand is' },
  { path: '/check/jaws', name: 'Jaw marks' },
  { path: '/check/rescue', name: 'Something went wrong' },
] as const
</script>

<template>
  <QuestionFrame stage="Check" :questions="questions" />
</template>
