<script setup lang="ts">
import { t } from '../text'
import { useRoute } from 'vue-router'
import { isWithin, plans } from './router'

const route = useRoute()
</script>

<template>
  <nav class="plans no-print" :aria-label="t('plan-tabs-plan')">
    <router-link
      v-for="one in plans"
      :key="one.path"
      :to="one.path"
      :aria-current="isWithin(route.path, [one.path]) ? 'page' : undefined"
      >{{ one.name }}</router-link
    >
  </nav>
</template>

<style scoped>
.plans {
  display: flex;
  flex-wrap: wrap;
  gap: 0 26px;
  padding: 4px var(--gutter) 0;
}

.plans a {
  padding: 4px 2px;
  border-bottom: 2px solid transparent;
  color: rgb(var(--v-theme-quiet));
  text-decoration: none;
}

.plans a:hover {
  color: rgb(var(--v-theme-on-background));
}

.plans a[aria-current='page'] {
  border-color: rgb(var(--v-theme-primary));
  color: rgb(var(--v-theme-on-background));
  font-weight: 700;
}
</style>
