<script setup lang="ts">
import { t } from '../text'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, data } from '../api/client'

/** The likely causes of a misfit, with what to change, and what would tell them apart. */
const props = defineProps<{ check: number; pieceN: number }>()
const emit = defineEmits<{ measure: [key: string]; close: [] }>()
const { data: misfit, error } = useQuery({
  queryKey: ['check', computed(() => props.check), 'causes', computed(() => props.pieceN)],
  queryFn: () =>
    data(
      api.GET('/api/checks/{id}/causes', {
        params: { path: { id: props.check }, query: { piece_n: props.pieceN } },
      }),
    ),
  staleTime: 0,
})
</script>

<template>
  <section class="causes" :aria-label="t('cause-panel-causes')" data-test="causes">
    <h2>{{ t('cause-panel-why-number-came-out-like', { piece_n: pieceN }) }}</h2>
    <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
    <template v-else-if="misfit">
      <p class="told" data-test="cause-told">
        {{ misfit.text }}
        <v-btn v-if="misfit.measure_next" class="no-print" @click="emit('measure', misfit.measure_next!)">{{
          t('cause-panel-measure-that')
        }}</v-btn>
      </p>
      <ol>
        <li v-for="one in misfit.causes" :key="one.cause">
          <b>{{ one.text }}</b>
          <span v-if="!misfit.together" class="quiet num">{{
            t('cause-panel-in-100', { share: Math.round(100 * one.share) })
          }}</span>
          <p>{{ one.change }}</p>
        </li>
      </ol>
    </template>
    <v-btn variant="text" class="no-print" @click="emit('close')">{{ t('cause-panel-close') }}</v-btn>
  </section>
</template>

<style scoped>
.causes {
  border-left: 4px solid rgb(var(--v-theme-warning));
  padding: 2px 0 2px 16px;
  margin: 0 0 16px;
  max-width: 76ch;
}

.told {
  font-size: 1.15rem;
}

ol {
  padding-left: 1.3em;
}

li p {
  margin: 2px 0 8px;
}
</style>
