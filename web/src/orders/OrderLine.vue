<script setup lang="ts">
import { computed } from 'vue'
import type { OrderRow } from '../api/client'
import { t } from '../text'

/** One line of an order: what is wanted, what covers it, and the next thing to do about it. */
const { ordered, line, forStock } = defineProps<{
  ordered: OrderRow['record']['lines'][number]
  line: OrderRow['lines'][number]
  /** It is handed to nobody. */
  forStock: boolean
}>()
const emit = defineEmits<{ begin: []; 'hand-over': [] }>()

const handed = computed(() => ordered.handed_n ?? 0)
/** What covers it, in words; what is none of it is left out. */
const cover = computed(() =>
  [
    [handed.value, t('orders-view-handed-over-2')],
    [line.in_bags_n, t('orders-view-in-bags')],
    [line.under_way_n, t('orders-view-in-progress')],
    [line.to_make_n, t('orders-view-make')],
  ]
    .filter(([n]) => n)
    .map(([n, words]) => `${n} ${words}`)
    .join(' · '),
)
const share = (n: number) => `${(100 * n) / Math.max(1, line.to_deliver_n + handed.value)}%`
</script>

<template>
  <div class="line" data-test="order-line">
    <div class="what">
      <strong>{{ line.wanted }}</strong> {{ ordered.name }}
      <span class="quiet sentence">{{ line.text }}</span>
    </div>
    <div class="cover">
      <div class="bar" aria-hidden="true">
        <i class="over" :style="{ width: share(handed) }" />
        <i class="bags" :style="{ width: share(line.in_bags_n) }" />
        <i class="way" :style="{ width: share(line.under_way_n) }" />
      </div>
      <span data-test="covered">{{ cover }}</span>
    </div>
    <div class="acts">
      <v-btn
        v-if="line.to_make_n"
        color="primary"
        variant="flat"
        data-test="begin-line"
        @click="emit('begin')"
        >{{ t('orders-view-start-batch', { tomaken: line.to_make_n }) }}</v-btn
      >
      <v-btn
        v-if="line.in_bags_n && !forStock"
        :color="line.to_make_n ? undefined : 'primary'"
        :variant="line.to_make_n ? 'outlined' : 'flat'"
        data-test="hand-over"
        @click="emit('hand-over')"
        >{{ t('orders-view-hand-over') }}</v-btn
      >
    </div>
  </div>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(200px, 4fr) 264px;
  align-items: center;
  gap: 4px 28px;
  padding: 6px 0;
}

.sentence {
  display: block;
  line-height: 1.25;
}

.bar {
  display: flex;
  height: 7px;
  border-radius: 4px;
  overflow: hidden;
  background: rgb(var(--v-theme-hairline));
}

.bar i {
  display: block;
}

.over {
  background: rgb(var(--v-theme-quiet));
}

.bags {
  background: rgb(var(--v-theme-primary));
}

.way {
  background: repeating-linear-gradient(-45deg, rgb(var(--v-theme-primary)) 0 4px, transparent 4px 8px);
}

.acts {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 8px;
}

@media (max-width: 760px) {
  .line {
    grid-template-columns: minmax(0, 1fr);
  }

  .acts {
    justify-content: flex-start;
  }
}
</style>
