<script setup lang="ts">
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

const when = (text: string) =>
  new Date(text).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })
</script>

<template>
  <div class="both" role="alert" data-test="conflict">
    <p class="stop">
      Someone else changed this since you opened it, {{ when(at) }}. Nothing is lost: both versions are here.
    </p>
    <section>
      <h3>Yours</h3>
      <p class="serif">{{ yours }}</p>
      <v-btn data-test="keep-mine" @click="emit('mine')">Save yours over it</v-btn>
    </section>
    <section>
      <h3>The other version</h3>
      <p class="serif">{{ theirs }}</p>
      <slot />
      <v-btn data-test="open-theirs" @click="emit('theirs')">Open the other version</v-btn>
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
