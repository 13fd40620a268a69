<script setup lang="ts">
import { t } from '../text'
import { useNotice } from '../shared/notice'

const notice = useNotice()
// A notice is no step on the way back: Escape is for the dialog beneath it.
const beside = { _disableGlobalStack: true }
</script>

<template>
  <v-snackbar
    v-bind="beside"
    :key="notice.nth"
    v-model="notice.shown"
    :timeout="notice.failed ? 12000 : 8000"
    location="bottom start"
    color="on-surface"
    rounded="sm"
    data-test="notice"
  >
    <span :role="notice.failed ? 'alert' : 'status'">{{ notice.text }}</span>
    <template #actions>
      <v-btn v-if="notice.undo" class="undo" data-test="undo-notice" @click="notice.undo">{{
        t('notice-bar-undo')
      }}</v-btn>
      <v-btn @click="notice.shown = false">{{ t('notice-bar-close') }}</v-btn>
    </template>
  </v-snackbar>
</template>

<style scoped>
/* It stands on the foot of the page, and hides nothing that is used. */
.v-snackbar {
  --v-snackbar-margin: 0px;
}

.v-snackbar :deep(.v-snackbar__wrapper) {
  min-height: 36px;
}

.v-snackbar :deep(.v-snackbar__content) {
  padding-block: 4px;
}

/* Above the doors at the foot of a phone. */
@media (max-width: 600px) {
  .v-snackbar {
    --v-snackbar-margin: 8px;
    margin-bottom: 54px;
  }
}

.undo {
  text-decoration: underline;
}
</style>
