<script setup lang="ts">
import { t } from '../text'
import QuestionFrame from '../shared/QuestionFrame.vue'

/** From what is measured to what is learned of it. */
const questions = [
  { path: '/measure', name: t('check-frame-measurements') },
  { path: '/measure/springback', name: t('check-frame-springback') },
  { path: '/measure/practice', name: t('check-frame-practice') },
  { path: '/measure/consistency', name: t('check-frame-consistency') },
  { path: '/measure/jaws', name: t('check-frame-jaw-marks') },
  { path: '/measure/fix', name: t('check-frame-fix-problem') },
] as const
</script>

<template>
  <QuestionFrame :stage="t('check-frame-named')" :questions="questions" />
</template>
