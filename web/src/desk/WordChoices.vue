<script setup lang="ts" generic="R extends object">
import { computed, ref, useTemplateRef } from 'vue'
import { vOneStop } from '../shared/oneStop'
import { t } from '../text'
import type { Choice } from './types'
import MenuLine from '../shared/MenuLine.vue'

/** What a word can be, each with what it would change. */
const { choices, typed } = defineProps<{
  choices: Choice<R>[]
  /** What is typed into the word's own field; none where it has no field. */
  typed: string | null
}>()
const emit = defineEmits<{ choose: [choice: Choice<R>] }>()

const find = ref('')
const list = useTemplateRef<HTMLElement>('list')
/** Lists can be long: those that contain what is being looked for, in the field one types into or in one of their own. */
const listed = computed(() => {
  const words = (typed ?? find.value).toLowerCase().split(/\s+/).filter(Boolean)
  return choices.filter((choice) => words.every((word) => choice.label.toLowerCase().includes(word)))
})

/** A long list opens at what is chosen. */
function showChosen() {
  const now = list.value?.querySelector<HTMLElement>('.chosen')
  if (list.value && now) list.value.scrollTop = now.offsetTop - list.value.offsetTop - 60
}
defineExpose({ showChosen })
</script>

<template>
  <input
    v-if="choices.length > 10 && typed === null"
    v-model="find"
    class="find"
    type="search"
    :placeholder="t('word-editor-find-among-these')"
    :aria-label="t('word-editor-find-among-these')"
  />
  <p v-if="choices.length && !listed.length" class="quiet says">
    {{ t('word-editor-no-match-what-you-typed') }}
  </p>
  <div ref="list" v-one-stop="'.choice'" class="choices">
    <MenuLine
      v-for="choice in listed"
      :key="choice.label"
      class="choice"
      :class="{ chosen: choice.chosen, impossible: !choice.possible }"
      :aria-current="choice.chosen"
      data-test="choice"
      @click="emit('choose', choice)"
    >
      <span>{{ choice.label }}</span>
      <span class="effect">{{ choice.effect }}</span>
    </MenuLine>
  </div>
</template>

<style scoped>
.choice {
  display: grid;
}

.chosen {
  box-shadow: inset 3px 0 0 rgb(var(--v-theme-primary));
  font-weight: 700;
}

.effect {
  font-weight: 400;
  font-size: 0.95rem;
  color: rgb(var(--v-theme-quiet));
}

.impossible .effect {
  color: rgb(var(--v-theme-error));
}

.find {
  width: 100%;
  min-height: 40px;
  margin-top: 12px;
  padding: 4px 8px;
  font: inherit;
  color: inherit;
  background: rgb(var(--v-theme-background));
  border: 1px solid rgb(var(--v-theme-hairline));
  border-radius: 3px;
}

.choices {
  margin-top: 6px;
  max-height: min(40vh, 360px);
  overflow: auto;
}

.says {
  margin: 0 0 4px;
}
</style>
