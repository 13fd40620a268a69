<script setup lang="ts">
import QuestionFrame from '../shared/QuestionFrame.vue'

/** From what is wanted to what lies in bags. */
const questions = [
  { path: '/orders', name: 'Orders' },
  { path: '/orders/sittings', name: 'Schedule' },
  { path: '/orders/shelf', name: 'Finished stock' },
] as const
</script>

<template>
  <QuestionFrame stage="Orders" :questions="questions" />
</template>
