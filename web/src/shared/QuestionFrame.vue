<script setup lang="ts">
import { useRoute } from 'vue-router'

/** A stage of the work that has several questions, each a view of its own. */
defineProps<{
  /** What the stage is called for those who cannot see it. */
  stage: string
  questions: readonly { path: string; name: string }[]
}>()
const route = useRoute()
</script>

<template>
  <div class="page frame">
    <h1 class="visually-hidden">
      {{ questions.find((one) => one.path === route.path)?.name ?? stage }}
    </h1>
    <nav class="questions no-print" :aria-label="stage">
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
.frame {
  padding-top: 14px;
}

.questions {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
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
</style>
