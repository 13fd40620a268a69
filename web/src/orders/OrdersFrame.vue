<script setup lang="ts">
import { t } from '../text'
import QuestionFrame from '../shared/QuestionFrame.vue'

/** From what is wanted to what lies in bags. */
const questions = [
  { path: '/orders', name: t('orders-frame-orders') },
  { path: '/orders/schedule', name: t('orders-frame-schedule') },
  { path: '/orders/stock', name: t('orders-frame-finished-stock') },
] as const
</script>

<template>
  <QuestionFrame :stage="t('orders-frame-named')" :questions="questions" />
</template>
