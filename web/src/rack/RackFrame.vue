<script setup lang="ts">
import { t } from '../text'
import QuestionFrame from '../shared/QuestionFrame.vue'

/** The questions asked before cutting, in the order they come up. */
const questions = [
  { path: '/wire', name: t('rack-frame-stock') },
  { path: '/wire/choose', name: t('rack-frame-choose-wire') },
  { path: '/wire/cutting-plan', name: t('rack-frame-cutting-plan') },
  { path: '/wire/cost', name: t('rack-frame-cost') },
] as const
</script>

<template>
  <QuestionFrame :stage="t('rack-frame-named')" :questions="questions" />
</template>
