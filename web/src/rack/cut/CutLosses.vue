<script setup lang="ts">
import PaperField from '../../shared/PaperField.vue'
import { t } from '../../text'

/** What is lost at ends and cuts, and which offcut is worth keeping, as typed. */
const losses = defineModel<{ trim_mm: string; kerf_mm: string; shortest_useful_mm: string }>({
  required: true,
})
const emit = defineEmits<{ change: [] }>()
</script>

<template>
  <div class="losses no-print">
    <PaperField
      v-model="losses.trim_mm"
      name="trim_mm"
      :label="t('wire-plan-lost-at-each-flush-trim')"
      figures
      data-test="trim"
      @change="emit('change')"
    />
    <PaperField
      v-model="losses.kerf_mm"
      name="kerf_mm"
      :label="t('wire-plan-lost-at-each-cut')"
      :hint="t('wire-plan-0-for-nippers-blades-kerf')"
      figures
      @change="emit('change')"
    />
    <PaperField
      v-model="losses.shortest_useful_mm"
      name="shortest_useful_mm"
      :label="t('wire-plan-shortest-offcut-worth-keeping')"
      figures
      @change="emit('change')"
    />
  </div>
</template>

<style scoped>
.losses {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
  gap: 0 20px;
  align-items: start;
}
</style>
