<script setup lang="ts">
import { computed } from 'vue'
import type { CheckView, CheckedPiece } from '../api/client'
import { t } from '../text'
import { useDimensions, useVerdicts } from './grades'
import { measuredOf } from './readings'

/** What was measured, piece by piece; a figure can be measured again, and asked why it is off. */
const { sheet, dimensions } = defineProps<{
  sheet: CheckView['sheet']
  /** The dimensions that are measured. */
  dimensions: CheckView['sheet']['to_measure']
}>()
const emit = defineEmits<{ again: [key: string, piece_n: number]; why: [piece_n: number] }>()

const verdicts = useVerdicts()
const { shown } = useDimensions(() => sheet)
const headers = computed(() => [
  { key: 'piece_n', title: t('check-view-number-3') },
  ...dimensions.map(({ key, what }) => ({
    key,
    title: what,
    align: 'end' as const,
    value: (piece: CheckedPiece) => measuredOf(piece, key)?.value,
  })),
  { key: 'verdict', title: t('check-view-results') },
])
const figure = (piece: CheckedPiece, key: string) => {
  const one = measuredOf(piece, key)
  return one ? shown(key, one.value) : '–'
}
</script>

<template>
  <div class="scroll">
    <v-data-table class="ledger" :headers="headers" :items="sheet.pieces" data-test="measured">
      <template #item="{ item: piece }">
        <tr>
          <td class="num">{{ piece.piece_n }}</td>
          <td
            v-for="one in dimensions"
            :key="one.key"
            class="right num"
            :class="measuredOf(piece, one.key)?.judged.verdict"
          >
            <button
              type="button"
              class="plain cell"
              :aria-label="
                t('check-view-measure-number-again', {
                  key: figure(piece, one.key),
                  what: one.what,
                  piecen: piece.piece_n,
                })
              "
              :data-test="`again-${piece.piece_n}-${one.key}`"
              @click="emit('again', one.key, piece.piece_n)"
            >
              {{ figure(piece, one.key) }}
            </button>
          </td>
          <td>
            {{ verdicts[piece.verdict] }}
            <v-btn
              v-if="piece.verdict !== 'pass'"
              density="compact"
              class="no-print"
              data-test="why"
              @click="emit('why', piece.piece_n)"
              >{{ t('check-view-why') }}</v-btn
            >
          </td>
        </tr>
      </template>
    </v-data-table>
  </div>
</template>

<style scoped>
.cell {
  min-height: 28px;
}

.cell:hover {
  text-decoration: underline;
}

td.rework {
  color: rgb(var(--v-theme-warning));
}

td.reject {
  color: rgb(var(--v-theme-error));
}

.scroll {
  overflow-x: auto;
  margin-bottom: 16px;
}
</style>
