<script setup lang="ts">
import { t } from '../text'
import { mdiRedo, mdiUndo } from '@mdi/js'
import PaperMenu from '../shared/PaperMenu.vue'
import MenuLine from '../shared/MenuLine.vue'

/** What can be done with what lies on a desk: keep it, take it away, undo; and more in its slot. */
defineProps<{
  sound: boolean
  canUndo: boolean
  canRedo: boolean
  /** What it can be taken away as. */
  files: readonly { file: string; says: string; hint: string }[]
}>()
const emit = defineEmits<{ keep: []; take: [file: string]; undo: []; redo: [] }>()
</script>

<template>
  <v-btn variant="flat" color="primary" :disabled="!sound" data-test="keep" @click="emit('keep')">{{
    t('desk-tools-save')
  }}</v-btn>
  <PaperMenu :says="t('desk-tools-print-or-export')" :disabled="!sound" test="take-away">
    <MenuLine v-for="{ file, says, hint } in files" :key="file" :data-file="file" @click="emit('take', file)">
      {{ says }} <span class="quiet">{{ hint }}</span>
    </MenuLine>
  </PaperMenu>
  <slot />
  <v-btn
    :icon="mdiUndo"
    density="comfortable"
    :aria-label="t('desk-tools-undo')"
    :disabled="!canUndo"
    data-test="undo"
    @click="emit('undo')"
  />
  <v-btn
    :icon="mdiRedo"
    density="comfortable"
    :aria-label="t('desk-tools-redo')"
    :disabled="!canRedo"
    data-test="redo"
    @click="emit('redo')"
  />
</template>
