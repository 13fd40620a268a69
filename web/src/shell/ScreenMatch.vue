<script setup lang="ts">
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
  <PaperDialog v-model="open" title="Match the screen" :width="760">
    <p>
      Hold a bank card on the screen and move the slider until the bar is as long as its long edge, 85.6 mm.
    </p>
    <div class="track"><div class="bar" :style="{ width: `${width}px` }" /></div>
    <v-slider
      v-model="width"
      :min="180"
      :max="700"
      :step="0.5"
      color="primary"
      aria-label="Length of the bar"
      hide-details
    />
    <v-btn variant="flat" color="primary" data-test="keep-match" @click="keep">It matches</v-btn>
    <v-btn v-if="settings.pixelsPerMm" @click="settings.pixelsPerMm = null">Forget</v-btn>
    <v-btn @click="open = false">Cancel</v-btn>
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
