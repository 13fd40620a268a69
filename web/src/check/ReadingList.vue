<script setup lang="ts">
import { momentOf } from '../shared/dates'
import { t } from '../text'
import { computed, ref } from 'vue'
import type { CaliperReading, ToMeasure } from '../api/client'
import { useAmounts } from '../shared/amounts'

/** Every reading as it was taken; one is set aside by the maker, never by the program. */
const props = defineProps<{ readings: CaliperReading[]; dimensions: ToMeasure[] }>()
const emit = defineEmits<{ aside: [reading: number, aside: boolean] }>()
const { across } = useAmounts()
const open = ref(false)
const named = (key: string) => props.dimensions.find((one) => one.key === key)
const value = (one: CaliperReading) => named(one.key)?.grades?.[one.value] ?? across(one.value)
const newest = computed(() => [...props.readings].reverse())
const sources = {
  typed: t('reading-list-typed'),
  caliper: t('reading-list-caliper'),
  simulated: t('reading-list-simulated-caliper'),
}
</script>

<template>
  <section v-if="readings.length" class="readings no-print">
    <v-btn class="toggle" :aria-expanded="open" data-test="all-readings" @click="open = !open">
      {{
        open ? t('reading-list-hide-readings') : t('reading-list-all-readings', { readings: readings.length })
      }}
    </v-btn>
    <div v-if="open" class="scroll">
      <v-table class="ledger" data-test="readings">
        <tbody>
          <tr v-for="one in newest" :key="one.reading_n" :class="{ quiet: one.excluded }">
            <td class="num">{{ one.piece_n }}</td>
            <td>{{ named(one.key)?.what ?? one.key }}</td>
            <td class="num right">{{ value(one) }}</td>
            <td>{{ sources[one.from] }}</td>
            <td>{{ momentOf(one.at) }}</td>
            <td>
              <v-btn
                density="compact"
                data-test="set-aside"
                @click="emit('aside', one.reading_n, !one.excluded)"
                >{{ one.excluded ? t('reading-list-count-again') : t('reading-list-set-aside') }}</v-btn
              >
            </td>
          </tr>
        </tbody>
      </v-table>
    </div>
  </section>
</template>

<style scoped>
.readings {
  margin-top: 14px;
}

.scroll {
  overflow-x: auto;
}
</style>
