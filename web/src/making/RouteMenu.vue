<script setup lang="ts" generic="R extends object">
import { t } from '../text'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Choice } from '../desk/types'
import { vOneStop } from '../shared/oneStop'
import { useNotice } from '../shared/notice'
import OfferLine from './OfferLine.vue'
import MenuLine from '../shared/MenuLine.vue'

/** What can be put into the route of the piece on the desk, or taken out again, each with what that changes. */
const { desk } = defineProps<{
  desk: {
    draft: R | null
    sound: boolean
    choices: (request: R, slot: string) => Promise<Choice<R>[]>
    set: (request: R) => Promise<unknown>
  }
}>()
const notice = useNotice()
const open = ref(false)
const choices = shallowRef<Choice<R>[]>([])
/** The question that is open. */
const group = ref('')

watch(open, async (now) => {
  if (!now || !desk.draft) return
  group.value = ''
  choices.value = await desk.choices(desk.draft, 'making').catch((thrown) => {
    notice.fail(thrown)
    return []
  })
})

const plain = computed(() => choices.value.filter((choice) => !choice.group))
const groups = computed(() => {
  const all = new Map<string, Choice<R>[]>()
  for (const choice of choices.value) {
    if (choice.group) all.set(choice.group, [...(all.get(choice.group) ?? []), choice])
  }
  return [...all].map(([name, offers]) => ({
    name,
    offers,
    now: offers.filter((offer) => offer.chosen).map((offer) => offer.label),
    advised: offers.some((offer) => offer.advised),
  }))
})

async function choose(choice: Choice<R>) {
  open.value = false
  await desk.set(choice.request).catch(notice.fail)
}
</script>

<template>
  <v-menu v-model="open" location="bottom start" :offset="6" :close-on-content-click="false">
    <template #activator="{ props: activator }">
      <v-btn v-bind="activator" :disabled="!desk.sound" data-test="route-menu">{{
        t('route-menu-change-method')
      }}</v-btn>
    </template>
    <div v-one-stop="'.menu-line'" class="popover offers" data-test="route-offers">
      <OfferLine v-for="choice in plain" :key="choice.label" :choice="choice" @choose="choose" />
      <template v-for="one in groups" :key="one.name">
        <MenuLine
          class="group"
          :aria-expanded="group === one.name"
          data-test="route-group"
          @click="group = group === one.name ? '' : one.name"
        >
          <span class="sign" aria-hidden="true">{{ group === one.name ? '−' : '+' }}</span>
          <span>{{ one.name }}</span>
          <span v-if="one.advised" class="now watch">{{ t('route-menu-recommended') }}</span>
          <span v-else-if="one.now.length" class="now quiet">{{ one.now.join('; ') }}</span>
        </MenuLine>
        <div v-if="group === one.name" class="within">
          <OfferLine v-for="choice in one.offers" :key="choice.label" :choice="choice" @choose="choose" />
        </div>
      </template>
      <p v-if="!choices.length" class="quiet wait" role="status">
        {{ t('route-menu-checking-what-would-change') }}
      </p>
    </div>
  </v-menu>
</template>

<style scoped>
.offers {
  max-width: min(620px, 92vw);
  max-height: min(70vh, 620px);
  overflow-y: auto;
}

.group {
  display: grid;
  grid-template-columns: 18px 1fr auto;
  gap: 6px;
  align-items: baseline;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}

.sign {
  color: rgb(var(--v-theme-primary));
  font-weight: 700;
}

.now {
  font-size: 0.95rem;
  text-align: right;
}

.within {
  padding-left: 24px;
}

.wait {
  margin: 8px 12px;
}
</style>
