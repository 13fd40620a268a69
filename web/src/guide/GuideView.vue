<script setup lang="ts">
import { t } from '../text'
import { useQuery } from '@tanstack/vue-query'
import { useDebounceFn } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { api, data, sentenceOf, type Reading } from '../api/client'
import PaperField from '../shared/PaperField.vue'
import CautionList from './CautionList.vue'
import MetalTable from './MetalTable.vue'

const typed = ref('')
const reading = ref<Reading | null>(null)
const wrong = ref('')
const rows = useTemplateRef<HTMLElement>('rows')
const system = ref<'awg' | 'swg' | 'steel-wire'>('awg')

const { data: tables } = useQuery({
  queryKey: ['gauges'],
  queryFn: () => data(api.GET('/api/gauges')),
  staleTime: Infinity,
})
const table = computed(() => tables.value?.find((one) => one.system === system.value))
/** The row nearest to what was typed. */
const near = computed(() => {
  const found = reading.value?.nearest?.find((gauge) => gauge.system === system.value)
  return table.value?.rows.find((row) => row.gauge.number === found?.number)?.number
})

watch(near, async () => {
  await nextTick()
  rows.value?.querySelector('.near')?.scrollIntoView({ block: 'center' })
})

/** Nothing typed: the table stands at the gauges of the bench. */
watch([table, rows], async () => {
  if (near.value) return
  await nextTick()
  const first = table.value?.rows.findIndex((row) => row.gauge.number === 10) ?? -1
  const line = rows.value?.querySelectorAll<HTMLElement>('tbody tr')[first]
  if (rows.value && line)
    rows.value.scrollTop = line.offsetTop - (rows.value.querySelector('thead')?.clientHeight ?? 0)
})

const read = useDebounceFn(async () => {
  wrong.value = ''
  if (!typed.value?.trim()) {
    reading.value = null
    return
  }
  try {
    reading.value = await data(api.POST('/api/lengths/read', { body: { text: typed.value } }))
  } catch (thrown) {
    reading.value = null
    wrong.value = sentenceOf(thrown)
  }
}, 120)
</script>

<template>
  <div class="page">
    <section aria-labelledby="gauges">
      <h1 id="gauges">{{ t('guide-view-wire-sizes') }}</h1>
      <div class="both">
        <div>
          <PaperField
            v-model="typed"
            :label="t('guide-view-type-size-or-gauge')"
            :wrong="wrong"
            :hint="t('guide-view-1-mm-18-awg-18')"
            data-test="size"
            @update:model-value="read"
          />
          <p v-if="reading" class="reading serif" role="status" data-test="reading">
            {{ reading.text }}.
            <span v-if="reading.note" class="quiet">{{ reading.note }}</span>
          </p>
          <p v-else class="quiet about">
            {{ t('guide-view-gauge-number-means-different-sizes') }}
          </p>
        </div>
        <div>
          <div role="group" :aria-label="t('guide-view-gauge-system')" class="systems">
            <v-btn
              v-for="one in tables ?? []"
              :key="one.system"
              class="toggle"
              :aria-pressed="system === one.system"
              :data-system="one.system"
              @click="system = one.system"
            >
              {{ one.label }}
            </v-btn>
          </div>
          <div ref="rows" class="scroll" tabindex="0" role="region" :aria-label="t('guide-view-gauge-table')">
            <v-table class="ledger" data-test="gauge-table">
              <thead>
                <tr>
                  <th>{{ table?.label }}</th>
                  <th class="right">{{ t('guide-view-mm') }}</th>
                  <th class="right">{{ t('guide-view-in') }}</th>
                  <th class="others">{{ t('guide-view-elsewhere') }}</th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="row in table?.rows ?? []" :key="row.number" :class="{ near: row.number === near }">
                  <td class="num">{{ row.number }}</td>
                  <td class="right num">{{ row.size_mm.toFixed(3) }}</td>
                  <td class="right">{{ row.size_in.toFixed(4) }}</td>
                  <td class="quiet others">{{ row.nearest.join(' · ') }}</td>
                </tr>
              </tbody>
            </v-table>
          </div>
        </div>
      </div>
    </section>
    <MetalTable />
    <CautionList />
  </div>
</template>

<style scoped>
.both {
  display: grid;
  grid-template-columns: minmax(240px, 2fr) 7fr;
  gap: 20px 56px;
}

.reading {
  font-size: 1.35rem;
  line-height: 1.35;
  margin: 16px 0 0;
}

.about {
  margin: 16px 0 0;
  max-width: 40ch;
}

.systems {
  display: flex;
  gap: 22px;
}

.scroll {
  max-height: 420px;
  overflow: auto;
}

.scroll thead th {
  position: sticky;
  top: 0;
  background: rgb(var(--v-theme-background));
}

.others {
  padding-left: 24px;
}

.near td {
  background: rgb(var(--v-theme-wash));
}

.ledger td {
  padding-block: 4px;
}

@media (max-width: 820px) {
  .both {
    grid-template-columns: minmax(0, 1fr);
  }
}

@media (max-width: 560px) {
  .others {
    display: none;
  }
}
</style>
