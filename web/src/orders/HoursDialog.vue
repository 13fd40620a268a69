<script setup lang="ts">
import { t } from '../text'
import { ref, watch } from 'vue'
import { api, data, type Hours } from '../api/client'
import { readFields, useForm } from '../shared/form'
import { useSettings } from '../shared/settings'
import PaperDialog from '../shared/PaperDialog.vue'
import PaperField from '../shared/PaperField.vue'

/** When somebody sits at the bench, and what hands and neighbours bear. */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ kept: [] }>()
const settings = useSettings()
const { faults, attempt } = useForm()
type Day = NonNullable<Hours['weekly']>[number]['day']
const days: { word: Day; label: string }[] = [
  { word: 'monday', label: t('hours-dialog-monday') },
  { word: 'tuesday', label: t('hours-dialog-tuesday') },
  { word: 'wednesday', label: t('hours-dialog-wednesday') },
  { word: 'thursday', label: t('hours-dialog-thursday') },
  { word: 'friday', label: t('hours-dialog-friday') },
  { word: 'saturday', label: t('hours-dialog-saturday') },
  { word: 'sunday', label: t('hours-dialog-sunday') },
]

const revision = ref(0)
const weekly = ref<{ day: Day; from: string; to: string }[]>([])
const texts = ref<Record<string, string>>({})
const limits = [
  ['most_min', t('hours-dialog-handwork-in-one-session-minutes')],
  ['most_effort_min', t('hours-dialog-strain-your-hands-take-in')],
  ['rest_every_min', t('hours-dialog-rest-after-minutes')],
  ['rest_min', t('hours-dialog-length-rest-minutes')],
] as const
const short = (time: string) => time.slice(0, 5)

watch(open, async (now) => {
  if (!now) return
  faults.value = []
  await attempt(async () => {
    const there = await data(api.GET('/api/settings'))
    revision.value = there.revision
    const hours = there.settings.hours!
    weekly.value = hours.weekly!.map((one) => ({ ...one, from: short(one.from), to: short(one.to) }))
    texts.value = {
      ...Object.fromEntries(limits.map(([key]) => [key, String(hours[key])])),
      quiet_from: short(hours.quiet_from!),
      quiet_to: short(hours.quiet_to!),
      time_zone: there.settings.time_zone ?? '',
    }
  })
})

/** What is typed, by the names its faults have: times of day and minutes. */
const read = async () => {
  const times = weekly.value.flatMap(({ from, to }, i) => [
    [`hours.weekly[${i}].from`, from],
    [`hours.weekly[${i}].to`, to],
  ])
  const named = Object.entries(texts.value).map(([key, text]) => [`hours.${key}`, text])
  const clocks = [...times.map(([name]) => name), 'hours.quiet_from', 'hours.quiet_to']
  const asked = {
    ...Object.fromEntries(clocks.map((name) => [name, ['clock', 'needed'] as const])),
    ...Object.fromEntries(limits.map(([key]) => [`hours.${key}`, ['minutes', 'needed'] as const])),
  }
  return readFields(Object.fromEntries([...times, ...named]), asked)
}

const keep = () =>
  attempt(async () => {
    const there = await data(api.GET('/api/settings'))
    const typed = await read()
    const clock = (name: string) => typed[`hours.${name}`] as string
    const minutes = (name: string) => typed[`hours.${name}`] as number
    const hours: Hours = {
      weekly: weekly.value.map(({ day }, i) => ({
        day,
        from: clock(`weekly[${i}].from`),
        to: clock(`weekly[${i}].to`),
      })),
      quiet_from: clock('quiet_from'),
      quiet_to: clock('quiet_to'),
      most_min: minutes('most_min'),
      most_effort_min: minutes('most_effort_min'),
      rest_every_min: minutes('rest_every_min'),
      rest_min: minutes('rest_min'),
    }
    const body = { ...there.settings, hours, time_zone: texts.value.time_zone?.trim() }
    await data(api.PUT('/api/settings', { params: { query: { revision: revision.value } }, body }))
    await settings.load()
    open.value = false
    emit('kept')
  })

const more = () => weekly.value.push({ day: 'saturday', from: '09:00', to: '12:00' })
const here = Intl.DateTimeFormat().resolvedOptions().timeZone
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="t('hours-dialog-hours-limits')"
    :width="560"
    :does="t('hours-dialog-save')"
    test="keep-hours"
    @submit="keep"
  >
    <h3>{{ t('hours-dialog-bench-hours-each-week') }}</h3>
    <div v-for="(one, i) in weekly" :key="i" class="time">
      <v-select
        v-model="one.day"
        class="day"
        :items="days"
        item-value="word"
        item-title="label"
        :aria-label="t('hours-dialog-day-session', { i: i + 1 })"
      />
      <PaperField v-model="one.from" :name="`hours.weekly[${i}].from`" :label="t('hours-dialog-from')" />
      <PaperField v-model="one.to" :name="`hours.weekly[${i}].to`" :label="t('hours-dialog-to')" />
      <v-btn
        variant="text"
        :aria-label="t('hours-dialog-remove-hours', { day: one.day, from: one.from })"
        @click="weekly.splice(i, 1)"
        >{{ t('hours-dialog-remove') }}</v-btn
      >
    </div>
    <v-btn class="more" variant="text" data-test="more-time" @click="more">{{
      t('hours-dialog-add-hours')
    }}</v-btn>
    <div class="limits">
      <PaperField
        v-for="[key, label] in limits"
        :key="key"
        v-model="texts[key]"
        :name="`hours.${key}`"
        :label="label"
        figures
      />
    </div>
    <div class="time two">
      <PaperField
        v-model="texts.quiet_from"
        name="hours.quiet_from"
        :label="t('hours-dialog-no-tumbling-from')"
      />
      <PaperField
        v-model="texts.quiet_to"
        name="hours.quiet_to"
        data-test="quiet-to"
        :label="t('hours-dialog-to')"
      />
    </div>
    <PaperField
      v-model="texts.time_zone"
      name="time_zone"
      :label="t('hours-dialog-time-zone-workshop')"
      :placeholder="here"
      :hint="t('hours-dialog-if-empty-servers-time-zone', { here })"
    />
  </PaperDialog>
</template>

<style scoped>
h3 {
  font-size: 1.05rem;
  margin: 4px 0;
}

.time {
  display: grid;
  grid-template-columns: 150px 1fr 1fr auto;
  gap: 0 12px;
  margin-bottom: 14px;
  align-items: end;
}

.limits {
  display: grid;
  gap: 12px;
  margin: 12px 0;
}

.more {
  align-self: start;
  margin-left: -16px;
}

.time.two {
  grid-template-columns: 1fr 1fr;
}
</style>
