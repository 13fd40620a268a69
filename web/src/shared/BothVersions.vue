<script setup lang="ts">
import { momentOf } from './dates'
import { t } from '../text'
/** What was changed here and elsewhere at once, side by side: nothing is written over unseen. */
defineProps<{
  /** What is here, in words. */
  yours: string
  /** What stands there now, in words. */
  theirs: string
  /** When it was changed there. */
  at: string
}>()
const emit = defineEmits<{ mine: []; theirs: [] }>()
</script>

<template>
  <div class="both" role="alert" data-test="conflict">
    <p class="stop">
      {{ t('both-versions-someone-else-changed-this-since', { at: momentOf(at) }) }}
    </p>
    <section>
      <h3>{{ t('both-versions-yours') }}</h3>
      <p class="serif">{{ yours }}</p>
      <v-btn data-test="keep-mine" @click="emit('mine')">{{ t('both-versions-save-yours-over') }}</v-btn>
    </section>
    <section>
      <h3>{{ t('both-versions-other-version') }}</h3>
      <p class="serif">{{ theirs }}</p>
      <slot />
      <v-btn data-test="open-theirs" @click="emit('theirs')">{{
        t('both-versions-open-other-version')
      }}</v-btn>
    </section>
  </div>
</template>

<style scoped>
.both {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 4px 24px;
}

.both > p {
  grid-column: 1 / -1;
}

@media (max-width: 520px) {
  .both {
    grid-template-columns: 1fr;
  }
}
</style>
