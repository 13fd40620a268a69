<script setup lang="ts">
import QuestionFrame from '../shared/QuestionFrame.vue'

/** From what is measured to what is learned of it. */
const questions = [
  { path: '/measure', name: 'Measurements' },
  { path: '/measure/springback', name: 'Springback' },
  { path: '/measure/practice', name: 'Practice' },
  { path: '/measure/consistency', name: 'Consistency' },
  { path: '/measure/jaws', name: 'Jaw marks' },
  { path: '/measure/fix', name: 'Fix a problem' },
] as const
</script>

<template>
  <QuestionFrame stage="Measure" :questions="questions" />
</template>
