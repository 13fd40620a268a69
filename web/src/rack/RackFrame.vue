<script setup lang="ts">
import { useRoute } from 'vue-router'

/** The questions asked before cutting, in the order they come up. */
const route = useRoute()
const questions = [
  { path: '/rack', name: 'What is there' },
  { path: '/rack/choose', name: 'Which wire' },
  { path: '/rack/cut', name: 'What to cut from' },
  { path: '/rack/cost', name: 'What it costs' },
]
</script>

<template>
  <div class="page rack">
    <h1 class="visually-hidden">
      {{ questions.find((one) => one.path === route.path)?.name ?? 'The rack' }}
    </h1>
    <nav class="questions no-print" aria-label="The rack">
      <router-link
        v-for="one in questions"
        :key="one.path"
        :to="one.path"
        class="serif"
        :aria-current="route.path === one.path ? 'page' : undefined"
        >{{ one.name }}</router-link
      >
    </nav>
    <router-view />
  </div>
</template>

<style scoped>
.rack {
  padding-top: 14px;
}

.questions {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 30px;
  margin-bottom: 18px;
}

.questions a {
  font-size: 1.35rem;
  color: rgb(var(--v-theme-quiet));
  text-decoration: none;
  padding: 6px 0;
}

.questions a:hover {
  text-decoration: underline;
  text-underline-offset: 5px;
}

.questions a[aria-current='page'] {
  color: rgb(var(--v-theme-on-background));
  font-size: 1.9rem;
  line-height: 1.2;
}

.questions {
  align-items: baseline;
}
</style>
