<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, data, type ChooseRequest } from '../api/client'
import { t } from '../text'

/** The wires that come first for what was asked, as *Choose wire* ranks them. */
const { request } = defineProps<{ request: ChooseRequest }>()
const FEW = 3
const { data: found, error } = useQuery({
  queryKey: ['choose', computed(() => request)],
  queryFn: () => data(api.POST('/api/wires/choose', { body: request })),
})
const first = computed(() => (found.value?.candidates ?? []).slice(0, FEW))
/** What to know of all of them. */
const cautions = computed(() =>
  (first.value[0]?.cautions ?? []).filter((line) => first.value.every((one) => one.cautions.includes(line))),
)
</script>

<template>
  <p v-if="error" class="stop">{{ error.message }}</p>
  <ol v-else class="wires" :aria-label="t('best-wires-first')" data-test="best-wires">
    <li v-for="one in first" :key="one.label">
      <b>{{ one.label }}</b> <span class="quiet">{{ one.reasons[0] }}</span>
    </li>
  </ol>
  <p v-for="line in cautions" :key="line" class="watch caution">{{ line }}</p>
</template>

<style scoped>
/* The lines come a moment later, and what is below them stays where it is. */
.wires {
  min-height: calc(3 * 1.6em);
  padding-left: 1.4em;
  margin: 0 0 10px;
  line-height: 1.6;
}

.caution {
  margin: 0 0 8px;
}
</style>
