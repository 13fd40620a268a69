<script setup lang="ts" generic="R extends object">
import { ref, shallowRef, watch } from 'vue'
import type { Choice, Desk } from '../desk/desk'
import { vOneStop } from '../shared/oneStop'
import { useNotice } from '../shared/notice'

/** What can be put into the route of the piece on the desk, or taken out again, each with what that changes. */
const { desk } = defineProps<{ desk: Desk<R> }>()
const notice = useNotice()
const open = ref(false)
const choices = shallowRef<Choice<R>[]>([])

watch(open, async (now) => {
  if (!now || !desk.draft) return
  choices.value = await desk.choices(desk.draft, 'making').catch((thrown) => {
    notice.fail(thrown)
    return []
  })
})

async function choose(choice: Choice<R>) {
  open.value = false
  await desk.set(choice.request).catch(notice.fail)
}
</script>

<template>
  <v-menu v-model="open" location="bottom start" :offset="6">
    <template #activator="{ props: activator }">
      <v-btn v-bind="activator" :disabled="!desk.sound" data-test="route-menu">Change the making</v-btn>
    </template>
    <div v-one-stop="'.menu-line'" class="popover offers" data-test="route-offers">
      <button
        v-for="choice in choices"
        :key="choice.label"
        type="button"
        class="plain menu-line offer"
        :class="{ chosen: choice.chosen }"
        :disabled="!choice.possible"
        :aria-pressed="choice.chosen"
        data-test="route-offer"
        @click="choose(choice)"
      >
        <span>{{ choice.chosen ? 'Do not ' : '' }}{{ choice.label }}</span>
        <span class="effect" :class="{ stop: !choice.possible }">{{ choice.effect }}</span>
      </button>
      <p v-if="!choices.length" class="quiet wait" role="status">Trying what it would change…</p>
    </div>
  </v-menu>
</template>

<style scoped>
.offers {
  max-width: min(560px, 92vw);
}

.offer {
  display: grid;
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

.wait {
  margin: 8px 12px;
}
</style>
