<script setup lang="ts">
/** The foot of a planning view, where the strip lies. */
defineProps<{ label: string; title: string }>()
</script>

<template>
  <section class="strip" :aria-label="label">
    <div class="head">
      <b>{{ title }}</b>
      <slot name="sum" />
    </div>
    <slot />
  </section>
</template>

<style scoped>
.strip {
  background: rgb(var(--v-theme-surface));
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding: 7px var(--gutter) 2px;
}

.head {
  display: flex;
  justify-content: space-between;
  gap: 18px;
}
</style>
