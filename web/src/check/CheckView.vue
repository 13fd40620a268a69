<script setup lang="ts">
import { t } from '../text'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { api, data } from '../api/client'
import DrawingStage from '../drawing/DrawingStage.vue'
import BatchPlot from './BatchPlot.vue'
import CausePanel from './CausePanel.vue'
import LotBox from './LotBox.vue'
import MatchPanel from './MatchPanel.vue'
import MeasuredTable from './MeasuredTable.vue'
import ReadingList from './ReadingList.vue'
import TakeReading from './TakeReading.vue'
import TrialPanel from './TrialPanel.vue'
import { useReadings } from './readings'

/** One check: what to measure next, drawn; a reading; what comes of it. */
const route = useRoute()
const id = computed(() => Number(route.params.id))
const { data: view, error } = useQuery({
  queryKey: ['check', id],
  queryFn: () => data(api.GET('/api/checks/{id}', { params: { path: { id: id.value } } })),
  staleTime: 0,
})
const sheet = computed(() => view.value?.sheet)
const check = computed(() => view.value?.entry.record)
const readings = useReadings(id, view)
const { at } = readings

/** The drawing with the one line that is measured next. */
const drawn = computed(() => {
  const drawing = sheet.value?.drawing
  if (!drawing) return null
  const lines = drawing.dimensions.filter((line) => line.figure === at.value?.key)
  return { ...drawing, dimensions: lines.length || at.value ? lines : drawing.dimensions }
})
/** The dimensions that are measured. */
const measured = computed(() => {
  const used = new Set([
    ...(sheet.value?.keys ?? []),
    ...(sheet.value?.pieces ?? []).flatMap((piece) => piece.measured.map((one) => one.key)),
  ])
  return (sheet.value?.to_measure ?? []).filter((one) => used.has(one.key))
})
const whatOf = (key: string) => sheet.value?.to_measure.find((one) => one.key === key)?.what ?? key
const lot = computed(() => {
  const piece = check.value?.piece
  if (!piece) return null
  if ('rings' in piece) return piece.rings.wire.lot ?? null
  return 'chain' in piece ? (piece.chain.ring.wire.lot ?? null) : null
})
/** The piece whose causes are looked at. */
const causing = ref<number | null>(null)
const pairable = computed(() => (sheet.value?.pieces.length ?? 0) > 1)
</script>

<template>
  <div class="page check">
    <p class="crumb no-print">
      <router-link to="/measure">{{ t('check-view-measurements') }}</router-link>
    </p>
    <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
    <p v-else-if="!view" class="quiet" role="status">{{ t('check-view-loading') }}</p>
    <template v-else-if="sheet && check">
      <h1>{{ view.entry.name }}</h1>
      <p class="quiet sentence">{{ view.entry.description }}</p>
      <div class="bench">
        <div class="stage" data-test="check-drawing" :style="{ '--metal': sheet.colour }">
          <DrawingStage v-if="drawn" :drawing="drawn" />
        </div>
        <TakeReading :view="view" :readings="readings" />
      </div>

      <TrialPanel v-if="sheet.next_blank" :view="view" :next="sheet.next_blank" />
      <p v-if="sheet.feedback" class="feedback serif" data-test="feedback">{{ sheet.feedback.text }}</p>
      <LotBox v-if="lot" :lot-n="lot.lot_n" />

      <p class="tally" data-test="tally">{{ sheet.text }}</p>
      <MeasuredTable
        v-if="sheet.pieces.length"
        :sheet="sheet"
        :dimensions="measured"
        @again="readings.pick"
        @why="causing = $event"
      />
      <CausePanel
        v-if="causing"
        :check="id"
        :piece-n="causing"
        @measure="readings.pick($event, causing)"
        @close="causing = null"
      />
      <BatchPlot v-for="one in sheet.charts" :key="one.key" :chart="one.chart" :what="whatOf(one.key)" />
      <MatchPanel v-if="pairable && check.of === 'piece'" :check="id" :dimensions="measured" />
      <ReadingList :readings="view.readings" :dimensions="sheet.to_measure" @aside="readings.setAside" />
    </template>
  </div>
</template>

<style scoped>
.check {
  padding-top: 16px;
}

.crumb {
  margin: 0 0 4px;
}

.sentence {
  margin: 0 0 10px;
}

.bench {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(320px, 440px);
  gap: 10px 36px;
  margin-bottom: 18px;
}

.stage {
  height: min(46vh, 420px);
  min-height: 220px;
  display: grid;
}

.tally {
  font-size: 1.25rem;
  margin: 8px 0;
}

.feedback {
  font-size: 1.3rem;
  max-width: 70ch;
}

@media (max-width: 900px) {
  .bench {
    grid-template-columns: minmax(0, 1fr);
  }

  .stage {
    height: 240px;
  }
}
</style>
