<script setup lang="ts">
import { onMounted, ref, watchEffect } from 'vue'
import { useTheme } from 'vuetify'
import { api, data, whenLocked } from '../api/client'
import AppHeader from './AppHeader.vue'
import KeysDialog from './KeysDialog.vue'
import LastDone from './LastDone.vue'
import NoticeBar from './NoticeBar.vue'
import UnlockView from './UnlockView.vue'
import { useNotice } from '../shared/notice'
import { useSettings } from '../shared/settings'

const settings = useSettings()
const notice = useNotice()
const theme = useTheme()
const locked = ref<boolean | null>(null)

whenLocked(() => (locked.value = true))

async function open() {
  try {
    locked.value = (await data(api.GET('/api/session'))).locked
    if (!locked.value) await settings.load()
  } catch (thrown) {
    notice.fail(thrown)
  }
}

onMounted(open)
watchEffect(() => theme.change(settings.dark ? 'dark' : 'light'))
</script>

<template>
  <v-app>
    <template v-if="locked === true">
      <UnlockView @unlocked="open" />
    </template>
    <template v-else-if="locked === false">
      <AppHeader />
      <main>
        <router-view />
      </main>
      <LastDone />
      <KeysDialog />
    </template>
    <NoticeBar />
  </v-app>
</template>
