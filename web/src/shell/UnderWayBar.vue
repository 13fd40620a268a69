<script setup lang="ts">
import { t } from '../text'
import { computed } from 'vue'
import { useUnderWay } from '../shared/underWay'

/** The long request that is waited for, at the foot of the screen with how far it is, above dialogs as well. */
const underWay = useUnderWay()
const one = computed(() => underWay.all[0])
// It is no step on the way back: Escape is for the dialog beneath it.
const beside = { _disableGlobalStack: true }

const far = computed(() => {
  if (!one.value) return ''
  const { title, bytes, share } = one.value
  if (bytes > 1e6) return t('under-way-bar-mb-so-far', { title, e6: Math.floor(bytes / 1e6) })
  return share === null ? title : `${title}, ${Math.floor(share * 100)} %`
})
</script>

<template>
  <v-snackbar
    v-if="one"
    v-bind="beside"
    :model-value="true"
    :timeout="-1"
    location="bottom end"
    color="on-surface"
    rounded="sm"
    data-test="under-way"
  >
    <span role="status">{{ far }}</span>
    <v-progress-linear
      class="mt-2"
      :model-value="(one.share ?? 0) * 100"
      :indeterminate="one.share === null"
      :aria-label="t('under-way-bar-progress')"
    />
    <template v-if="one.cancel" #actions>
      <v-btn data-test="cancel-request" @click="one.cancel">{{ t('under-way-bar-cancel') }}</v-btn>
    </template>
  </v-snackbar>
</template>

<style scoped>
/* Above the doors at the foot of a phone. */
@media (max-width: 600px) {
  .v-snackbar {
    --v-snackbar-margin: 8px;
    margin-bottom: 54px;
  }
}
</style>
