<script setup lang="ts">
import { t } from '../text'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, data } from '../api/client'
import { minutesOf, spanOf, useServerClock } from '../bench/clock'
import { dueIn } from '../orders/words'
import { dayOf } from '../shared/dates'
import AskLine from './AskLine.vue'
import FirstSteps from './FirstSteps.vue'
import { useNotice } from '../shared/notice'
import { useRackRefresh } from '../shared/picking'

/** What today is about: the next session, what runs by itself, what is late, due or short, and the last thing done. */
const notice = useNotice()
const queries = useQueryClient()
const rackToo = useRackRefresh()
const { now } = useServerClock()
const live = { staleTime: 0 }

const { data: planned } = useQuery({
  queryKey: ['schedule'],
  queryFn: () => data(api.GET('/api/schedule')),
  ...live,
})
const { data: orders } = useQuery({
  queryKey: ['orders'],
  queryFn: () => data(api.GET('/api/orders')),
  ...live,
})
const { data: batches } = useQuery({
  queryKey: ['batches'],
  queryFn: () => data(api.GET('/api/batches')),
  refetchInterval: 15_000,
  ...live,
})
const { data: needs } = useQuery({
  queryKey: ['needs'],
  queryFn: () => data(api.GET('/api/buying-list')),
  ...live,
})
const { data: history } = useQuery({
  queryKey: ['history'],
  queryFn: () => data(api.GET('/api/history')),
  ...live,
})

const next = computed(() => planned.value?.agenda.sessions.find((one) => one.runs.length))
const first = computed(() => next.value?.runs[0])
const sitsNow = computed(() => next.value && Date.parse(next.value.from) <= now.value)
const running = computed(() =>
  (batches.value ?? [])
    .filter((row) => row.ready_at)
    .map((row) => ({ ...row, left: Date.parse(row.ready_at!) - now.value })),
)
const led = computed(() => (batches.value ?? []).filter((row) => row.next && !row.ready_at))
const late = computed(() => planned.value?.agenda.unmet ?? [])
const due = computed(() =>
  (orders.value ?? []).filter((one) => one.state !== 'handed-over' && (one.due_in_days ?? 99) <= 7),
)
const ready = computed(() =>
  (orders.value ?? []).filter((one) => one.state === 'ready' && one.record.customer),
)
const short = computed(() => (needs.value ?? []).filter((need) => need.missing_mm > 0).slice(0, 5))
const last = computed(() => history.value?.[0])
const nothing = computed(() => orders.value && batches.value && !orders.value.length && !batches.value.length)
const linkOf = (of: { batch: number } | { line: unknown } | object) =>
  'batch' in of ? `/bench/${(of as { batch: number }).batch}` : '/orders'

const clock = (moment: string) =>
  new Date(moment).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })

async function everything() {
  await queries.invalidateQueries()
  await rackToo()
}
async function takeBack(batch: number, sentence: string) {
  try {
    const { undo } = await data(api.POST('/api/undo/{batch}', { params: { path: { batch } } }))
    notice.did(t('today-view-undone', { sentence }), undo, everything)
  } catch (thrown) {
    notice.fail(thrown)
  }
  await everything()
}
</script>

<template>
  <div class="page today">
    <header>
      <h1 class="visually-hidden">{{ t('today-view-today') }}</h1>
      <p class="quiet for serif">{{ t('today-view-cut-lists-mandrels-bench-steps') }}</p>
      <AskLine large />
    </header>
    <FirstSteps v-if="nothing" class="first-steps" />
    <section class="next">
      <template v-if="next && first">
        <p class="quiet kind">{{ sitsNow ? t('today-view-now-at-bench') : t('today-view-next-at-bench') }}</p>
        <p class="when serif" data-test="next-session">
          {{ dayOf(next.day) }}, {{ next.clock }}
          <span class="quiet">{{
            t('today-view-about-handwork', { handsmin: minutesOf(next.hands_min) })
          }}</span>
        </p>
        <ol class="works">
          <li v-for="run in next.runs" :key="run.from">
            <span class="num">{{ clock(run.from) }}</span>
            <span
              ><router-link :to="linkOf(run.of)"
                ><strong>{{ run.name }}</strong></router-link
              >{{
                t('today-view-about', {
                  counted: run.counted,
                  stepstold: run.steps_text,
                  handsmin: minutesOf(run.hands_min),
                })
              }}</span
            >
          </li>
        </ol>
        <p class="does">
          <v-btn color="primary" variant="flat" size="large" :to="linkOf(first.of)" data-test="sit-down">
            {{ 'batch' in first.of ? t('today-view-go-bench') : t('today-view-open-order-start') }}
          </v-btn>
          <v-btn variant="text" to="/orders/schedule">{{ t('today-view-full-schedule') }}</v-btn>
        </p>
      </template>
      <template v-else-if="nothing">
        <p class="when serif">{{ t('today-view-no-orders-nothing-on-bench') }}</p>
        <p class="teach">
          {{ t('today-view-add-order-for-customer-or') }}
        </p>
        <v-btn color="primary" variant="flat" size="large" to="/orders" data-test="first-order">{{
          t('today-view-add-order')
        }}</v-btn>
      </template>
      <p v-else-if="planned" class="when serif">{{ t('today-view-nothing-needs-your-hands-right') }}</p>
      <p v-else class="quiet" role="status">{{ t('today-view-loading') }}</p>
      <ul v-if="led.length" class="led">
        <li v-for="row in led.slice(0, 4)" :key="row.id">
          {{ t('today-view-on-bench') }}<router-link :to="`/bench/${row.id}`">{{ row.name }}</router-link
          >{{ t('today-view-next', { next: row.next }) }}
        </li>
      </ul>
    </section>
    <aside>
      <section v-if="running.length" data-test="running">
        <h2>{{ t('today-view-on-its-own') }}</h2>
        <p v-for="row in running" :key="row.id">
          <router-link :to="`/bench/${row.id}`">{{ row.name }}</router-link>, {{ row.next }}:
          <strong class="num">{{
            row.left > 0
              ? t('today-view-ready-in', { left: spanOf(row.left), readyat: clock(row.ready_at!) })
              : t('today-view-ready')
          }}</strong>
        </p>
      </section>
      <section v-if="late.length" data-test="late">
        <h2>{{ t('today-view-will-be-late') }}</h2>
        <p v-for="(one, i) in late.slice(0, 4)" :key="i" class="stop">{{ one.text }}</p>
        <p v-if="late.length > 4" class="stop">{{ t('today-view-more', { late: late.length - 4 }) }}</p>
        <p>
          <router-link to="/orders/schedule">{{ t('today-view-see-what-would-help') }}</router-link>
        </p>
      </section>
      <section v-if="ready.length" data-test="ready">
        <h2>{{ t('today-view-hand-over') }}</h2>
        <p v-for="one in ready" :key="one.id">
          <router-link to="/orders">{{ one.for_whom }}</router-link>:
          {{ one.record.lines.map((line) => line.name).join(', ') }}
        </p>
      </section>
      <section v-if="due.length" data-test="due">
        <h2>{{ t('today-view-due') }}</h2>
        <p v-for="one in due" :key="one.id" :class="{ stop: (one.due_in_days ?? 0) < 0 }">
          <router-link to="/orders">{{ one.for_whom }}</router-link>, {{ dueIn(one.due_in_days) }}
        </p>
      </section>
      <section v-if="short.length" data-test="short">
        <h2>{{ t('today-view-short-wire') }}</h2>
        <p v-for="need in short" :key="need.label">
          <strong>{{ need.label }}:</strong> {{ need.text }}
        </p>
        <p>
          <router-link to="/wire">{{ t('today-view-go-wire') }}</router-link>
        </p>
      </section>
      <section v-if="last" data-test="last">
        <h2>{{ t('today-view-latest-change') }}</h2>
        <p>
          {{ last.text }}
          <v-btn
            size="small"
            variant="text"
            data-test="take-last-back"
            @click="takeBack(last.batch, last.text)"
            >{{ t('today-view-undo') }}</v-btn
          >
        </p>
      </section>
    </aside>
  </div>
</template>

<style scoped>
.today {
  display: grid;
  grid-template-columns: minmax(0, 7fr) minmax(260px, 4fr);
  gap: 8px 56px;
  padding-top: 16px;
}

header {
  grid-column: 1 / -1;
  margin-bottom: 8px;
}

.first-steps {
  grid-column: 1 / -1;
  margin-bottom: 10px;
}

.for {
  margin: 0 0 2px;
  font-size: 1.35rem;
}

.kind {
  margin: 12px 0 0;
}

.when {
  font-size: clamp(1.7rem, 3vw, 2.5rem);
  line-height: 1.15;
  margin: 0 0 10px;
}

.when .quiet {
  font: 1.1rem var(--sans);
}

.works,
.led {
  list-style: none;
  margin: 0;
  padding: 0;
}

.works li {
  display: grid;
  grid-template-columns: 58px minmax(0, 1fr);
  font-size: 1.2rem;
  padding: 7px 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}

.does {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin: 14px 0 22px;
}

.teach {
  max-width: 56ch;
  font-size: 1.15rem;
}

li a,
aside a {
  display: inline-block;
  min-height: 26px;
  line-height: 26px;
}

.led li {
  min-height: 32px;
}

aside section {
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding: 10px 0 12px;
}

aside h2 {
  margin: 0 0 4px;
}

aside p {
  margin: 0 0 4px;
}

@media (max-width: 860px) {
  .today {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
