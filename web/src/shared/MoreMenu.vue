<script setup lang="ts">
import { t } from '../text'
import { mdiDotsHorizontal } from '@mdi/js'
import { vOneStop } from './oneStop'

/** What else can be done with a row of a list. */
export interface Act {
  /** What the line says. */
  label: string
  /** Its name in tests. */
  test: string
  act: () => unknown
}

defineProps<{
  /** What the row is called. */
  of: string
  acts: Act[]
}>()
</script>

<template>
  <v-menu location="bottom end">
    <template #activator="{ props: activator }">
      <v-btn
        v-bind="activator"
        :icon="mdiDotsHorizontal"
        density="comfortable"
        :aria-label="t('more-menu-more-for', { of })"
        data-test="more"
      />
    </template>
    <div v-one-stop="'.menu-line'" class="popover">
      <button
        v-for="{ label, test, act } in acts"
        :key="test"
        type="button"
        class="plain menu-line"
        :data-test="test"
        @click="act"
      >
        {{ label }}
      </button>
    </div>
  </v-menu>
</template>
