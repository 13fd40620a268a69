<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { api, data } from '../api/client'

/** What a person should know of the workshop's file before going on: that nothing is saved, or that work may be missing. */
const { data: file } = useQuery({ queryKey: ['file'], queryFn: () => data(api.GET('/api/file')) })
/** Logs that were read about and closed. */
const known = useLocalStorage<string[]>('logs-set-aside', [])
const aside = computed(() => (file.value?.logs_set_aside ?? []).filter((name) => !known.value.includes(name)))
</script>

<template>
  <v-alert
    v-if="file?.only_read"
    type="error"
    variant="tonal"
    class="ma-4"
    role="alert"
    data-test="only-read"
  >
    {{ file.only_read }}
  </v-alert>
  <v-alert
    v-if="aside.length"
    type="warning"
    variant="tonal"
    class="ma-4"
    role="alert"
    data-test="log-set-aside"
  >
    <p>
      Changes of another copy of this workshop were found beside its file. They are not included here; they
      were moved to {{ aside.join(', ') }}.
    </p>
    <p>If work is missing, restore a backup in Settings.</p>
    <template #append><v-btn @click="known = [...known, ...aside]">Close</v-btn></template>
  </v-alert>
</template>
