<script setup lang="ts">
import type { AgendaSession } from '../api/client'
import { minutesOf } from '../bench/clock'
import { t } from '../text'

/** What a session asks of the hands; it can be skipped, and worked after all. */
defineProps<{ session: AgendaSession }>()
const emit = defineEmits<{ skip: []; work: [] }>()

const strains = {
  light: t('schedule-view-light'),
  moderate: t('schedule-view-moderate'),
  heavy: t('schedule-view-heavy'),
}
</script>

<template>
  <div class="hands">
    <template v-if="session.skipped">
      <span class="quiet">{{ t('schedule-view-skipped') }}</span>
      <v-btn size="small" variant="text" data-test="back-in" @click="emit('work')">{{
        t('schedule-view-work-after-all')
      }}</v-btn>
    </template>
    <template v-else>
      <template v-if="session.runs.length">
        <strong>{{ t('schedule-view-hands', { strain: strains[session.strain] }) }}</strong>
        <span class="quiet">{{
          t('schedule-view-limit', {
            handsmin: minutesOf(session.hands_min),
            strainshare: Math.round(100 * session.strain_share),
          })
        }}</span>
      </template>
      <span v-else class="quiet">{{ t('schedule-view-free') }}</span>
      <v-btn size="small" variant="text" data-test="leave-out" @click="emit('skip')">{{
        t('schedule-view-skip-this-session')
      }}</v-btn>
    </template>
  </div>
</template>

<style scoped>
.hands {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
}

.hands .v-btn {
  margin-left: -12px;
}
</style>
