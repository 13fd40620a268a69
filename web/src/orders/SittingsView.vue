<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data, save, type AgendaSitting, type Hold, type SatWork } from '../api/client'
import { minutesOf } from '../bench/clock'
import MoreMenu from '../shared/MoreMenu.vue'
import { useNotice } from '../shared/notice'
import { vOneStop } from '../shared/oneStop'
import HoldDialog from './HoldDialog.vue'
import HoursDialog from './HoursDialog.vue'
import SittingLine from './SittingLine.vue'
import { dayOf } from './words'

/** When everything is made: sittings along their hours, what runs by itself, and why each stands there. */
const notice = useNotice()
const queries = useQueryClient()
const refresh = () => queries.invalidateQueries({ queryKey: ['sittings'] })

const plan = (tries: number, help: boolean) =>
  data(api.GET('/api/sittings', { params: { query: { tries, help } } }))
/** A first plan at once; a better one is looked for while it is read. */
const { data: first, error } = useQuery({
  queryKey: ['sittings', 'first'],
  queryFn: () => plan(40, false),
  staleTime: 0,
})
const { data: better, isFetching: looking } = useQuery({
  queryKey: ['sittings', 'better', () => first.value?.agenda.begins],
  queryFn: () => plan(600, true),
  enabled: () => !!first.value,
  staleTime: 0,
})
const planned = computed(() => better.value ?? first.value)
const agenda = computed(() => planned.value?.agenda)
const busy = computed(() => (agenda.value?.sittings ?? []).some((one) => one.works.length))
const shown = computed(() => {
  const all = agenda.value?.sittings ?? []
  const last = all.findLastIndex((one) => one.works.length || one.skipped)
  return all.slice(0, Math.max(last + 1, 3))
})

/** Works of one batch are of one colour, told apart by their pattern as well. */
const jobs = computed(() => {
  const keys = (agenda.value?.sittings ?? []).flatMap((one) => one.works.map(jobOf))
  return [...new Set(keys)]
})
const jobOf = (work: SatWork) => JSON.stringify(work.of)
const tone = (work: SatWork) => jobs.value.indexOf(jobOf(work)) % 6

const at = (moment: string) => Date.parse(moment)
const clock = (moment: string) =>
  new Date(moment).toLocaleTimeString('en-GB', {
    hour: '2-digit',
    minute: '2-digit',
    timeZone:
      planned.value?.zone.includes('/') || planned.value?.zone === 'UTC' ? planned.value.zone : undefined,
  })
const dayAndClock = (moment: string) =>
  `${new Date(moment).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' })} ${clock(moment)}`
const linkOf = (work: { of: SatWork['of'] }) => ('batch' in work.of ? `/bench/${work.of.batch}` : '/orders')

/** What is about to be held. */
const holding = ref<{ work: SatWork; part: boolean } | null>(null)

async function attempt(work: () => Promise<unknown>) {
  try {
    await work()
  } catch (thrown) {
    notice.fail(thrown)
  }
  await refresh()
}
const hold = (body: Hold, said: string) =>
  attempt(async () => {
    const { undo } = await data(api.POST('/api/holds', { body }))
    notice.did(said, undo, refresh)
  })
const leaveOut = (sitting: AgendaSitting) =>
  hold({ skipped: { from: sitting.from } }, `Left out: ${dayOf(sitting.day)}, ${sitting.clock}.`)

const letGo = (id: number, revision: number) =>
  attempt(async () => {
    const body = { revision, archived: true }
    const { undo } = await data(api.POST('/api/holds/{id}/archive', { params: { path: { id } }, body }))
    notice.did('Unpinned.', undo, refresh)
  })
function backIn(sitting: AgendaSitting) {
  const held = planned.value?.holds.find(
    ({ record }) => 'skipped' in record && Math.abs(at(record.skipped.from) - at(sitting.from)) < 60_000,
  )
  if (held) void letGo(held.id, held.revision)
}
const acts = (work: SatWork) => [
  {
    label: 'Not before another session…',
    test: 'not-before',
    act: () => (holding.value = { work, part: false }),
  },
  ...(work.of_n > 1
    ? [{ label: 'Split…', test: 'part-it', act: () => (holding.value = { work, part: true }) }]
    : []),
]

const nameOf = (of: SatWork['of'], step_n: number) => {
  const works = (agenda.value?.sittings ?? []).flatMap((one) => one.works)
  const work = works.find((one) => JSON.stringify(one.of) === JSON.stringify(of) && one.step_n === step_n)
  return work ? `${work.named}, ${work.name}` : `step ${step_n}`
}
const toldHold = (record: Hold) => {
  if ('skipped' in record) return `Skipped the session of ${dayAndClock(record.skipped.from)}.`
  if ('parted' in record) {
    const { of, step_n, first_n, at } = record.parted
    return `${nameOf(of, step_n)}: ${first_n} first, the others not before ${dayAndClock(at)}.`
  }
  const { of, step_n, at } = record['not-before']
  return `${nameOf(of, step_n)}: not before ${dayAndClock(at)}.`
}

const hours = ref(false)
const unmetAll = ref(false)
const take = (file: string) => save(`/api/sittings/files/${file}`).catch(notice.fail)
</script>

<template>
  <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
  <p v-else-if="!agenda" class="quiet" role="status">Planning your schedule…</p>
  <template v-else>
    <div class="bar no-print">
      <v-btn data-test="hours" @click="hours = true">Hours and limits</v-btn>
      <v-btn :disabled="!busy" data-test="day-sheet" @click="take('day.pdf')"
        >Print the next day’s sheet</v-btn
      >
      <v-btn :disabled="!busy" data-test="calendar" @click="take('sittings.ics')">Calendar</v-btn>
      <span class="quiet" role="status" data-test="looking">
        <template v-if="looking">Looking for a better schedule…</template>
        <template v-else-if="busy"
          >Best of {{ planned?.tried_n }} schedules tried, with {{ agenda.layouts_n }} tool set-ups.</template
        >
      </span>
    </div>
    <section v-if="agenda.unmet.length" class="unmet" role="note" data-test="unmet">
      <p v-for="(one, i) in agenda.unmet.slice(0, unmetAll ? undefined : 6)" :key="i" class="stop">
        {{ one.sentence }}
      </p>
      <v-btn v-if="agenda.unmet.length > 6 && !unmetAll" variant="text" @click="unmetAll = true"
        >And {{ agenda.unmet.length - 6 }} more</v-btn
      >
      <template v-if="agenda.help.length">
        <h2>What would help</h2>
        <ul>
          <li v-for="one in agenda.help" :key="one.sentence" :class="{ num: one.in_time }">
            {{ one.sentence }}
          </li>
        </ul>
      </template>
    </section>
    <p v-if="!busy" class="empty" data-test="no-sittings">
      Nothing to make. Add an order or start a batch, and it is planned into your hours here: by due date,
      with rests, and with the tumbler running while you do something else.
    </p>
    <ol v-else class="sections sittings" data-test="sittings">
      <li v-for="sitting in shown" :key="sitting.from" :class="{ skipped: sitting.skipped }">
        <header>
          <h2 class="serif">{{ dayOf(sitting.day) }}</h2>
          <span class="num">{{ sitting.clock }}</span>
          <span v-if="sitting.skipped" class="quiet">skipped</span>
          <span v-else-if="sitting.works.length" class="quiet">
            about {{ minutesOf(sitting.hands_min) }} of handwork
          </span>
          <span v-else class="quiet">free</span>
          <v-btn
            v-if="sitting.skipped"
            size="small"
            variant="text"
            data-test="back-in"
            @click="backIn(sitting)"
            >Work after all</v-btn
          >
          <v-btn v-else size="small" variant="text" data-test="leave-out" @click="leaveOut(sitting)"
            >Skip</v-btn
          >
        </header>
        <SittingLine
          v-if="sitting.works.length"
          :sitting="sitting"
          :alone="agenda.alone"
          :tone="tone"
          :clock="clock"
        />
        <ul v-if="sitting.works.length" v-one-stop class="works">
          <li v-for="(work, i) in sitting.works" :key="i">
            <span class="num">{{ clock(work.from) }}</span>
            <i :class="['key', `tone-${tone(work)}`]" aria-hidden="true" />
            <span>
              <strong
                >{{ work.n }}<template v-if="work.n < work.of_n"> of {{ work.of_n }}</template> ×
                {{ work.named }}</strong
              >,
              <router-link :to="linkOf(work)">{{ work.name }}</router-link>
              <span class="quiet why"> {{ work.why }}</span>
            </span>
            <MoreMenu :of="`${work.named}, ${work.name}`" :acts="acts(work)" />
          </li>
        </ul>
      </li>
    </ol>
    <section v-if="agenda.alone.length" class="alone">
      <h2>On its own</h2>
      <ul>
        <li v-for="one in agenda.alone" :key="one.from + one.name">
          <span class="num">{{ dayAndClock(one.from) }} to {{ clock(one.to) }}</span> {{ one.named }},
          <router-link :to="linkOf(one)">{{ one.name }}</router-link>
        </li>
      </ul>
    </section>
    <section v-if="planned?.holds.length" class="holds">
      <h2>Pinned by you</h2>
      <ul data-test="holds">
        <li v-for="one in planned.holds" :key="one.id">
          {{ toldHold(one.record) }}
          <v-btn size="small" variant="text" data-test="let-go" @click="letGo(one.id, one.revision)"
            >Unpin</v-btn
          >
        </li>
      </ul>
    </section>
    <p v-if="planned?.paces.length" class="quiet paces">
      Uses your own pace:
      <template v-for="(pace, i) in planned.paces" :key="pace.operation"
        >{{ i ? '; ' : '' }}{{ pace.operation.replaceAll('-', ' ') }} {{ pace.share.toFixed(2) }} times as
        long as usual</template
      >.
    </p>
  </template>
  <HoldDialog v-model="holding" :sittings="agenda?.sittings ?? []" :hold="hold" />
  <HoursDialog v-model="hours" @kept="refresh" />
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
  margin-bottom: 12px;
}

.empty {
  max-width: 62ch;
}

.unmet {
  border-left: 4px solid rgb(var(--v-theme-error));
  padding-left: 14px;
  margin: 0 0 14px;
}

.unmet p {
  margin: 0;
}

.unmet h2 {
  margin: 8px 0 2px;
}

.unmet ul {
  margin: 0;
  padding-left: 20px;
}

.works,
.alone ul,
.holds ul {
  list-style: none;
  margin: 0;
  padding: 0;
}

.sittings header .v-btn {
  margin-left: auto;
}

.skipped header {
  opacity: 0.75;
}

.key {
  width: 16px;
  height: 16px;
  align-self: center;
}

.works a,
.alone a {
  display: inline-block;
  min-height: 26px;
  line-height: 26px;
}

.works li {
  display: grid;
  grid-template-columns: 54px 20px minmax(0, 1fr) 40px;
  gap: 0 8px;
  align-items: center;
  min-height: 40px;
}

.why {
  margin-left: 10px;
  font-size: 0.97rem;
}

.alone,
.holds {
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding: 10px 0;
}

.alone li,
.holds li {
  min-height: 34px;
}

.paces {
  max-width: 90ch;
}
</style>
