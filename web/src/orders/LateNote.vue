<script setup lang="ts">
import { ref } from 'vue'
import type { Agenda } from '../api/client'
import { t } from '../text'

/** What comes too late, and what would help. */
defineProps<{
  unmet: Agenda['unmet']
  help: NonNullable<Agenda['help']>
}>()
/** So many are said at first. */
const FIRST = 6
const all = ref(false)
</script>

<template>
  <section class="unmet" role="note" data-test="unmet">
    <p v-for="(one, i) in unmet.slice(0, all ? undefined : FIRST)" :key="i" class="stop">
      {{ one.text }}
    </p>
    <v-btn v-if="unmet.length > FIRST && !all" variant="text" @click="all = true">{{
      t('schedule-view-more', { unmet: unmet.length - FIRST })
    }}</v-btn>
    <template v-if="help.length">
      <h2>{{ t('schedule-view-what-would-help') }}</h2>
      <ul>
        <li v-for="one in help" :key="one.text" :class="{ num: one.in_time }">
          {{ one.text }}
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.unmet {
  border-left: 4px solid rgb(var(--v-theme-error));
  padding-left: 14px;
  margin: 0 0 14px;
}

.unmet p {
  margin: 0;
}

.unmet h2 {
  margin: 8px 0 2px;
}

.unmet ul {
  margin: 0;
  padding-left: 20px;
}
</style>
