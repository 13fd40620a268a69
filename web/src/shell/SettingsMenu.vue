<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { api, data, type Settings } from '../api/client'
import ScreenMatch from './ScreenMatch.vue'
import { useNotice } from '../shared/notice'
import { useSettings } from '../shared/settings'
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
  { value: 'mm', title: 'Millimetres' },
  { value: 'inch', title: 'Inches' },
] as const
const gauges = [
  { value: 'awg', title: 'AWG (B&S)' },
  { value: 'swg', title: 'SWG (British)' },
] as const
const themes = [
  { value: 'device', title: 'As the device' },
  { value: 'light', title: 'Light' },
  { value: 'dark', title: 'Dark' },
] as const
</script>

<template>
  <PaperDialog v-model="open" title="Settings" :width="460">
    <fieldset
      v-for="group in [
        { legend: 'Units, and how a number without a unit is read', key: 'unit', choices: units },
        { legend: 'Gauge system, as in 18 ga', key: 'gauge', choices: gauges },
        { legend: 'Light or dark', key: 'theme', choices: themes },
      ] as const"
      :key="group.key"
    >
      <legend class="quiet">{{ group.legend }}</legend>
      <label v-for="choice in group.choices" :key="choice.value" class="option">
        <input
          type="radio"
          :name="group.key"
          :value="choice.value"
          :checked="settings.settings[group.key] === choice.value"
          @change="keep({ [group.key]: choice.value })"
        />
        {{ choice.title }}
      </label>
    </fieldset>
    <PaperField
      :model-value="settings.settings.workshop_name"
      label="Workshop's name, for sheets and labels"
      maxlength="60"
      @change="keep({ workshop_name: ($event.target as HTMLInputElement).value })"
    />
    <p class="quiet mt-4">
      {{
        settings.pixelsPerMm
          ? 'This screen is matched: drawings can be shown at true size.'
          : 'This screen isn’t matched yet, so drawings cannot be shown at true size.'
      }}
    </p>
    <v-btn class="ml-n4" color="primary" data-test="match-screen" @click="matching = true">
      Match the screen
    </v-btn>
    <ScreenMatch v-model="matching" />
    <hr class="rule my-3" />
    <BackUp />
    <hr class="rule my-3" />
    <DeviceList />
    <hr class="rule my-3" />
    <v-btn class="ml-n4" @click="open = false">Close</v-btn>
    <span v-if="health" class="quiet" data-test="version">Lorimant {{ health.version }}</span>
  </PaperDialog>
</template>
