<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, data } from '../../api/client'
import PaperPick from '../../shared/PaperPick.vue'
import { useNotice } from '../../shared/notice'
import { t } from '../../text'
import { usePattern } from '../pattern'

/** The pliers that everything is rolled on; without a choice the best for each bend. */
const pattern = usePattern()
const notice = useNotice()
const { data: owned } = useQuery({
  queryKey: ['pliers', 'names'],
  queryFn: async () => {
    const pliers = await data(api.GET('/api/pliers', { params: { query: { most: 200 } } }))
    return pliers.entries.map((entry) => entry.record.name)
  },
  staleTime: 0,
})
const choices = computed(() => [
  { word: '', label: t('room-view-best-for-each-bend') },
  ...(owned.value ?? []).map((name) => ({ word: name, label: name })),
])
const chosen = computed({
  get: () => pattern.draft?.plier ?? '',
  set: (name) => {
    if (pattern.draft) void pattern.set({ ...pattern.draft, plier: name || null }).catch(notice.fail)
  },
})
</script>

<template>
  <p class="plier quiet">
    {{ t('room-view-rolled-on') }}
    <PaperPick
      v-model="chosen"
      name="plier"
      :label="t('room-view-pliers')"
      :choices="choices"
      data-test="plier"
    />
  </p>
</template>

<style scoped>
.plier {
  display: flex;
  align-items: baseline;
  gap: 8px;
  padding: 2px 0 4px 34px;
  margin: 0;
}
</style>
