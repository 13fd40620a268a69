<script setup lang="ts">
import QuestionFrame from '../shared/QuestionFrame.vue'

/** From what is wanted to what lies in bags. */
const questions = [
  { path: '/orders', name: 'What is ordered' },
  { path: '/orders/sittings', name: 'When it is made' },
  { path: '/orders/shelf', name: 'What lies in bags' },
] as const
</script>

<template>
  <QuestionFrame stage="Orders" :questions="questions" />
</template>
