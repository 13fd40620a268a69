<script setup lang="ts">
import { t } from '../text'
import QuestionFrame from '../shared/QuestionFrame.vue'

/** Is it right? Why not, and what now? What do I change? How steady am I? */
const questions = [
  { path: '/measure', name: t('check-frame-measurements') },
  { path: '/measure/fix', name: t('check-frame-fix-problem') },
  { path: '/measure/springback', name: t('check-frame-springback') },
  { path: '/measure/jaws', name: t('check-frame-jaw-marks') },
  { path: '/measure/consistency', name: t('check-frame-consistency') },
  { path: '/measure/practice', name: t('check-frame-practice') },
] as const
</script>

<template>
  <QuestionFrame :stage="t('check-frame-named')" :questions="questions" />
</template>
