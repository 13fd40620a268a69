<script setup lang="ts">
import { t } from '../text'
import HelpLink from '../shared/HelpLink.vue'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data, type AgendaSession, type BatchRun, type SessionStep } from '../api/client'
import { download } from '../shared/download'
import { useNotice } from '../shared/notice'
import HoldDialog from './HoldDialog.vue'
import HoursDialog from './HoursDialog.vue'
import LateNote from './LateNote.vue'
import RunDetail from './RunDetail.vue'
import SessionHands from './SessionHands.vue'
import SessionLine from './SessionLine.vue'
import { useScheduleChanges } from './changes'
import { useClock } from './clock'
import { linkOf } from './words'
import { dayOf } from '../shared/dates'

/** When everything is made: sessions along their hours, what runs by itself, and why each stands there. */
const notice = useNotice()

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

const { clock, dayAndClock } = useClock(() => planned.value?.zone)
const { refresh, hold, letGo, skip, workAfterAll, describe } = useScheduleChanges(
  () => planned.value,
  dayAndClock,
)
/** What is about to be held. */
const holding = ref<{ run: BatchRun; work: SessionStep; part: boolean } | null>(null)
const hours = ref(false)
const take = (file: string) => download(`/api/schedule/files/${file}`).catch(notice.fail)
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
    <LateNote v-if="agenda.unmet.length" :unmet="agenda.unmet" :help="help" />
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
        <SessionHands :session="session" @skip="skip(session)" @work="workAfterAll(session)" />
        <RunDetail
          v-for="run in chosenIn(session)"
          :key="run.from"
          class="detail"
          :run="run"
          :clock="clock"
          @hold="(work, part) => (holding = { run, work, part })"
        />
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
          {{ describe(one.record) }}
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

.told {
  font-size: 1.35rem;
  margin: 0 0 12px;
}

.sessions,
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

.skipped .when {
  opacity: 0.75;
}

.detail {
  grid-column: 2 / -1;
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
