<script setup lang="ts">
import WordSelect from '../shared/WordSelect.vue'
import { t } from '../text'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data, faultsOf, type PlierEntry, type RolledLoop } from '../api/client'
import { useDesks } from '../patterns/desks'
import { readFields } from '../shared/form'
import { useNotice } from '../shared/notice'

/** A tapered jaw calibrated by two loops rolled on it; and whether a mark slipped, by a loop rolled at it later. */
const notice = useNotice()
const queries = useQueryClient()
const refreshDesks = useDesks()
const { data: pliers } = useQuery({
  queryKey: ['pliers'],
  queryFn: () => data(api.GET('/api/pliers', { params: { query: { most: 200 } } })),
})
const { data: lots } = useQuery({ queryKey: ['learned'], queryFn: () => data(api.GET('/api/learned')) })
const { data: seen } = useQuery({
  queryKey: ['pliers', 'seen'],
  queryFn: () => data(api.GET('/api/pliers/seen')),
  staleTime: 0,
})
const tapered = computed(() =>
  (pliers.value?.entries ?? []).filter((one) => one.record.jaws === 'round-nose'),
)
const plier = ref('')
const lot = ref('')
const texts = ref({ at: '', inside: '', at2: '', inside2: '' })
const faults = ref<string[]>([])
const told = ref('')
const chosen = computed(() => tapered.value.find((one) => String(one.id) === plier.value) ?? null)

type Loop = RolledLoop
async function loops(): Promise<Loop[]> {
  const { record } = await data(api.GET('/api/lots/{id}', { params: { path: { id: Number(lot.value) } } }))
  const two = texts.value.at2.trim() || texts.value.inside2.trim()
  const read = await readFields(texts.value, {
    at: ['length', 'needed'],
    inside: ['length', 'needed'],
    ...(two ? { at2: ['length', 'needed'] as const, inside2: ['length', 'needed'] as const } : {}),
  })
  const all = [{ at_mm: read.at as number, inside_mm: read.inside as number, wire: record.wire }]
  if (two) all.push({ at_mm: read.at2 as number, inside_mm: read.inside2 as number, wire: record.wire })
  return all
}

async function attempt(work: (entry: PlierEntry, rolled: Loop[]) => Promise<void>) {
  told.value = ''
  faults.value = []
  if (!chosen.value || !lot.value) {
    faults.value = [t('jaw-view-choose-pliers-wire-loops')]
    return
  }
  try {
    await work(chosen.value, await loops())
  } catch (thrown) {
    faults.value = faultsOf(thrown).map((fault) => fault.message)
  }
}

const calibrate = () =>
  attempt(async (entry, [near_tip, near_base]) => {
    if (!near_base) {
      faults.value = [t('jaw-view-two-loops-calibrate-jaw-roll')]
      return
    }
    const body = { plier: entry.record, near_tip: near_tip!, near_base }
    const record = await data(api.POST('/api/pliers/calibrate', { body }))
    const params = { path: { id: entry.id }, query: { revision: entry.revision } }
    const { undo } = await data(api.PUT('/api/pliers/{id}', { params, body: record }))
    const refresh = async () => {
      await queries.invalidateQueries({ queryKey: ['pliers'] })
      await refreshDesks()
    }
    await refresh()
    notice.did(t('jaw-view-calibrated-with-your-loops-all', { name: entry.name }), undo, refresh)
  })

const wear = () =>
  attempt(async (entry, rolled) => {
    told.value = (
      await data(api.POST('/api/pliers/wear', { body: { plier: entry.record, loops: rolled } }))
    ).text
  })
const onPliers = computed(() => [
  { word: '', label: t('jaw-view-pliers-2') },
  ...tapered.value.map(({ id, name }) => ({ word: String(id), label: name })),
])
const ofLots = computed(() => [
  { word: '', label: t('jaw-view-wire-2') },
  ...(lots.value ?? []).map(({ lot_n, wire }) => ({
    word: String(lot_n),
    label: t('jaw-view-lot', { wire, lotn: lot_n }),
  })),
])
</script>

<template>
  <p v-if="pliers && !tapered.length" class="empty">
    {{ t('jaw-view-you-have-no-tapered-pliers')
    }}<router-link to="/tools">{{ t('jaw-view-add-yours') }}</router-link>
  </p>
  <form v-else class="typed-sentence" data-test="jaws" @submit.prevent="wear">
    {{ t('jaw-view-on')
    }}<WordSelect
      v-model="plier"
      :choices="onPliers"
      :aria-label="t('jaw-view-pliers')"
      data-test="jaw-plier"
    />{{ t('jaw-view-loop')
    }}<WordSelect v-model="lot" :choices="ofLots" :aria-label="t('jaw-view-wire')" data-test="jaw-wire" />{{
      t('jaw-view-rolled')
    }}<input
      v-model="texts.at"
      class="word"
      :placeholder="t('jaw-view-how-far')"
      :aria-label="t('jaw-view-from-tip')"
      data-test="jaw-at"
    />{{ t('jaw-view-from-tip-came-out')
    }}<input
      v-model="texts.inside"
      class="word"
      :placeholder="t('jaw-view-how-large')"
      :aria-label="t('jaw-view-inside-loop')"
      data-test="jaw-inside"
    />{{ t('jaw-view-inside-another-rolled')
    }}<input
      v-model="texts.at2"
      class="word"
      :placeholder="t('jaw-view-how-far')"
      :aria-label="t('jaw-view-other-from-tip')"
      data-test="jaw-at2"
    />{{ t('jaw-view-from-tip-2')
    }}<input
      v-model="texts.inside2"
      class="word"
      :placeholder="t('jaw-view-how-large')"
      :aria-label="t('jaw-view-inside-other')"
      data-test="jaw-inside2"
    />.
    <span class="acts">
      <v-btn type="submit" variant="flat" color="primary" data-test="jaw-wear">{{
        t('jaw-view-has-mark-slipped')
      }}</v-btn>
      <v-btn data-test="jaw-calibrate" @click="calibrate">{{ t('jaw-view-calibrate-jaw-with-both') }}</v-btn>
    </span>
    <span v-for="fault in faults" :key="fault" class="stop under" role="alert">{{ fault }}</span>
  </form>
  <p v-if="told" class="told" role="status" data-test="jaw-told">{{ told }}</p>
  <section v-if="tapered.length" class="seen" data-test="jaws-seen">
    <h2>{{ t('jaw-view-what-your-measurements-say-about') }}</h2>
    <p v-if="seen && !seen.length" class="quiet">
      {{ t('jaw-view-nothing-yet-measure-three-loops') }}
    </p>
    <dl v-else>
      <template v-for="one in seen" :key="one.plier">
        <dt>
          {{ one.name }} <span class="quiet">{{ t('jaw-view-loops', { loopsn: one.loops_n }) }}</span>
        </dt>
        <dd>{{ one.text }}</dd>
      </template>
    </dl>
  </section>
  <p class="quiet under">
    {{ t('jaw-view-loops-spring-open-when-you') }}
  </p>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-top: 8px;
}

.told {
  font-size: 1.25rem;
  max-width: 70ch;
}

.seen {
  max-width: 70ch;
  margin-top: 24px;
}

.seen dt {
  font-weight: 700;
}

.seen dt .quiet {
  font-weight: 400;
  margin-left: 6px;
}

.seen dd {
  margin: 0 0 10px;
}

.hint {
  max-width: 66ch;
}
</style>
