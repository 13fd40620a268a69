<script setup lang="ts">
import { ref } from 'vue'
import type { Settings } from '../api/client'
import ScreenMatch from './ScreenMatch.vue'
import { useNotice } from '../shared/notice'
import { useSettings } from '../shared/settings'
import PaperField from '../shared/PaperField.vue'
import SaveButton from '../shared/SaveButton.vue'
import PaperDialog from '../shared/PaperDialog.vue'

const open = defineModel<boolean>({ required: true })
const settings = useSettings()
const notice = useNotice()
const matching = ref(false)

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
  <PaperDialog v-model="open" title="Units, look and screen" :width="460">
    <fieldset
      v-for="group in [
        { legend: 'First unit, and that of a bare number', key: 'unit', choices: units },
        { legend: 'Gauge of a bare number, like 18 ga', key: 'gauge', choices: gauges },
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
          : 'This screen is not matched yet, so drawings cannot be shown at true size.'
      }}
    </p>
    <v-btn class="ml-n4" color="primary" data-test="match-screen" @click="matching = true">
      Match the screen
    </v-btn>
    <ScreenMatch v-model="matching" />
    <hr class="rule my-3" />
    <p class="quiet">
      All of the workshop is in one file. A copy of it can be taken while you work; as open lines it can be
      read by anything, and brought into an empty workshop under Kept.
    </p>
    <SaveButton class="ml-n4" path="/api/backup" data-test="back-up">Save a copy</SaveButton>
    <SaveButton path="/api/workshop.jsonl" data-test="all-lines">Save as open lines</SaveButton>
    <hr class="rule my-3" />
    <v-btn class="ml-n4" @click="open = false">Close</v-btn>
  </PaperDialog>
</template>
