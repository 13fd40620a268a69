<script setup lang="ts">
import { t } from '../text'
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { api, data, type KeptPiece } from '../api/client'
import BringIn from '../desk/BringIn.vue'
import { dayOf } from '../shared/dates'
import RenameDialog from '../desk/RenameDialog.vue'
import PieceSketch from '../drawing/PieceSketch.vue'
import { useKeptRefresh } from '../shared/kept'
import MoreMenu from '../shared/MoreMenu.vue'
import { useFilterInAddress, useTickInAddress } from '../shared/address'
import PaperRadios from '../shared/PaperRadios.vue'
import PaperField from '../shared/PaperField.vue'
import PaperMenu from '../shared/PaperMenu.vue'
import SaveButton from '../shared/SaveButton.vue'
import { thumbnailsOf } from '../shared/thumbnails'
import NothingSaved from './NothingSaved.vue'
import RevisionsDialog from './RevisionsDialog.vue'
import { useSavedActs } from './acts'
import { vOneStop } from '../shared/oneStop'

/** Everything that is kept: rings, findings and chains alike. */
const refresh = useKeptRefresh()
const find = useFilterInAddress('find')
const finding = refDebounced(find, 140)
const shown = useFilterInAddress<'rings' | 'findings' | 'chains'>('show')
const which = computed<'all' | 'rings' | 'findings' | 'chains'>({
  get: () => shown.value || 'all',
  set: (kind) => (shown.value = kind === 'all' ? '' : kind),
})
const kinds = [
  { value: 'all', title: t('kept-view-all') },
  { value: 'rings', title: t('kept-view-rings') },
  { value: 'findings', title: t('kept-view-only-findings') },
  { value: 'chains', title: t('kept-view-only-chains') },
] as const
const archived = useTickInAddress('archived')
const page = ref(0)
const most = 50

const { data: found, error } = useQuery({
  queryKey: ['kept', finding, which, archived, page],
  queryFn: () => {
    const query = {
      find: finding.value,
      which: which.value,
      archived: archived.value,
      most,
      skip: page.value * most,
    }
    return data(api.GET('/api/saved', { params: { query } }))
  },
  placeholderData: (before) => before,
})
const entries = computed(() => found.value?.entries ?? [])
const { data: drawn } = useQuery({
  queryKey: ['thumbnails', 'kept', found],
  queryFn: () => thumbnailsOf(entries.value.map((entry) => entry.piece)),
  enabled: () => !!found.value,
  placeholderData: (before) => before,
})
const sketch = (entry: KeptPiece) => drawn.value?.get(JSON.stringify(entry.piece))

const { renamingRings, renamingFinding, renamingChain, renamed, looking, acts, open } = useSavedActs(refresh)
</script>

<template>
  <div class="page">
    <h1>{{ t('kept-view-saved') }}</h1>
    <div class="bar">
      <PaperField
        v-model="find"
        class="find"
        :label="t('kept-view-find-by-name-note-metal')"
        type="search"
        data-test="find"
        clearable
        @update:model-value="page = 0"
      />
      <PaperRadios
        v-model="which"
        :aria-label="t('kept-view-show')"
        :choices="kinds"
        data-test="which"
        @update:model-value="page = 0"
      />
      <v-checkbox-btn
        v-model="archived"
        inline
        :label="t('kept-view-archived')"
        data-test="show-archived"
        @update:model-value="page = 0"
      />
      <span class="grow" />
      <BringIn @brought="refresh" />
      <PaperMenu :says="t('kept-view-print-or-export')" test="take-out">
        <SaveButton path="/api/saved/all.json" line data-test="take-out-json">{{
          t('kept-view-everything-as-json')
        }}</SaveButton>
        <SaveButton path="/api/plans/all.csv" line>{{ t('kept-view-rings-as-csv') }}</SaveButton>
      </PaperMenu>
    </div>
    <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
    <p v-else-if="!found" class="quiet" role="status">{{ t('kept-view-loading') }}</p>
    <NothingSaved v-else-if="!entries.length" :find="find" :archived="archived" :which="which" />
    <ul v-else v-one-stop class="pieces plans" data-test="plans">
      <li v-for="entry in entries" :key="entry.id" class="plan">
        <button
          type="button"
          class="plain face"
          tabindex="-1"
          :aria-label="t('kept-view-open', { name: entry.name })"
          @click="open(entry)"
        >
          <PieceSketch
            v-if="sketch(entry)"
            :drawing="sketch(entry)!.drawing"
            :colour="sketch(entry)!.colour"
            lying
          />
        </button>
        <div class="text">
          <button type="button" class="plain name serif" data-test="open-plan" @click="open(entry)">
            {{ entry.name }}
          </button>
          <span v-if="entry.namesakes_n" class="watch alike" data-test="namesakes">
            {{
              t('kept-view-same-name', {
                have:
                  entry.namesakes_n === 1
                    ? t('kept-view-another-has')
                    : t('kept-view-others-have', { namesakesn: entry.namesakes_n }),
              })
            }}
          </span>
          <p class="sentence">{{ entry.description }}</p>
          <p v-if="entry.note" class="quiet note">{{ entry.note }}</p>
        </div>
        <span class="quiet date">
          {{ dayOf(entry.updated_at) }}
          <span class="cut">{{ sketch(entry)?.cut }}</span>
        </span>
        <MoreMenu :of="entry.name" :acts="acts(entry)" />
      </li>
    </ul>
    <nav v-if="found && found.total > most" class="pages" :aria-label="t('kept-view-pages')">
      <v-btn :disabled="page === 0" @click="page -= 1">{{ t('kept-view-newer') }}</v-btn>
      <span class="quiet">{{
        t('kept-view-to-of', {
          most: page * most + 1,
          entries: page * most + entries.length,
          total: found.total,
        })
      }}</span>
      <v-btn :disabled="(page + 1) * most >= found.total" @click="page += 1">{{
        t('kept-view-older')
      }}</v-btn>
    </nav>
    <RenameDialog v-model="renamingRings" :keep="renamed.rings" @renamed="refresh" />
    <RenameDialog v-model="renamingFinding" :keep="renamed.finding" @renamed="refresh" />
    <RenameDialog v-model="renamingChain" :keep="renamed.chain" @renamed="refresh" />
    <RevisionsDialog v-model="looking" />
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 18px;
  margin-bottom: 14px;
}

.find {
  flex: 1 1 240px;
  max-width: 360px;
}

.grow {
  flex: 1;
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

.alike {
  margin-left: 12px;
}

.plan p {
  margin: 3px 0 0;
  max-width: 88ch;
}

.date {
  text-align: right;
  padding-top: 6px;
}

.cut {
  display: block;
}

.pages {
  display: flex;
  align-items: center;
  gap: 12px;
  margin-top: 16px;
}

@media (max-width: 820px) {
  .plan {
    grid-template-columns: 64px minmax(0, 1fr) 40px;
  }

  .date {
    grid-column: 2;
    grid-row: 2;
    text-align: left;
  }

  .face :deep(svg) {
    height: 56px;
  }
}
</style>
