<script setup lang="ts">
import { computed } from 'vue'
import { useFormAround } from './form'

/** A word of a sentence that is typed into: as wide as what stands in it; what is wrong with it stands under it. */
const props = defineProps<{
  /** What its faults call it. */
  name: string
  /** What it is called for those who cannot see the sentence. */
  label: string
  /** What stands there while nothing is typed. */
  placeholder?: string
  /** A number is typed: a telephone shows its figures. */
  figures?: boolean
}>()
const text = defineModel<string | null>()

const form = useFormAround()
form?.field([props.name])
const faults = computed(() => form?.at([props.name]) ?? [])
const wide = computed(() => Math.max((text.value ?? '').length, props.placeholder?.length ?? 0, 2) + 1)
</script>

<template>
  <span class="typed-word">
    <input
      v-model="text"
      class="word num"
      :class="{ wrong: faults.length }"
      :style="{ '--wide': `${wide}ch` }"
      :aria-label="label"
      :aria-invalid="faults.length > 0"
      :placeholder="placeholder"
      :inputmode="figures ? 'decimal' : undefined"
      autocomplete="off"
    />
    <span v-for="sentence in faults" :key="sentence" class="stop why" role="alert">{{ sentence }}</span>
  </span>
</template>

<style scoped>
.typed-word {
  display: inline-block;
  max-width: 100%;
}

.word {
  width: var(--wide);
  min-width: 1.6em;
}

@supports (field-sizing: content) {
  .word {
    width: auto;
  }
}

.why {
  display: block;
  font-family: 'Alegreya Sans', sans-serif;
  font-size: 0.98rem;
  line-height: 1.2;
  max-width: 30ch;
}

.wrong {
  border-color: rgb(var(--v-theme-error));
}
</style>
