<script setup lang="ts">
import { computed } from 'vue'
import type { Answer } from '../api/client'

/** A typed line with the words that were not understood, and what may be meant by each. */
const { unclear, text } = defineProps<{
  unclear: Answer['unclear']
  /** The line as it was typed. */
  text: string
}>()
const emit = defineEmits<{ instead: [word: { from: number; to: number }, meant: string] }>()

/** The typed line cut where words were not understood. */
const marked = computed(() => {
  const letters = [...text]
  const parts: { text: string; unclear: boolean }[] = []
  let at = 0
  for (const word of [...unclear].sort((a, b) => a.from - b.from)) {
    parts.push({ text: letters.slice(at, word.from).join(''), unclear: false })
    parts.push({ text: letters.slice(word.from, word.to).join(''), unclear: true })
    at = word.to
  }
  parts.push({ text: letters.slice(at).join(''), unclear: false })
  return parts
})
</script>

<template>
  <p class="typed">
    <template v-for="(part, i) in marked" :key="i"
      ><mark v-if="part.unclear">{{ part.text }}</mark
      ><template v-else>{{ part.text }}</template></template
    >
  </p>
  <ul class="stop">
    <li v-for="word in unclear" :key="word.from">
      {{ word.why }}
      <v-btn
        v-for="meant in word.instead ?? []"
        :key="meant"
        size="small"
        variant="outlined"
        color="primary"
        class="meant"
        data-test="ask-instead"
        @click="emit('instead', word, meant)"
        >{{ meant }}</v-btn
      >
    </li>
  </ul>
</template>

<style scoped>
p {
  margin: 0 0 8px;
}

ul {
  margin: 0 0 8px;
  padding-left: 18px;
}

.meant {
  margin: 0 4px;
}

mark {
  background: none;
  color: rgb(var(--v-theme-error));
  text-decoration: underline wavy;
}
</style>
