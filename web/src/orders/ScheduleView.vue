<script setup lang="ts">
import { t } from '../text'
import HelpLink from '../shared/HelpLink.vue'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import {
  api,
  data,
  type AgendaSession,
  type BatchRun,
  type ScheduleChange,
  type SessionStep,
} from '../api/client'
import { download } from '../shared/download'
import { minutesOf } from '../bench/clock'
import MoreMenu from '../shared/MoreMenu.vue'
import { useNotice } from '../shared/notice'
import HoldDialog from './HoldDialog.vue'
import HoursDialog from './HoursDialog.vue'
import SessionLine from './SessionLine.vue'
import { dayOf } from './words'

/** When everything is made: sessions along their hours, what runs by itself, and why each stands there. */
const notice = useNotice()
const queries = useQueryClient()
const refresh = () => queries.invalidateQueries({ queryKey: ['schedule'] })

const { data: planned, error } = useQuery({
  queryKey: ['schedule'],
  queryFn: () => data(api.GET('/api/schedule')),
  staleTime: 0,
})
/** What would help is looked for where something comes too late. */
const { data: helped, isFetching: looking } = useQuery({
  queryKey: ['schedule', 'help', () => planned.value?.agenda.begins],
  queryFn: () => data(api.GET('/api/schedule', { params: { query: { help: true } } })),
  enabled: () => !!planned.value?.agenda.unmet.length,
  staleTime: 0,
})
const help = computed(() => helped.value?.agenda.help ?? [])
const agenda = computed(() => planned.value?.agenda)
const busy = computed(() => (agenda.value?.sessions ?? []).some((one) => one.runs.length))
const shown = computed(() => {
  const all = agenda.value?.sessions ?? []
  const last = all.findLastIndex((one) => one.runs.length || one.skipped)
  return all.slice(0, Math.max(last + 1, 3))
})

/** Each batch has its colour, and a pattern that tells it apart as well. */
const jobs = computed(() => {
  const keys = (agenda.value?.sessions ?? []).flatMap((one) => one.runs.map(jobOf))
  return [...new Set(keys)]
})
const jobOf = (run: BatchRun) => JSON.stringify(run.of)
const tone = (run: BatchRun) => jobs.value.indexOf(jobOf(run)) % 6
/** The run whose steps are shown, by its moment. */
const opened = ref('')
const chosenIn = (session: AgendaSession) => session.runs.filter((run) => run.from === opened.value)

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
const linkOf = (work: { of: BatchRun['of'] }) => ('batch' in work.of ? `/bench/${work.of.batch}` : '/orders')

/** What is about to be held. */
const holding = ref<{ run: BatchRun; work: SessionStep; part: boolean } | null>(null)

async function attempt(work: () => Promise<unknown>) {
  try {
    await work()
  } catch (thrown) {
    notice.fail(thrown)
  }
  await refresh()
}
const hold = (body: ScheduleChange, message: string) =>
  attempt(async () => {
    const { undo } = await data(api.POST('/api/schedule/changes', { body }))
    notice.did(message, undo, refresh)
  })
const leaveOut = (session: AgendaSession) =>
  hold(
    { skipped: { from: session.from } },
    t('schedule-view-left-out', { day: dayOf(session.day), clock: session.clock }),
  )

const letGo = (id: number, revision: number) =>
  attempt(async () => {
    const body = { revision, archived: true }
    const { undo } = await data(
      api.POST('/api/schedule/changes/{id}/archive', { params: { path: { id } }, body }),
    )
    notice.did(t('schedule-view-unpinned'), undo, refresh)
  })
function backIn(session: AgendaSession) {
  const held = planned.value?.holds.find(
    ({ record }) => 'skipped' in record && Math.abs(at(record.skipped.from) - at(session.from)) < 60_000,
  )
  if (held) void letGo(held.id, held.revision)
}
const acts = (run: BatchRun, work: SessionStep) => [
  {
    label: t('schedule-view-not-before-another-session'),
    test: 'not-before',
    act: () => (holding.value = { run, work, part: false }),
  },
  ...(work.of_n > 1
    ? [
        {
          label: t('schedule-view-split'),
          test: 'part-it',
          act: () => (holding.value = { run, work, part: true }),
        },
      ]
    : []),
]

const nameOf = (of: BatchRun['of'], step_n: number) => {
  const runs = (agenda.value?.sessions ?? []).flatMap((one) => one.runs)
  const own = runs.filter((run) => JSON.stringify(run.of) === JSON.stringify(of))
  const step = own.flatMap((run) => run.steps).find((one) => one.step_n === step_n)
  return step ? `${step.named}, ${own[0]?.name}` : t('schedule-view-step', { stepn: step_n })
}
const toldHold = (record: ScheduleChange) => {
  if ('skipped' in record)
    return t('schedule-view-skipped-session', { from: dayAndClock(record.skipped.from) })
  if ('parted' in record) {
    const { of, step_n, first_n, at } = record.parted
    return t('schedule-view-first-others-not-before', {
      stepn: nameOf(of, step_n),
      firstn: first_n,
      at: dayAndClock(at),
    })
  }
  const { of, step_n, at } = record['not-before']
  return t('schedule-view-not-before', { stepn: nameOf(of, step_n), at: dayAndClock(at) })
}

const hours = ref(false)
const unmetAll = ref(false)
const take = (file: string) => download(`/api/schedule/files/${file}`).catch(notice.fail)

const strains = {
  light: t('schedule-view-light'),
  moderate: t('schedule-view-moderate'),
  heavy: t('schedule-view-heavy'),
}
</script>

<template>
  <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
  <p v-else-if="!agenda" class="quiet" role="status">{{ t('schedule-view-planning-your-schedule') }}</p>
  <template v-else>
    <div class="bar no-print">
      <v-btn data-test="hours" @click="hours = true">{{ t('schedule-view-hours-limits') }}</v-btn>
      <v-btn :disabled="!busy" data-test="day-sheet" @click="take('day.pdf')">{{
        t('schedule-view-print-next-days-sheet')
      }}</v-btn>
      <v-btn :disabled="!busy" data-test="calendar" @click="take('schedule.ics')">{{
        t('schedule-view-calendar')
      }}</v-btn>
      <span class="quiet" role="status" data-test="looking">
        <template v-if="looking">{{ t('schedule-view-looking-for-what-would-help') }}</template>
      </span>
    </div>
    <p v-if="agenda.text" class="told" :class="{ stop: agenda.unmet.length }" data-test="schedule-told">
      {{ agenda.text }}
    </p>
    <section v-if="agenda.unmet.length" class="unmet" role="note" data-test="unmet">
      <p v-for="(one, i) in agenda.unmet.slice(0, unmetAll ? undefined : 6)" :key="i" class="stop">
        {{ one.text }}
      </p>
      <v-btn v-if="agenda.unmet.length > 6 && !unmetAll" variant="text" @click="unmetAll = true">{{
        t('schedule-view-more', { unmet: agenda.unmet.length - 6 })
      }}</v-btn>
      <template v-if="help.length">
        <h2>{{ t('schedule-view-what-would-help') }}</h2>
        <ul>
          <li v-for="one in help" :key="one.text" :class="{ num: one.in_time }">
            {{ one.text }}
          </li>
        </ul>
      </template>
    </section>
    <p v-if="!busy && agenda.unmet.length" class="empty" data-test="no-sessions">
      {{ t('schedule-view-there-work-but-no-time')
      }}<v-btn variant="text" @click="hours = true">{{ t('schedule-view-enter-your-bench-hours') }}</v-btn>
    </p>
    <p v-else-if="!busy" class="empty" data-test="no-sessions">
      {{ t('schedule-view-nothing-make-add-order-or') }} <HelpLink about="orders" />
    </p>
    <ol v-else class="sessions" data-test="sessions">
      <li v-for="session in shown" :key="session.from" :class="{ skipped: session.skipped }">
        <div class="when">
          <h2>{{ dayOf(session.day) }}</h2>
          <span class="num quiet">{{ session.clock }}</span>
        </div>
        <SessionLine
          :session="session"
          :alone="agenda.unattended"
          :tone="tone"
          :clock="clock"
          :opened="opened"
          @open="opened = $event === opened ? '' : $event"
        />
        <div class="hands">
          <template v-if="session.skipped">
            <span class="quiet">{{ t('schedule-view-skipped') }}</span>
            <v-btn size="small" variant="text" data-test="back-in" @click="backIn(session)">{{
              t('schedule-view-work-after-all')
            }}</v-btn>
          </template>
          <template v-else>
            <template v-if="session.runs.length">
              <strong>{{ t('schedule-view-hands', { strain: strains[session.strain] }) }}</strong>
              <span class="quiet">{{
                t('schedule-view-limit', {
                  handsmin: minutesOf(session.hands_min),
                  strainshare: Math.round(100 * session.strain_share),
                })
              }}</span>
            </template>
            <span v-else class="quiet">{{ t('schedule-view-free') }}</span>
            <v-btn size="small" variant="text" data-test="leave-out" @click="leaveOut(session)">{{
              t('schedule-view-skip-this-session')
            }}</v-btn>
          </template>
        </div>
        <section v-for="run in chosenIn(session)" :key="run.from" class="detail" data-test="run-detail">
          <h3 class="serif">
            <router-link :to="linkOf(run)">{{ run.name }}</router-link>: {{ run.counted }},
            {{ run.steps_text }}
            <span class="quiet">{{
              t('schedule-view-about', { from: clock(run.from), handsmin: minutesOf(run.hands_min) })
            }}</span>
          </h3>
          <p class="quiet">{{ run.reason }}</p>
          <ol class="steps">
            <li v-for="step in run.steps" :key="step.step_n">
              <span class="num">{{ clock(step.from) }}</span>
              <span
                >{{ step.n
                }}<template v-if="step.n < step.of_n">
                  {{ t('schedule-view-of', { ofn: step.of_n }) }}</template
                >
                × {{ step.named }}</span
              >
              <MoreMenu :of="`${step.named}, ${run.name}`" :acts="acts(run, step)" />
            </li>
          </ol>
        </section>
      </li>
    </ol>
    <section v-if="agenda.unattended.length" class="alone">
      <h2>{{ t('schedule-view-on-its-own') }}</h2>
      <ul>
        <li v-for="one in agenda.unattended" :key="one.from + one.name">
          <span class="num">{{
            t('schedule-view-to', { from: dayAndClock(one.from), to: clock(one.to) })
          }}</span>
          {{ one.named }},
          <router-link :to="linkOf(one)">{{ one.name }}</router-link>
        </li>
      </ul>
    </section>
    <section v-if="planned?.holds.length" class="holds">
      <h2>{{ t('schedule-view-pinned-by-you') }}</h2>
      <ul data-test="holds">
        <li v-for="one in planned.holds" :key="one.id">
          {{ toldHold(one.record) }}
          <v-btn size="small" variant="text" data-test="let-go" @click="letGo(one.id, one.revision)">{{
            t('schedule-view-unpin')
          }}</v-btn>
        </li>
      </ul>
    </section>
    <p v-if="planned?.paces.length" class="quiet paces">
      {{ t('schedule-view-uses-your-own-pace')
      }}<template v-for="(pace, i) in planned.paces" :key="pace.operation">{{
        t('schedule-view-times-as-long-as-usual', {
          i: i ? '; ' : '',
          operation: pace.operation_label,
          share: pace.share.toFixed(2),
        })
      }}</template
      >.
    </p>
  </template>
  <HoldDialog v-model="holding" :sessions="agenda?.sessions ?? []" :hold="hold" />
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

.told {
  font-size: 1.35rem;
  margin: 0 0 12px;
}

.sessions,
.steps,
.alone ul,
.holds ul {
  list-style: none;
  margin: 0;
  padding: 0;
}

.sessions > li {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr) 210px;
  gap: 0 24px;
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding: 12px 0;
}

.when h2 {
  margin: 0;
  font-size: 1.1rem;
}

.hands {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
}

.hands .v-btn {
  margin-left: -12px;
}

.skipped .when {
  opacity: 0.75;
}

.detail {
  grid-column: 2 / -1;
  border-left: 3px solid rgb(var(--v-theme-primary));
  padding: 2px 0 2px 14px;
  margin: 8px 0;
}

.detail h3 {
  font-size: 1.25rem;
  margin: 0;
}

.detail h3 .quiet {
  font: 1rem var(--sans);
  margin-left: 8px;
}

.detail p {
  margin: 0 0 4px;
}

.steps {
  columns: 2 320px;
}

.steps li {
  display: grid;
  grid-template-columns: 54px minmax(0, 1fr) 40px;
  align-items: center;
  min-height: 34px;
  break-inside: avoid;
}

.alone a {
  display: inline-block;
  min-height: 26px;
  line-height: 26px;
}

@media (max-width: 900px) {
  .sessions > li {
    grid-template-columns: minmax(0, 1fr) auto;
  }

  .sessions > li > :nth-child(2) {
    grid-column: 1 / -1;
    grid-row: 2;
  }

  .detail {
    grid-column: 1 / -1;
  }
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
