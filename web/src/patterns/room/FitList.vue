<script setup lang="ts">
import type { Fit } from '../../api/client'

/** How two pieces go together, opening by opening. */
defineProps<{ fits: Fit[] }>()
</script>

<template>
  <ul class="fits" data-test="fits">
    <li v-for="fit in fits" :key="fit.sentence" :class="{ watch: !fit.ok }">
      <b>{{ fit.ok ? 'Fits.' : 'Doesn’t fit.' }}</b> {{ fit.sentence }}
    </li>
    <li v-if="!fits.length">Neither of the two has an opening the other could go into.</li>
  </ul>
</template>

<style scoped>
.fits {
  margin: 2px 0 10px;
  padding-left: 28px;
}
</style>
