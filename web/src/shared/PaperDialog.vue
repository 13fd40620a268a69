<script setup lang="ts">
import { nextTick, watch } from 'vue'

/**
 * The one sheet that is laid over a view. It says what it is, is a form where it keeps something, and gives the
 * focus back to what opened it.
 */
defineProps<{
  /** What stands at its head. */
  title?: string
  /** What it is called for those who cannot see it; its title if left out. */
  name?: string
  width?: number
  /** Whether it keeps something: then Enter submits it. */
  form?: boolean
}>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ submit: [] }>()

let opener: HTMLElement | null = null
watch(
  open,
  async (now) => {
    if (now) {
      opener = document.activeElement instanceof HTMLElement ? document.activeElement : null
      return
    }
    await nextTick()
    if (opener?.isConnected) opener.focus()
  },
  { immediate: true },
)
</script>

<template>
  <v-dialog v-model="open" :max-width="width ?? 480" scrollable :aria-label="name ?? title">
    <component
      :is="form ? 'form' : 'div'"
      class="popover paper"
      :novalidate="form || undefined"
      @submit.prevent="emit('submit')"
    >
      <h2 v-if="title">{{ title }}</h2>
      <slot />
    </component>
  </v-dialog>
</template>

<style scoped>
.paper {
  overflow-y: auto;
}
</style>
