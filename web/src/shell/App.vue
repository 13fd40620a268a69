<script setup lang="ts">
import { t } from '../text'
import { useEventListener } from '@vueuse/core'
import { computed, ref, useTemplateRef, watchEffect } from 'vue'
import { useRoute } from 'vue-router'
import { useTheme } from 'vuetify'
import { Refused, whenLocked } from '../api/client'
import AppHeader from './AppHeader.vue'
import FileNotice from './FileNotice.vue'
import KeysDialog from './KeysDialog.vue'
import LastDone from './LastDone.vue'
import NoticeBar from './NoticeBar.vue'
import PlanTabs from './PlanTabs.vue'
import UnderWayBar from './UnderWayBar.vue'
import { useComing } from '../shared/coming'
import { doors, isWithin } from './router'
import { useDesks } from '../patterns/desks'
import { useNotice } from '../shared/notice'
import { onDemand } from '../shared/onDemand'
import { useSettings } from '../shared/settings'
import { typefaces } from '../style/typefaces'

// Few visits need it: it is fetched when one does.
const UnlockView = onDemand(() => import('./UnlockView.vue'))

const route = useRoute()
/** Whether one is where something is planned. */
const planning = computed(() => isWithin(route.path, doors[1].holds))
const settings = useSettings()
const notice = useNotice()
const theme = useTheme()
const locked = ref<boolean | null>(null)

whenLocked(() => (locked.value = true))

/** Views are drawn once it is known in what units they are read: a server that wants the passphrase says so here. */
async function open() {
  try {
    await Promise.all([settings.load(), typefaces.catch(() => undefined)])
    locked.value = false
  } catch (thrown) {
    if (!(thrown instanceof Refused && thrown.problem.status === 401)) notice.fail(thrown)
  }
}

const work = useTemplateRef<HTMLElement>('work')
const skip = () => work.value?.focus()

const coming = useComing(() => locked.value === false)
const refreshDesks = useDesks()
/** Back at this window: tools, units and habits may have been changed in another meanwhile. */
useEventListener(document, 'visibilitychange', async () => {
  if (document.visibilityState !== 'visible' || locked.value !== false) return
  try {
    await settings.load()
    await refreshDesks()
  } catch (thrown) {
    notice.fail(thrown)
  }
})

void open()
watchEffect(() => theme.change(settings.dark ? 'dark' : 'light'))
</script>

<template>
  <v-app>
    <template v-if="locked === true">
      <UnlockView @unlocked="open" />
    </template>
    <template v-else-if="locked === false">
      <a class="skip" href="#work" @click.prevent="skip">{{ t('app-skip-content') }}</a>
      <AppHeader />
      <PlanTabs v-if="planning" />
      <main id="work" ref="work" tabindex="-1" :class="{ coming }">
        <FileNotice />
        <router-view />
      </main>
      <LastDone />
      <KeysDialog />
    </template>
    <UnderWayBar />
    <NoticeBar />
  </v-app>
</template>

<style scoped>
/* A short view leaves its foot at the foot of the window. */
main {
  flex: 1 0 auto;
}

main.coming > * {
  visibility: hidden;
}

/* Its fields are cut away rather than hidden: what is hidden cannot have the keys, and they go there already. */
main.coming {
  clip-path: inset(0 0 100%);
}

main.coming :deep(:is(input, textarea, button, [tabindex])) {
  visibility: visible;
}

/* Room for the doors at the foot of a phone. */
@media (max-width: 600px) {
  :deep(.v-application__wrap) {
    padding-bottom: 54px;
  }
}

.skip {
  position: absolute;
  left: -9999px;
  z-index: 10;
  padding: 8px 14px;
  background: rgb(var(--v-theme-surface));
  color: rgb(var(--v-theme-primary));
}

.skip:focus {
  left: 8px;
  top: 8px;
}

main:focus {
  outline: none;
}
</style>
