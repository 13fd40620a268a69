<script setup lang="ts">
import { t } from '../../text'
import { computed, ref } from 'vue'
import type { Check } from '../../api/client'

/** What closes, collides and fits: what is not well first, the rest on demand. */
const props = defineProps<{
  checks: Check[]
  /** Those that press, or the rest. */
  which: 'pressing' | 'well'
}>()
const emit = defineEmits<{ point: [segment: number | null] }>()
const all = ref(false)
const pressing = computed(() => props.checks.filter((check) => !check.ok))
const well = computed(() => props.checks.filter((check) => check.ok))
const marks = {
  stop: t('check-list-stop'),
  watch: t('check-list-watch'),
  note: t('check-list-note'),
} as const
</script>

<template>
  <section v-if="which === 'pressing' && pressing.length" data-test="checks">
    <p
      v-for="(check, i) in pressing"
      :key="i"
      class="check"
      :class="check.level"
      @pointerenter="emit('point', check.segment_n ?? null)"
      @pointerleave="emit('point', null)"
    >
      <b>{{ marks[check.level] }}.</b> {{ check.text }}
    </p>
  </section>
  <section v-else-if="which === 'well' && well.length" data-test="well">
    <v-btn class="quiet more inline" :aria-expanded="all" data-test="all-checks" @click="all = !all">
      {{ well.length }} {{ well.length === 1 ? t('check-list-check-passed') : t('check-list-checks-passed')
      }}{{ all ? ':' : '' }}
    </v-btn>
    <ul v-if="all">
      <li v-for="check in well" :key="check.text">{{ check.text }}</li>
    </ul>
  </section>
</template>

<style scoped>
.check {
  margin: 5px 0 0;
  padding-left: 9px;
  border-left: 3px solid currentcolor;
  line-height: 1.25;
}

.more {
  padding: 4px 0;
  text-decoration: underline dotted;
  text-underline-offset: 3px;
}

ul {
  margin: 0 0 6px;
  padding-left: 18px;
  line-height: 1.3;
}
</style>
