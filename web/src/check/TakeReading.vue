<script setup lang="ts">
import { computed, nextTick, onMounted, useTemplateRef, watch } from 'vue'
import type { CheckView } from '../api/client'
import { t } from '../text'
import { useDimensions, useVerdicts } from './grades'
import type { TakenReadings } from './readings'

/** What is measured next, where its reading goes, and what came of the last. */
const { view, readings } = defineProps<{
  view: CheckView
  readings: TakenReadings
}>()
const { chosen, at, dimension, came, typed, faults, shows, doubt, busy } = readings
const sheet = computed(() => view.sheet)
const check = computed(() => view.entry.record)
const verdicts = useVerdicts()
const { shown, whatOf, across } = useDimensions(() => view.sheet)

const field = useTemplateRef<HTMLInputElement>('field')
const toField = () => field.value?.focus()
onMounted(toField)
watch(at, () => void nextTick(toField))
</script>

<template>
  <section :aria-label="t('check-view-what-measure')">
    <template v-if="at && dimension">
      <p class="which serif" data-test="measure-next">
        <template v-if="check.pieces_n > 1">{{ t('check-view-number', { piecen: at.piece_n }) }} </template>{{
          dimension.what
        }}
      </p>
      <p class="how">{{ chosen ? dimension.how : (sheet.next?.text ?? dimension.how) }}</p>
      <p class="quiet">
        {{ t('check-view-wanted') }}<span class="num">{{ dimension.text }}</span>
      </p>
      <form
        v-if="dimension.found === 'caliper'"
        class="reading no-print"
        @submit.prevent="typed.trim() && readings.keep({ typed, from: 'typed' })"
      >
        <input
          ref="field"
          v-model="typed"
          class="field num"
          inputmode="decimal"
          autocomplete="off"
          :aria-label="t('check-view-measured', { what: dimension.what })"
          :placeholder="t('check-view-reading')"
          data-test="reading"
        />
        <v-btn type="submit" size="large" :disabled="!typed.trim() || busy" data-test="keep-reading">{{
          t('check-view-save-reading')
        }}</v-btn>
        <v-btn
          size="large"
          variant="flat"
          color="primary"
          :disabled="busy"
          data-test="read-caliper"
          @click="readings.readCaliper"
          >{{ t('check-view-read-caliper') }}</v-btn
        >
      </form>
      <div v-else class="reading no-print">
        <v-btn
          v-for="(word, grade) in dimension.grades"
          :key="grade"
          size="large"
          :disabled="busy"
          :data-test="`grade-${grade}`"
          @click="readings.keep({ value: grade, from: 'typed' })"
          >{{ word }}</v-btn
        >
      </div>
    </template>
    <p v-else class="which serif" data-test="all-measured">{{ t('check-view-everything-measured') }}</p>
    <p v-if="shows" class="quiet" role="status" data-test="caliper-told">{{ shows }}</p>
    <p v-for="fault in faults" :key="fault" class="stop" role="alert">{{ fault }}</p>
    <div v-if="doubt" class="doubt" role="alert" data-test="doubt">
      <p>{{ doubt.text }}</p>
      <v-btn
        v-if="doubt.suggested != null"
        color="primary"
        variant="flat"
        :disabled="busy"
        data-test="keep-suggested"
        @click="readings.keep({ value: doubt.suggested, from: doubt.read.from })"
        >{{ t('check-view-save', { suggested: across(doubt.suggested) }) }}</v-btn
      >
      <v-btn
        :disabled="busy"
        data-test="keep-doubted"
        @click="readings.keep({ ...doubt.read, sure: true })"
        >{{ t('check-view-right-save') }}</v-btn
      >
    </div>
    <div v-if="came" class="came" :class="came.one.judged.verdict" role="status" data-test="came">
      <span class="figure num">{{ shown(came.one.key, came.one.value) }}</span>
      <span>
        <template v-if="check.pieces_n > 1"
          >{{ t('check-view-number-2', { piecen: came.piece.piece_n }) }} </template>{{
          whatOf(came.one.key)
        }}:
        <b>{{ verdicts[came.one.judged.verdict] }}</b>
        <template v-if="came.one.judged.verdict !== 'pass'">. {{ came.one.judged.text }}</template>
        <template v-if="came.one.disagreement"> {{ came.one.disagreement }}</template>
      </span>
    </div>
    <nav class="others no-print" :aria-label="t('check-view-another-dimension')">
      <v-btn
        v-for="one in sheet.to_measure"
        :key="one.key"
        class="toggle"
        :aria-pressed="at?.key === one.key"
        :data-test="`measure-${one.key}`"
        @click="readings.pick(one.key)"
      >
        {{ one.what }}
      </v-btn>
    </nav>
  </section>
</template>

<style scoped>
.which {
  font-size: 2rem;
  line-height: 1.15;
  margin: 0 0 6px;
}

.how {
  font-size: 1.15rem;
  margin: 0 0 6px;
}

.reading {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 12px 0;
}

.field {
  flex: 1 1 150px;
  min-width: 0;
  font-size: 1.7rem;
  padding: 4px 10px;
  border: 1px solid rgb(var(--v-theme-hairline));
  border-bottom: 2px solid rgb(var(--v-theme-primary));
  border-radius: 3px;
  background: rgb(var(--v-theme-surface));
  color: inherit;
}

.field::placeholder {
  font-weight: 400;
  font-size: 1.2rem;
  color: rgb(var(--v-theme-quiet));
}

.doubt {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  border-left: 4px solid rgb(var(--v-theme-warning));
  padding: 4px 0 4px 12px;
  margin: 10px 0;
}

.doubt p {
  flex-basis: 100%;
  margin: 0;
  font-size: 1.15rem;
}

.came {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 14px;
  align-items: baseline;
  border-left: 4px solid rgb(var(--v-theme-primary));
  padding: 4px 0 4px 12px;
  margin: 10px 0;
}

.came .figure {
  font-size: 1.9rem;
  white-space: nowrap;
}

.came.rework {
  border-color: rgb(var(--v-theme-warning));
}

.came.reject {
  border-color: rgb(var(--v-theme-error));
}

.others {
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
}
</style>
