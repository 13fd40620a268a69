<script setup lang="ts">
import { t } from '../../text'
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import type { PatternKind, Piece } from '../../api/client'
import PieceSketch from '../../drawing/PieceSketch.vue'
import { useFilterInAddress } from '../../shared/address'
import { useKept } from '../../shared/kept'
import { useKinds } from '../../shared/kinds'
import PaperField from '../../shared/PaperField.vue'
import { thumbnailsOf } from '../../shared/thumbnails'
import { useWords } from '../../shared/words'
import { vOneStop } from '../../shared/oneStop'

/** The findings there are to start from, each as it is usually made. What is kept of them stands under Kept. */
const router = useRouter()
const find = useFilterInAddress('find')
const words = useWords()
const metalOf = (metal: string) => words.value?.metals.find(({ word }) => word === metal)?.label ?? ''
const finding = refDebounced(find, 140)
const family = useFilterInAddress('family')
const worn = useFilterInAddress('worn')
const metal = useFilterInAddress('metal')

const { data: kinds, error } = useKinds()
const { data: kept } = useKept()
const own = computed(() => (kept.value?.entries ?? []).filter(({ piece }) => 'finding' in piece).length)

const ready = computed(() => {
  const words = finding.value.toLowerCase().split(/\s+/).filter(Boolean)
  return (kinds.value ?? []).filter((kind) => {
    const text = `${kind.name} ${kind.plural} ${kind.family_label} ${kind.page.purpose}`.toLowerCase()
    return (
      (!family.value || kind.family === family.value) &&
      (!worn.value || kind.worn === worn.value) &&
      (!metal.value || kind.wire.metal === metal.value) &&
      words.every((word) => text.includes(word))
    )
  })
})

/** The families, places and metals there are among what is shown. */
const choices = computed(() => {
  const all = kinds.value ?? []
  const unique = (pairs: [string, string][]) =>
    [...new Map(pairs)].map(([value, title]) => ({ value, title }))
  return {
    families: unique(all.map((kind) => [kind.family, kind.family_label])),
    worn: unique(all.map((kind) => [kind.worn, kind.worn_label])),
    metals: unique(all.map(({ wire }) => [wire.metal, metalOf(wire.metal)])),
  }
})

const usual = (kind: PatternKind): Piece => ({ finding: { kind: kind.kind, wire: kind.wire } })
const { data: drawn } = useQuery({
  queryKey: ['thumbnails', 'ready', kinds],
  queryFn: () => thumbnailsOf((kinds.value ?? []).map(usual)),
  enabled: () => !!kinds.value,
})
const sketch = (kind: PatternKind) => drawn.value?.get(JSON.stringify(usual(kind)))
</script>

<template>
  <div class="page library">
    <h1>{{ t('library-view-findings') }}</h1>
    <div class="bar">
      <PaperField
        v-model="find"
        class="find"
        :label="t('library-view-find-finding')"
        type="search"
        clearable
        data-test="find"
      />
      <v-select
        v-for="filter in [
          {
            label: t('library-view-kind'),
            test: 'kind',
            model: family,
            choices: choices.families,
            set: (v: string) => (family = v),
          },
          {
            label: t('library-view-worn'),
            test: 'worn',
            model: worn,
            choices: choices.worn,
            set: (v: string) => (worn = v),
          },
          {
            label: t('library-view-wire'),
            test: 'wire',
            model: metal,
            choices: choices.metals,
            set: (v: string) => (metal = v),
          },
        ]"
        :key="filter.test"
        class="filter"
        :label="filter.label"
        :model-value="filter.model"
        :items="[{ value: '', title: t('library-view-all') }, ...filter.choices]"
        :data-test="`filter-${filter.test}`"
        @update:model-value="filter.set"
      />
      <router-link v-if="own" class="own" to="/saved" data-test="to-kept">
        {{ t('library-view-your-own-under-saved', { own }) }}
      </router-link>
    </div>
    <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
    <p v-else-if="!kinds" class="quiet" role="status">{{ t('library-view-loading-findings') }}</p>
    <template v-else>
      <section :aria-label="t('library-view-findings-choose-from')">
        <p v-if="!ready.length" class="quiet" data-test="none-ready">
          {{ t('library-view-no-finding-matches-try-another') }}
        </p>
        <ul v-one-stop class="grid" data-test="ready">
          <li v-for="kind in ready" :key="kind.kind" class="cell">
            <button
              type="button"
              class="plain face"
              :data-kind="kind.kind"
              @click="router.push({ path: '/findings/piece', query: { kind: kind.kind } })"
            >
              <PieceSketch
                v-if="sketch(kind)"
                :drawing="sketch(kind)!.drawing"
                :colour="sketch(kind)!.colour"
                class="sketch"
                lying
              />
              <span v-else class="sketch" />
              <span class="name serif">{{ kind.name }}</span>
              <span class="cut">{{ sketch(kind)?.cut }}</span>
              <span class="quiet wire">{{ sketch(kind)?.wire }}</span>
            </button>
          </li>
        </ul>
      </section>
    </template>
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
  flex: 0 1 150px;
}

.own {
  margin-left: auto;
  padding-block: 4px;
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
</style>
