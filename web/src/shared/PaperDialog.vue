<script setup lang="ts">
import { t } from '../text'
import { nextTick, ref, watch } from 'vue'
import { useFormAround } from './form'

/**
 * The one sheet that is laid over a view. It says what it is, gives the focus back to what opened it, and where it
 * does something it is a form: Enter does it, and what is wrong with none of its fields stands at its foot.
 */
const props = defineProps<{
  /** What stands at its head. */
  title?: string
  /** What it is called for those who cannot see it; its title if left out. */
  name?: string
  width?: number
  /** What it does, on the button that does it; a sheet to look at has none. */
  does?: string
  /** That button's name in tests. */
  test?: string
  /** Whether it is being done. */
  busy?: boolean
  /** Whether it cannot be done yet. */
  disabled?: boolean
  /** Whether it opened with what was typed in it before and is not kept yet. */
  unkept?: boolean
}>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ submit: [] }>()

const form = useFormAround()

/** Whether something was typed in it, which Escape does not throw away unasked. */
const typed = ref(false)
const asking = ref(false)
function onEscape(event: KeyboardEvent) {
  // A list that is open closes first.
  if (event.defaultPrevented || document.querySelector('.v-overlay--active .v-list')) return
  if ((typed.value || props.unkept) && props.does && !asking.value) asking.value = true
  else open.value = false
}

/** What opened it: a line of a menu is gone with its menu, and the menu's own button stands for it. */
function openerOf(active: Element | null): HTMLElement | null {
  const menu = active?.closest('.v-menu')?.id
  const button = menu ? document.querySelector<HTMLElement>(`[aria-controls="${menu}"]`) : null
  return button ?? (active instanceof HTMLElement ? active : null)
}

let opener: HTMLElement | null = null
watch(
  open,
  async (now) => {
    typed.value = asking.value = false
    if (now) {
      opener = openerOf(document.activeElement)
      return
    }
    await nextTick()
    if (opener?.isConnected) opener.focus()
  },
  { immediate: true },
)
</script>

<template>
  <v-dialog
    v-model="open"
    class="sheet"
    :max-width="width ?? 480"
    scrollable
    :persistent="!!does"
    no-click-animation
    :aria-label="name ?? title"
    @keydown.esc="does && onEscape($event)"
  >
    <component
      :is="does ? 'form' : 'div'"
      class="popover paper"
      :novalidate="does ? true : undefined"
      @submit.prevent="emit('submit')"
      @input="((typed = true), (asking = false))"
    >
      <h2 v-if="title">{{ title }}</h2>
      <slot />
      <template v-if="does">
        <p
          v-for="fault in form?.elsewhere.value ?? []"
          :key="fault.field + fault.message"
          class="stop mt-2"
          role="alert"
        >
          {{ fault.message }}
        </p>
        <p v-if="asking" class="watch mt-2" role="alert" data-test="asking">
          {{ t('paper-dialog-not-saved-yet-press-escape') }}
        </p>
        <slot name="said" />
        <div class="acts">
          <v-btn
            type="submit"
            variant="flat"
            color="primary"
            :loading="busy"
            :disabled="disabled"
            :data-test="test"
          >
            {{ does }}
          </v-btn>
          <slot name="acts" />
          <v-btn @click="open = false">{{ t('paper-dialog-cancel') }}</v-btn>
        </div>
      </template>
    </component>
  </v-dialog>
</template>

<style scoped>
.paper {
  overflow-y: auto;
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 16px;
}
</style>
