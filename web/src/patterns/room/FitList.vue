<script setup lang="ts">
import { t } from '../../text'
import type { Fit } from '../../api/client'

/** How two pieces go together, opening by opening. */
defineProps<{ fits: Fit[] }>()
</script>

<template>
  <ul class="fits" data-test="fits">
    <li v-for="fit in fits" :key="fit.text" :class="{ watch: !fit.ok }">
      <b>{{ fit.ok ? t('fit-list-fits') : t('fit-list-doesnt-fit') }}</b> {{ fit.text }}
    </li>
    <li v-if="!fits.length">{{ t('fit-list-neither-two-has-opening-other') }}</li>
  </ul>
</template>

<style scoped>
.fits {
  margin: 2px 0 10px;
  padding-left: 28px;
}
</style>
