<script setup lang="ts" generic="R extends object">
import { t } from '../text'
import type { Choice } from '../desk/types'

/** One thing that can be changed about a route, with what comes of it. */
const { choice } = defineProps<{ choice: Choice<R> }>()
const emit = defineEmits<{ choose: [choice: Choice<R>] }>()
</script>

<template>
  <button
    type="button"
    class="plain menu-line offer"
    :class="{ chosen: choice.chosen }"
    :disabled="!choice.possible"
    :aria-pressed="choice.chosen"
    data-test="route-offer"
    @click="emit('choose', choice)"
  >
    <span
      >{{ choice.take_back ?? choice.label
      }}<span v-if="choice.chosen && !choice.take_back" class="quiet"> {{ t('offer-line-now') }}</span></span
    >
    <span class="effect" :class="{ stop: !choice.possible, watch: choice.advised }">{{ choice.effect }}</span>
  </button>
</template>

<style scoped>
.offer {
  display: grid;
  line-height: 1.25;
}

.offer > span:first-child::first-letter {
  text-transform: uppercase;
}

.chosen {
  box-shadow: inset 3px 0 0 rgb(var(--v-theme-primary));
}

.effect {
  font-size: 0.95rem;
  color: rgb(var(--v-theme-quiet));
}

.effect.stop {
  color: rgb(var(--v-theme-error));
}

.effect.watch {
  color: rgb(var(--v-theme-warning));
}
</style>
