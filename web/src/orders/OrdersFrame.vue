<script setup lang="ts">
import QuestionFrame from '../shared/QuestionFrame.vue'

/** From what is wanted to what lies in bags. */
const questions = [
  { path: '/orders', name: 'Orders' },
  { path: '/orders/schedule', name: 'Schedule' },
  { path: '/orders/stock', name: 'Finished stock' },
] as const
</script>

<template>
  <QuestionFrame stage="Orders" :questions="questions" />
</template>
