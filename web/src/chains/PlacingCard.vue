<script setup lang="ts">
import { t } from '../text'
import type { PlacingShown } from '../api/client'

/** What to do with the next ring, in words. */
defineProps<{ shown: PlacingShown }>()
</script>

<template>
  <div v-if="shown.placing" class="placing" data-test="placing">
    <p class="place num">
      {{ t('placing-card-row', { row: shown.placing.row })
      }}<span class="quiet">{{ t('placing-card-of', { rowsn: shown.placing.rows_n }) }}</span>
    </p>
    <p class="ring">
      {{ t('placing-card-ring', { inrow: shown.placing.ring_in_row_n, ofrow: shown.placing.of_row })
      }}<b>{{ shown.placing.ring }}</b>
    </p>
    <p class="text serif" data-test="placing-text">{{ shown.placing.text }}</p>
    <ul class="key" :aria-label="t('placing-card-key-drawing')">
      <li><span class="dot new" />{{ t('placing-card-new-ring-its-gap-open') }}</li>
      <li v-if="shown.placing.through.length">
        <span class="dot through" />{{
          t('placing-card-through', { through: shown.placing.through.join(', ') })
        }}
      </li>
      <li v-if="shown.placing.picks_up.length">
        <span class="dot up" />{{
          t('placing-card-closed-picked-up', { takesup: shown.placing.picks_up.join(', ') })
        }}
      </li>
    </ul>
    <details>
      <summary>{{ t('placing-card-if-went-wrong') }}</summary>
      <p>{{ shown.placing.if_wrong }}</p>
    </details>
  </div>
  <p v-else class="text serif">{{ t('placing-card-all-rings-in-hang-clasp') }}</p>
</template>

<style scoped>
.place {
  margin: 0;
  font-size: clamp(2.2rem, 5vw, 3.4rem);
  line-height: 1;
}

.place .quiet {
  font-size: 0.5em;
  font-weight: 500;
}

.ring {
  margin: 4px 0 6px;
  font-size: 1.2rem;
}

.text {
  margin: 0 0 8px;
  font-size: clamp(1.2rem, 2vw, 1.5rem);
  line-height: 1.25;
}

.key {
  list-style: none;
  margin: 0 0 8px;
  padding: 0;
}

.dot {
  display: inline-block;
  width: 13px;
  height: 13px;
  border-radius: 50%;
  margin-right: 6px;
  border: 2px solid rgb(var(--v-theme-on-background));
}

.dot.new {
  background: rgb(var(--v-theme-primary));
}

.dot.through {
  background: var(--metal);
}

.dot.up {
  background: repeating-linear-gradient(
    90deg,
    rgb(var(--v-theme-warning)) 0 3px,
    rgb(var(--v-theme-background)) 3px 5px
  );
}

summary {
  cursor: pointer;
  color: rgb(var(--v-theme-primary));
}

details p {
  margin: 4px 0 0;
}
</style>
