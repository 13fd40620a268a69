<script setup lang="ts">
import { t } from '../text'
import { useMutation, useQuery } from '@tanstack/vue-query'
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { api, data, sentenceOf } from '../api/client'
import { useSettings } from '../shared/settings'

const settings = useSettings()
/** What a person should know of the workshop's file before going on: that nothing is saved, or that work may be missing. */
const { data: file } = useQuery({ queryKey: ['file'], queryFn: () => data(api.GET('/api/file')) })
// Everything on the screen is of the file before: it is loaded anew.
const using = useMutation({
  mutationFn: () => data(api.POST('/api/file/use')),
  onSuccess: () => window.location.assign('/'),
})
/** Logs that were read about and closed. */
const known = useLocalStorage<string[]>('logs-set-aside', [])
const aside = computed(() => (file.value?.logs_set_aside ?? []).filter((name) => !known.value.includes(name)))
</script>

<template>
  <v-alert
    v-if="file?.only_read"
    class="notice"
    type="error"
    variant="outlined"
    density="compact"
    data-test="only-read"
  >
    {{ file.only_read }}
    <p v-if="using.error.value" data-test="not-used">{{ sentenceOf(using.error.value) }}</p>
    <div class="ml-n4">
      <v-btn
        v-if="file.replaced"
        data-test="use-file"
        :loading="using.isPending.value"
        @click="using.mutate()"
      >
        {{ t('file-notice-use-file-that-there-now') }}
      </v-btn>
      <v-btn data-test="restore-a-copy" @click="settings.open = true">{{
        t('file-notice-restore-copy')
      }}</v-btn>
    </div>
  </v-alert>
  <v-alert
    v-if="aside.length"
    class="notice"
    type="warning"
    variant="outlined"
    density="compact"
    data-test="log-set-aside"
  >
    {{ t('file-notice-changes-another-copy-this-workshop', { aside: aside.join(', ') })
    }}<template #append
      ><v-btn @click="known = [...known, ...aside]">{{ t('file-notice-close') }}</v-btn></template
    >
  </v-alert>
</template>

<style scoped>
.notice {
  margin: 16px var(--gutter) 0;
  overflow-wrap: anywhere;
}
</style>
