<script setup lang="ts">
/** Light on round metal: dark edges, a bright band near the top. */
defineProps<{ id: string }>()
</script>

<template>
  <linearGradient :id="id" x1="0" y1="0" x2="0" y2="1">
    <stop offset="0" class="deep" />
    <stop offset="0.26" class="bright" />
    <stop offset="0.55" class="body" />
    <stop offset="1" class="deep" />
  </linearGradient>
</template>

<style scoped>
.deep {
  stop-color: color-mix(in oklab, var(--metal) 62%, black);
}

.bright {
  stop-color: color-mix(in oklab, var(--metal) 58%, white);
}

.body {
  stop-color: var(--metal);
}
</style>
