<script setup lang="ts">
import { computed } from 'vue'
import WordFaults from './WordFaults.vue'
import { useFieldFaults } from './form'

/** A word of a sentence that is typed into: as wide as what stands in it; what is wrong with it stands under it. */
const props = defineProps<{
  /** What its faults call it. */
  name: string
  /** What else they may call it. */
  also?: readonly string[]
  /** What it is called for those who cannot see the sentence. */
  label: string
  /** What stands there while nothing is typed. */
  placeholder?: string
  /** A number is typed: a telephone shows its figures. */
  figures?: boolean
  /** The most characters it takes. */
  most?: number
}>()
const text = defineModel<string | null>()

const faults = useFieldFaults([props.name, ...(props.also ?? [])])
const wide = computed(() => Math.max((text.value ?? '').length, props.placeholder?.length ?? 0, 2) + 1)
</script>

<template>
  <span class="sentence-word">
    <input
      v-model="text"
      class="word num"
      :class="{ wrong: faults.length }"
      :style="{ '--wide': `${wide}ch` }"
      :aria-label="label"
      :aria-invalid="faults.length > 0"
      :placeholder="placeholder"
      :inputmode="figures ? 'decimal' : undefined"
      :maxlength="most"
      autocomplete="off"
    />
    <WordFaults :faults="faults" />
  </span>
</template>

<style scoped>
.word {
  width: var(--wide);
  min-width: 1.6em;
}

@supports (field-sizing: content) {
  .word {
    width: auto;
  }
}
</style>
