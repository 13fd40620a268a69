<script setup lang="ts">
import { useUnderWay, type UnderWay } from '../shared/underWay'

/** Long requests at the foot of the screen, each with how far it is, until it is answered. */
const underWay = useUnderWay()

function far(one: UnderWay) {
  if (one.bytes > 1e6) return `${one.title}, ${Math.floor(one.bytes / 1e6)} MB so far`
  return one.share === null ? one.title : `${one.title}, ${Math.floor(one.share * 100)} %`
}
</script>

<template>
  <div v-if="underWay.all.length" class="under-way" role="status" data-test="under-way">
    <v-card v-for="one in underWay.all" :key="one.name" class="one" variant="elevated">
      <span>{{ far(one) }}</span>
      <v-btn v-if="one.cancel" data-test="cancel-request" @click="one.cancel">Cancel</v-btn>
      <v-progress-linear
        :model-value="(one.share ?? 0) * 100"
        :indeterminate="one.share === null"
        color="primary"
        absolute
        location="bottom"
        aria-label="Progress"
      />
    </v-card>
  </div>
</template>

<style scoped>
.under-way {
  position: fixed;
  right: 16px;
  bottom: 16px;
  z-index: 2000;
  display: grid;
  gap: 8px;
}

.one {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 8px 8px 8px 16px;
}

/* Above the doors at the foot of a phone. */
@media (max-width: 600px) {
  .under-way {
    bottom: 70px;
  }
}
</style>
