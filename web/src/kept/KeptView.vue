<script setup lang="ts">
import { t } from '../text'
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { api, data, type KeptPiece } from '../api/client'
import BringIn from '../desk/BringIn.vue'
import RenameDialog from '../desk/RenameDialog.vue'
import { useShelf, type ShelfEntry } from '../desk/shelf'
import PieceSketch from '../drawing/PieceSketch.vue'
import { useChain } from '../chains/chain'
import { usePattern } from '../patterns/pattern'
import { usePlan } from '../rings/plan'
import { recordOf, useKeptRefresh } from '../shared/kept'
import MoreMenu from '../shared/MoreMenu.vue'
import { useFilterInAddress, useTickInAddress } from '../shared/address'
import PaperRadios from '../shared/PaperRadios.vue'
import PaperField from '../shared/PaperField.vue'
import PaperMenu from '../shared/PaperMenu.vue'
import SaveButton from '../shared/SaveButton.vue'
import { thumbnailsOf } from '../shared/thumbnails'
import RevisionsDialog from './RevisionsDialog.vue'
import { vOneStop } from '../shared/oneStop'

/** Everything that is kept: rings, findings and chains alike. */
const plan = usePlan()
const pattern = usePattern()
const chain = useChain()
const router = useRouter()
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

const day = (text: string) => new Date(text).toLocaleDateString(undefined, { dateStyle: 'medium' })

const rings = useShelf({
  add: (body) => data(api.POST('/api/plans', { body })),
  replace: ({ id, revision }, body) =>
    data(api.PUT('/api/plans/{id}', { params: { path: { id }, query: { revision } }, body })),
  archive: (id, body) => data(api.POST('/api/plans/{id}/archive', { params: { path: { id } }, body })),
  count: (record) => record.request.rings_n ?? 1,
  refresh,
  desk: plan,
})
const findings = useShelf({
  add: (body) => data(api.POST('/api/findings', { body })),
  replace: ({ id, revision }, body) =>
    data(api.PUT('/api/findings/{id}', { params: { path: { id }, query: { revision } }, body })),
  archive: (id, body) => data(api.POST('/api/findings/{id}/archive', { params: { path: { id } }, body })),
  count: (record) => record.request.pieces_n ?? 1,
  refresh,
  desk: pattern,
})

const chains = useShelf({
  add: (body) => data(api.POST('/api/chains', { body })),
  replace: ({ id, revision }, body) =>
    data(api.PUT('/api/chains/{id}', { params: { path: { id }, query: { revision } }, body })),
  archive: (id, body) => data(api.POST('/api/chains/{id}/archive', { params: { path: { id } }, body })),
  count: (record) => record.request.chains_n ?? 1,
  refresh,
  desk: chain,
})

const renamingChain = shallowRef<ShelfEntry<Parameters<typeof chains.rename>[1]> | null>(null)
const renaming = shallowRef<ShelfEntry<Parameters<typeof rings.rename>[1]> | null>(null)
const renamingFinding = shallowRef<ShelfEntry<Parameters<typeof findings.rename>[1]> | null>(null)
const looking = shallowRef<KeptPiece | null>(null)

/** The lines of a row's menu. */
function acts(entry: KeptPiece) {
  const { piece } = entry
  const lines =
    'rings' in piece
      ? rings.acts(recordOf(entry, piece.rings), (row) => (renaming.value = row))
      : 'chain' in piece
        ? chains.acts(recordOf(entry, piece.chain), (row) => (renamingChain.value = row))
        : findings.acts(recordOf(entry, piece.finding), (row) => (renamingFinding.value = row))
  const revisions = {
    label: t('kept-view-earlier-revisions'),
    test: 'revisions',
    act: () => (looking.value = entry),
  }
  const after = lines.findIndex((line) => line.test === 'duplicate') + 1
  return entry.revision > 1 ? lines.toSpliced(after, 0, revisions) : lines
}

async function open(entry: KeptPiece) {
  const { piece } = entry
  if ('rings' in piece)
    await rings.attempt(async () => {
      await plan.openKept(recordOf(entry, piece.rings))
      await router.push('/rings')
    })
  else if ('chain' in piece)
    await chains.attempt(async () => {
      await chain.openKept(recordOf(entry, piece.chain))
      await router.push('/chains')
    })
  else await findings.attempt(() => router.push({ path: '/findings/piece', query: { saved: entry.id } }))
}
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
    <p v-else-if="!entries.length" class="empty" data-test="empty">
      <template v-if="find">{{ t('kept-view-nothing-saved-has-in', { find }) }}</template>
      <template v-else-if="archived">{{ t('kept-view-nothing-archived') }}</template>
      <template v-else-if="which === 'chains'">
        {{ t('kept-view-no-chain-saved-yet-plan')
        }}<router-link to="/chains">{{ t('kept-view-chains') }}</router-link
        >{{ t('kept-view-press-save-there') }}
      </template>
      <template v-else-if="which === 'findings'">
        {{ t('kept-view-no-finding-saved-yet-open')
        }}<router-link to="/findings">{{ t('kept-view-findings') }}</router-link
        >{{ t('kept-view-change-as-you-like-press') }}
      </template>
      <template v-else>
        {{ t('kept-view-nothing-saved-yet')
        }}<router-link to="/rings">{{ t('kept-view-plan-some-rings') }}</router-link
        >{{ t('kept-view-press-save-plan-listed-here') }}
      </template>
    </p>
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
          {{ day(entry.updated_at) }}
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
    <RenameDialog v-model="renaming" :keep="rings.rename" @renamed="refresh" />
    <RenameDialog v-model="renamingFinding" :keep="findings.rename" @renamed="refresh" />
    <RenameDialog v-model="renamingChain" :keep="chains.rename" @renamed="refresh" />
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
