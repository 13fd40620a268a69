<script setup lang="ts">
import { t } from '../text'
import { ref } from 'vue'
import { typedDayOf } from './dates'

/** A calendar behind a button: what is picked is written as it would be typed. */
const text = defineModel<string>({ required: true })
defineProps<{
  /** The day that is read now. */
  day: string | null
}>()
const open = ref(false)

function pick(picked: unknown) {
  if (!(picked instanceof Date)) return
  text.value = typedDayOf(picked)
  open.value = false
}
/** Noon, so that no time zone makes another day of it. */
const shown = (day: string | null) => (day ? new Date(`${day}T12:00`) : null)
</script>

<template>
  <v-menu v-model="open" :close-on-content-click="false" location="bottom end">
    <template #activator="{ props: opens }">
      <v-btn
        v-bind="opens"
        icon
        variant="text"
        size="small"
        :aria-label="t('day-picker-choose-day')"
        data-test="open-days"
      >
        <svg viewBox="0 0 24 24" width="20" height="20" aria-hidden="true" class="calendar">
          <rect x="4" y="5.5" width="16" height="14" rx="1.5" />
          <path d="M4 10H20M8.5 3.5V7.5M15.5 3.5V7.5" />
        </svg>
      </v-btn>
    </template>
    <v-date-picker
      :model-value="shown(day)"
      hide-header
      show-adjacent-months
      :first-day-of-week="1"
      color="primary"
      @update:model-value="pick"
    />
  </v-menu>
</template>

<style scoped>
.calendar {
  fill: none;
  stroke: currentColor;
  stroke-width: 1.6;
}
</style>
