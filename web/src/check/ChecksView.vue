<script setup lang="ts">
import { dayOf } from '../shared/dates'
import { t } from '../text'
import HelpLink from '../shared/HelpLink.vue'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { api, data, type PieceCheck } from '../api/client'
import MoreMenu from '../shared/MoreMenu.vue'
import { useNotice } from '../shared/notice'
import CheckSentence from './CheckSentence.vue'

/** What is and was measured; a check is begun by a sentence. */
const notice = useNotice()
const queries = useQueryClient()
const refresh = () => queries.invalidateQueries()

const find = ref('')
const finding = refDebounced(find, 150)
const { data: checks, error } = useQuery({
  queryKey: ['checks', finding],
  queryFn: () => data(api.GET('/api/checks', { params: { query: { find: finding.value, most: 200 } } })),
  placeholderData: (before) => before,
  staleTime: 0,
})

async function putAway(id: number, revision: number, name: string) {
  try {
    const { undo } = await data(
      api.POST('/api/checks/{id}/archive', { params: { path: { id } }, body: { revision, archived: true } }),
    )
    notice.did(t('checks-view-archived-no-longer-counts', { name }), undo, refresh)
  } catch (thrown) {
    notice.fail(thrown)
  }
  await refresh()
}

const kindOf = (check: PieceCheck) => {
  if (check.drill) return t('checks-view-practice')
  if (check.trial) return t('checks-view-trial-check')
  return check.of === 'coil' ? t('checks-view-coil') : t('checks-view-pieces')
}
const all = computed(() => checks.value?.entries ?? [])
</script>

<template>
  <CheckSentence />

  <v-text-field
    v-if="all.length || find"
    v-model="find"
    class="find no-print"
    :label="t('checks-view-find-measurement')"
    type="search"
    autocomplete="off"
    hide-details
    data-test="find-check"
  />
  <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
  <p v-else-if="!checks" class="quiet" role="status">{{ t('checks-view-loading') }}</p>
  <p v-else-if="!all.length" class="empty" data-test="no-checks">
    <template v-if="find">{{ t('checks-view-no-measurement-has-that-name') }}</template>
    <template v-else
      >{{ t('checks-view-nothing-measured-yet-measure-one') }} <HelpLink about="measure"
    /></template>
  </p>
  <ul v-else class="pieces checks" data-test="checks">
    <li v-for="row in all" :key="row.id">
      <div>
        <router-link class="name serif" :to="`/measure/${row.id}`" data-test="open-check">{{
          row.name
        }}</router-link>
        <p class="told">{{ row.description }}</p>
      </div>
      <span class="kind">{{ kindOf(row.record) }}</span>
      <span class="quiet when">{{ dayOf(row.created_at) }}</span>
      <MoreMenu
        :of="row.name"
        :acts="[
          {
            label: t('checks-view-archive'),
            test: 'put-away-check',
            act: () => putAway(row.id, row.revision, row.name),
          },
        ]"
      />
    </li>
  </ul>
</template>

<style scoped>
.find {
  max-width: 320px;
  margin-bottom: 8px;
}

.checks > li {
  grid-template-columns: minmax(0, 1fr) auto auto 40px;
  align-items: center;
}

.name {
  font-size: 1.35rem;
  line-height: 1.2;
  text-decoration: none;
}

.told {
  margin: 2px 0 0;
}

.kind {
  font-weight: 700;
}

.when {
  white-space: nowrap;
}

.empty {
  max-width: 62ch;
}

@media (max-width: 600px) {
  .checks > li {
    grid-template-columns: minmax(0, 1fr) 40px;
  }

  .kind,
  .when {
    grid-column: 1;
  }
}
</style>
