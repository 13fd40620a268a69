<script setup lang="ts">
import { t } from '../text'
import { ref, watch } from 'vue'
import { useSettings } from '../shared/settings'
import PaperDialog from '../shared/PaperDialog.vue'

const open = defineModel<boolean>({ required: true })
const settings = useSettings()
/** Long edge of a bank card, ISO/IEC 7810 ID-1. */
const CARD_MM = 85.6
/** What browsers take a millimetre for when nobody has measured. */
const ASSUMED = 96 / 25.4
const width = ref(CARD_MM * ASSUMED)

watch(open, (now) => {
  if (now) width.value = CARD_MM * (settings.pixelsPerMm ?? ASSUMED)
})

function keep() {
  settings.pixelsPerMm = width.value / CARD_MM
  open.value = false
}
</script>

<template>
  <PaperDialog v-model="open" :title="t('screen-match-match-screen')" :width="760">
    <p>
      {{ t('screen-match-hold-bank-card-on-screen') }}
    </p>
    <div class="track"><div class="bar" :style="{ width: `${width}px` }" /></div>
    <v-slider
      v-model="width"
      :min="180"
      :max="700"
      :step="0.5"
      color="primary"
      :aria-label="t('screen-match-length-bar')"
      hide-details
    />
    <v-btn variant="flat" color="primary" data-test="keep-match" @click="keep">{{
      t('screen-match-matches')
    }}</v-btn>
    <v-btn v-if="settings.pixelsPerMm" @click="settings.pixelsPerMm = null">{{
      t('screen-match-forget')
    }}</v-btn>
    <v-btn @click="open = false">{{ t('screen-match-cancel') }}</v-btn>
  </PaperDialog>
</template>

<style scoped>
.track {
  overflow: hidden;
  padding: 18px 0;
}

.bar {
  height: 46px;
  background: rgb(var(--v-theme-wash));
  border-inline: 2px solid rgb(var(--v-theme-primary));
}
</style>
