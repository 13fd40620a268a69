<script setup lang="ts">
import SaveButton from '../shared/SaveButton.vue'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import PaperField from '../shared/PaperField.vue'
import { api, data, type KeptPlan, type PlanEntry } from '../api/client'
import BringIn from '../desk/BringIn.vue'
import { useShelf } from '../desk/shelf'
import MoreMenu from '../shared/MoreMenu.vue'
import { usePlan } from '../rings/plan'
import RenameDialog from '../desk/RenameDialog.vue'

const plan = usePlan()
const router = useRouter()
const queries = useQueryClient()
const find = ref('')
const archived = ref(false)
const page = ref(0)
const most = 50
const finding = refDebounced(find, 140)
const renaming = ref<PlanEntry | null>(null)

const { data: found, error } = useQuery({
  queryKey: ['plans', finding, archived, page],
  queryFn: () =>
    data(
      api.GET('/api/plans', {
        params: {
          query: { find: finding.value, archived: archived.value, most, skip: page.value * most },
        },
      }),
    ),
  placeholderData: (before) => before,
})
const entries = computed(() => found.value?.entries ?? [])

const refresh = () => queries.invalidateQueries({ queryKey: ['plans'] })
const day = (text: string) => new Date(text).toLocaleDateString(undefined, { dateStyle: 'medium' })

const { attempt, rename, acts } = useShelf<KeptPlan>({
  add: (body) => data(api.POST('/api/plans', { body })),
  replace: ({ id, revision }, body) =>
    data(api.PUT('/api/plans/{id}', { params: { path: { id }, query: { revision } }, body })),
  archive: (id, body) => data(api.POST('/api/plans/{id}/archive', { params: { path: { id } }, body })),
  count: (record) => record.request.rings_n ?? 1,
  refresh,
  desk: plan,
})

const open = (entry: PlanEntry) =>
  attempt(async () => {
    await plan.openKept(entry)
    await router.push('/rings')
  })
</script>

<template>
  <div class="page">
    <h1>Kept plans</h1>
    <div class="bar">
      <PaperField
        v-model="find"
        class="find"
        label="Find by name, note, metal or size"
        type="search"
        data-test="find"
        clearable
        @update:model-value="page = 0"
      />
      <label class="option">
        <input v-model="archived" type="checkbox" data-test="show-archived" @change="page = 0" /> put away
      </label>
      <span class="grow" />
      <BringIn @brought="refresh" />
      <SaveButton path="/api/plans/all.json">All as JSON</SaveButton>
      <SaveButton path="/api/plans/all.csv">All as CSV</SaveButton>
    </div>
    <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
    <p v-else-if="!found" class="quiet" role="status">Fetching your plans…</p>
    <p v-else-if="!entries.length" class="empty" data-test="empty">
      <template v-if="find">Nothing kept here has “{{ find }}” in it.</template>
      <template v-else-if="archived">Nothing has been put away.</template>
      <template v-else>
        Nothing is kept yet. <router-link to="/rings">Plan some rings</router-link> and press Keep: the plan
        stands here then, ready to be made again.
      </template>
    </p>
    <ul v-else class="plans" data-test="plans">
      <li v-for="entry in entries" :key="entry.id" class="plan">
        <button type="button" class="plain name serif" data-test="open-plan" @click="open(entry)">
          {{ entry.record.name }}
        </button>
        <p class="sentence">{{ entry.sentence }}</p>
        <p v-if="entry.record.note" class="quiet note">{{ entry.record.note }}</p>
        <span class="quiet date">{{ day(entry.updated_at) }}</span>
        <MoreMenu class="more" :of="entry.record.name" :acts="acts(entry, (row) => (renaming = row))" />
      </li>
    </ul>
    <nav v-if="found && found.total > most" class="pages" aria-label="Pages">
      <v-btn :disabled="page === 0" @click="page -= 1">Newer</v-btn>
      <span class="quiet"
        >{{ page * most + 1 }} to {{ page * most + entries.length }} of {{ found.total }}</span
      >
      <v-btn :disabled="(page + 1) * most >= found.total" @click="page += 1">Older</v-btn>
    </nav>
    <RenameDialog v-model="renaming" :keep="rename" @renamed="refresh" />
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  margin-bottom: 14px;
}

.find {
  flex: 1 1 280px;
  max-width: 420px;
}

.grow {
  flex: 1;
}

.plans {
  list-style: none;
  padding: 0;
  margin: 0;
}

.plan {
  position: relative;
  padding: 14px 54px 14px 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}

.name {
  font-size: 1.4rem;
  line-height: 1.2;
  color: rgb(var(--v-theme-primary));
}

.name:hover {
  text-decoration: underline;
  text-underline-offset: 4px;
}

.plan p {
  margin: 3px 0 0;
  max-width: 88ch;
}

.date {
  position: absolute;
  right: 54px;
  top: 20px;
}

.more {
  position: absolute;
  right: 0;
  top: 10px;
}

.pages {
  display: flex;
  align-items: center;
  gap: 12px;
  margin-top: 16px;
}

@media (max-width: 600px) {
  .date {
    position: static;
  }
}
</style>
