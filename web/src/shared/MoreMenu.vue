<script setup lang="ts">
import { t } from '../text'
import { mdiDotsHorizontal } from '@mdi/js'
import { vOneStop } from './oneStop'
import MenuLine from './MenuLine.vue'

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
      <MenuLine v-for="{ label, test, act } in acts" :key="test" :data-test="test" @click="act">
        {{ label }}
      </MenuLine>
    </div>
  </v-menu>
</template>
