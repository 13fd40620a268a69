<script setup lang="ts">
import { t } from '../text'
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { api, data, type Settings } from '../api/client'
import ScreenMatch from './ScreenMatch.vue'
import { useNotice } from '../shared/notice'
import { useSettings } from '../shared/settings'
import PaperRadios from '../shared/PaperRadios.vue'
import PaperField from '../shared/PaperField.vue'
import BackUp from './BackUp.vue'
import DeviceList from './DeviceList.vue'
import PaperDialog from '../shared/PaperDialog.vue'

const open = defineModel<boolean>({ required: true })
const settings = useSettings()
const notice = useNotice()
const matching = ref(false)
const { data: health } = useQuery({ queryKey: ['health'], queryFn: () => data(api.GET('/api/health')) })

async function keep(change: Partial<Settings>) {
  try {
    await settings.keep(change)
  } catch (thrown) {
    notice.fail(thrown)
    await settings.load()
  }
}

const units = [
  { value: 'mm', title: t('settings-menu-millimetres') },
  { value: 'inch', title: t('settings-menu-inches') },
] as const
const gauges = [
  { value: 'awg', title: t('settings-menu-awg-b-s') },
  { value: 'swg', title: t('settings-menu-swg-british') },
] as const
const themes = [
  { value: 'device', title: t('settings-menu-as-device') },
  { value: 'light', title: t('settings-menu-light') },
  { value: 'dark', title: t('settings-menu-dark') },
] as const
</script>

<template>
  <PaperDialog v-model="open" :title="t('settings-menu-settings')" :width="460">
    <PaperRadios
      v-for="group in [
        { legend: t('settings-menu-units-how-number-without-unit'), key: 'unit', choices: units },
        { legend: t('settings-menu-gauge-system-as-in-18'), key: 'gauge', choices: gauges },
        { legend: t('settings-menu-light-or-dark'), key: 'theme', choices: themes },
      ] as const"
      :key="group.key"
      :model-value="settings.settings[group.key]"
      :label="group.legend"
      :choices="group.choices"
      @update:model-value="$event && keep({ [group.key]: $event })"
    />
    <PaperField
      :model-value="settings.settings.workshop_name"
      :label="t('settings-menu-workshops-name-for-sheets-labels')"
      maxlength="60"
      @change="keep({ workshop_name: ($event.target as HTMLInputElement).value })"
    />
    <p class="quiet mt-4">
      {{
        settings.pixelsPerMm
          ? t('settings-menu-this-screen-matched-drawings-can')
          : t('settings-menu-this-screen-isnt-matched-yet')
      }}
    </p>
    <v-btn class="ml-n4" color="primary" data-test="match-screen" @click="matching = true">
      {{ t('settings-menu-match-screen') }}
    </v-btn>
    <ScreenMatch v-model="matching" />
    <hr class="rule my-3" />
    <BackUp />
    <hr class="rule my-3" />
    <DeviceList />
    <hr class="rule my-3" />
    <v-btn class="ml-n4" @click="open = false">{{ t('settings-menu-close') }}</v-btn>
    <span v-if="health" class="quiet" data-test="version">{{
      t('settings-menu-lorimant', { version: health.version })
    }}</span>
  </PaperDialog>
</template>
