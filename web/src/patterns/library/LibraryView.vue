<script setup lang="ts">
import SaveButton from '../../shared/SaveButton.vue'
import PaperField from '../../shared/PaperField.vue'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import {
  api,
  data,
  type KeptPattern,
  type PatternEntry,
  type PatternKind,
  type PatternRequest,
} from '../../api/client'
import BringIn from '../../desk/BringIn.vue'
import RenameDialog from '../../desk/RenameDialog.vue'
import PieceSketch from '../../drawing/PieceSketch.vue'
import { useShelf } from '../../desk/shelf'
import MoreMenu from '../../shared/MoreMenu.vue'
import { useKinds } from '../../shared/kinds'
import { usePattern } from '../pattern'

const queries = useQueryClient()
const router = useRouter()
const pattern = usePattern()
const find = ref('')
const finding = refDebounced(find, 140)
const family = ref<string | null>(null)
const worn = ref<string | null>(null)
const metal = ref<string | null>(null)
const archived = ref(false)
const renaming = ref<PatternEntry | null>(null)

const { data: kinds, error } = useKinds()
const { data: own, error: ownError } = useQuery({
  queryKey: ['patterns', 'own', finding, archived],
  queryFn: () =>
    data(
      api.GET('/api/patterns', {
        params: { query: { find: finding.value, archived: archived.value, most: 200 } },
      }),
    ),
  placeholderData: (before) => before,
})

const kindOf = (word: string) => kinds.value?.find((one) => one.kind === word)
const passes = (kind: PatternKind | undefined, wire: PatternRequest['wire']) =>
  (!family.value || kind?.family === family.value) &&
  (!worn.value || kind?.worn === worn.value) &&
  (!metal.value || wire.metal === metal.value)

const ready = computed(() => {
  const words = finding.value.toLowerCase().split(/\s+/).filter(Boolean)
  return (kinds.value ?? []).filter((kind) => {
    const text = `${kind.name} ${kind.plural} ${kind.family_shown} ${kind.page.purpose}`.toLowerCase()
    return passes(kind, kind.wire) && words.every((word) => text.includes(word))
  })
})
const kept = computed(() =>
  (own.value?.entries ?? []).filter(({ record }) => passes(kindOf(record.request.kind), record.request.wire)),
)

/** The families, places and metals there are among what is shown. */
const choices = computed(() => {
  const all = kinds.value ?? []
  const unique = (pairs: [string, string][]) =>
    [...new Map(pairs)].map(([value, title]) => ({ value, title }))
  const metals = [
    ...all.map((kind) => kind.wire),
    ...(own.value?.entries ?? []).map((e) => e.record.request.wire),
  ]
  return {
    families: unique(all.map((kind) => [kind.family, kind.family_shown])),
    worn: unique(all.map((kind) => [kind.worn, kind.worn_shown])),
    metals: unique(metals.map((wire) => [wire.metal, wire.metal.replaceAll('-', ' ')])),
  }
})

const usual = (kind: PatternKind): PatternRequest => ({ kind: kind.kind, wire: kind.wire })
const { data: readyDrawn } = useQuery({
  queryKey: ['thumbnails', 'ready', kinds],
  queryFn: () => draw((kinds.value ?? []).map(usual)),
  enabled: () => !!kinds.value,
})
const { data: keptDrawn } = useQuery({
  queryKey: ['thumbnails', 'own', own],
  queryFn: () => draw((own.value?.entries ?? []).map((entry) => entry.record.request)),
  enabled: () => !!own.value,
  placeholderData: (before) => before,
})

async function draw(requests: PatternRequest[]) {
  const drawn = await data(api.POST('/api/patterns/thumbnails', { body: { requests } }))
  return new Map(requests.map((request, i) => [JSON.stringify(request), drawn[i]]))
}
const sketch = (request: PatternRequest) =>
  readyDrawn.value?.get(JSON.stringify(request)) ?? keptDrawn.value?.get(JSON.stringify(request))

const refresh = () => queries.invalidateQueries({ queryKey: ['patterns'] })

const { rename, acts } = useShelf<KeptPattern>({
  add: (body) => data(api.POST('/api/patterns', { body })),
  replace: ({ id, revision }, body) =>
    data(api.PUT('/api/patterns/{id}', { params: { path: { id }, query: { revision } }, body })),
  archive: (id, body) => data(api.POST('/api/patterns/{id}/archive', { params: { path: { id } }, body })),
  count: (record) => record.request.pieces_n ?? 1,
  refresh,
  desk: pattern,
})

const toRoom = (query: Record<string, string | number>) => router.push({ path: '/patterns/room', query })
</script>

<template>
  <div class="page library">
    <h1>Patterns</h1>
    <div class="bar">
      <PaperField
        v-model="find"
        class="find"
        label="Find a finding"
        type="search"
        clearable
        data-test="find"
      />
      <label
        v-for="filter in [
          {
            label: 'Family',
            model: family,
            choices: choices.families,
            set: (v: string | null) => (family = v),
          },
          { label: 'Worn', model: worn, choices: choices.worn, set: (v: string | null) => (worn = v) },
          { label: 'Wire', model: metal, choices: choices.metals, set: (v: string | null) => (metal = v) },
        ]"
        :key="filter.label"
        class="filter"
      >
        <span class="quiet">{{ filter.label }}</span>
        <select
          :value="filter.model ?? ''"
          :data-test="`filter-${filter.label.toLowerCase()}`"
          @change="filter.set(($event.target as HTMLSelectElement).value || null)"
        >
          <option value="">all</option>
          <option v-for="choice in filter.choices" :key="choice.value" :value="choice.value">
            {{ choice.title }}
          </option>
        </select>
      </label>
      <label class="option"
        ><input v-model="archived" type="checkbox" data-test="show-archived" /> put away</label
      >
      <span class="grow" />
      <BringIn @brought="refresh" />
      <SaveButton path="/api/patterns/all.json">All as JSON</SaveButton>
    </div>
    <p v-if="error || ownError" class="stop" role="alert">{{ (error ?? ownError)?.message }}</p>
    <p v-else-if="!kinds || !own" class="quiet" role="status">Fetching the patterns…</p>
    <template v-else>
      <section aria-label="Your own">
        <h2>{{ archived ? 'Put away' : 'Your own' }}</h2>
        <p v-if="!kept.length" class="quiet" data-test="no-patterns">
          <template v-if="archived">Nothing has been put away.</template>
          <template v-else-if="find || family || worn || metal">None of your own is like that.</template>
          <template v-else>None yet: open one of those below, change a word, and press Keep.</template>
        </p>
        <ul class="grid" data-test="own">
          <li v-for="entry in kept" :key="entry.id" class="cell">
            <button
              type="button"
              class="plain face"
              data-test="open-pattern"
              @click="toRoom({ kept: entry.id })"
            >
              <PieceSketch
                v-if="sketch(entry.record.request)"
                :drawing="sketch(entry.record.request)!.drawing"
                :colour="sketch(entry.record.request)!.colour"
                class="sketch"
              />
              <span v-else class="sketch" />
              <span class="name serif">{{ entry.record.name }}</span>
              <span class="cut">{{ sketch(entry.record.request)?.cut }}</span>
              <span class="quiet wire">
                {{ kindOf(entry.record.request.kind)?.name }},
                {{ entry.record.request.wire.metal.replaceAll('-', ' ') }}
                {{ Number(entry.record.request.wire.size_mm.toFixed(2)) }} mm
              </span>
            </button>
            <MoreMenu class="more" :of="entry.record.name" :acts="acts(entry, (row) => (renaming = row))" />
          </li>
        </ul>
      </section>
      <section v-if="!archived" aria-label="Ready to make">
        <h2>Ready to make</h2>
        <p v-if="!ready.length" class="quiet" data-test="none-ready">
          No finding here is like that. Ask for another word, family or wire.
        </p>
        <ul class="grid" data-test="ready">
          <li v-for="kind in ready" :key="kind.kind" class="cell">
            <button
              type="button"
              class="plain face"
              :data-kind="kind.kind"
              @click="toRoom({ kind: kind.kind })"
            >
              <PieceSketch
                v-if="sketch(usual(kind))"
                :drawing="sketch(usual(kind))!.drawing"
                :colour="sketch(usual(kind))!.colour"
                class="sketch"
              />
              <span v-else class="sketch" />
              <span class="name serif">{{ kind.name }}</span>
              <span class="cut">{{ sketch(usual(kind))?.cut }}</span>
              <span class="quiet wire"> {{ kind.family_shown }}, {{ sketch(usual(kind))?.wire }} </span>
            </button>
          </li>
        </ul>
      </section>
    </template>
    <RenameDialog v-model="renaming" :keep="rename" @renamed="refresh" />
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 18px;
  margin-bottom: 10px;
}

.find {
  flex: 1 1 180px;
  max-width: 260px;
}

.filter {
  display: flex;
  align-items: baseline;
  gap: 7px;
}

select {
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  border-bottom: 1.5px solid rgb(var(--v-theme-hairline));
  min-height: 36px;
  max-width: 150px;
}

option {
  background: rgb(var(--v-theme-surface));
}

.grow {
  flex: 1;
}

section {
  margin-top: 14px;
}

.grid {
  list-style: none;
  padding: 0;
  margin: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(178px, 1fr));
  gap: 0 22px;
}

.cell {
  position: relative;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}

.face {
  display: flex;
  flex-direction: column;
  width: 100%;
  padding: 12px 4px 14px;
}

.face:hover .name {
  text-decoration: underline;
  text-underline-offset: 4px;
}

.sketch {
  height: 104px;
  width: 100%;
  margin-bottom: 8px;
}

.name {
  font-size: 1.22rem;
  line-height: 1.15;
  color: rgb(var(--v-theme-primary));
}

.name::first-letter {
  text-transform: uppercase;
}

.cut {
  font-weight: 500;
  margin-top: 2px;
}

.wire {
  font-size: 0.95rem;
}

.more {
  position: absolute;
  right: 0;
  top: 6px;
}
</style>
