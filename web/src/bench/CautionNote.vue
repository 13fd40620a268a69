<script setup lang="ts">
import { t } from '../text'
import { useSessionStorage } from '@vueuse/core'

/** What can hurt at a step: large until it was read once in this session, then small. */
const { caution = '' } = defineProps<{ caution?: string | null }>()
const emit = defineEmits<{ read: [] }>()
const read = useSessionStorage<string[]>('lorimant.cautions', [])

function understood() {
  if (caution) read.value = [...read.value, caution]
  emit('read')
}
</script>

<template>
  <div v-if="caution && !read.includes(caution)" class="caution" role="note" data-test="caution">
    <p>{{ caution }}</p>
    <v-btn variant="outlined" data-test="understood" @click="understood">{{
      t('caution-note-understood')
    }}</v-btn>
  </div>
  <p v-else-if="caution" class="caution small">{{ caution }}</p>
</template>

<style scoped>
.caution {
  margin: 8px 0 0;
  display: flex;
  align-items: center;
  gap: 8px 18px;
  padding: 6px 0 6px 14px;
  border-left: 4px solid rgb(var(--v-theme-warning));
  font-size: 1.15rem;
}

.caution p {
  flex: 1;
  margin: 0;
}

.caution.small {
  font-size: 1rem;
  border-left-width: 3px;
  padding-block: 0;
}
</style>
