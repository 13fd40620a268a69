<script setup lang="ts">
import { momentOf } from '../shared/dates'
import { t } from '../text'
import HelpLink from '../shared/HelpLink.vue'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data } from '../api/client'
import { useAmounts } from '../shared/amounts'
import { useNotice } from '../shared/notice'
import { useSettings } from '../shared/settings'
import ToleranceList from './ToleranceList.vue'

/** How even this workshop is, as measured; how long its steps take; and everything that was ever read. */
const settings = useSettings()
const notice = useNotice()
const queries = useQueryClient()
const { across } = useAmounts()
const { data: own, error } = useQuery({
  queryKey: ['hand', 'learned'],
  queryFn: () => data(api.GET('/api/consistency')),
  staleTime: 0,
})
const { data: paces } = useQuery({
  queryKey: ['paces'],
  queryFn: () => data(api.GET('/api/paces')),
  staleTime: 0,
})

const seen = computed(() => (own.value?.sources ?? []).some((source) => source.seen_n > 0))
const taken = computed(() => JSON.stringify(own.value?.hand) === JSON.stringify(settings.settings.hand))
async function takeOver() {
  const before = settings.settings.hand
  const put = async (hand: typeof before) => {
    try {
      await settings.keep({ hand })
      await queries.invalidateQueries()
    } catch (thrown) {
      notice.fail(thrown)
    }
  }
  await put(own.value!.hand)
  notice.say(t('hand-view-plans-now-use-your-own'), () => put(before))
}

/** The history, page by page. */
const before = ref<number | undefined>()
const { data: history } = useQuery({
  queryKey: ['readings', before],
  queryFn: () => data(api.GET('/api/readings', { params: { query: { before: before.value, most: 50 } } })),
  placeholderData: (last) => last,
  staleTime: 0,
})
const percent = (share: number) => `${Math.round(100 * share)} %`
</script>

<template>
  <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
  <p v-else-if="!own" class="quiet" role="status">{{ t('hand-view-loading') }}</p>
  <div v-else class="two">
    <section>
      <h2>{{ t('hand-view-where-ring-comes-from') }}</h2>
      <p class="told serif" data-test="narrows">{{ own.text }}</p>
      <v-table class="ledger" data-test="own-spread">
        <thead>
          <tr>
            <th>{{ t('hand-view-source') }}</th>
            <th class="right">{{ t('hand-view-yours') }}</th>
            <th class="right">{{ t('hand-view-usual') }}</th>
            <th class="right">{{ t('hand-view-share') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in own.sources" :key="one.source">
            <td>
              {{ one.label }}
              <span class="quiet">{{
                one.seen_n
                  ? t('hand-view-measured-times', { seenn: one.seen_n })
                  : t('hand-view-not-measured')
              }}</span>
            </td>
            <td class="right num">{{ across(one.mm) }}</td>
            <td class="right">{{ across(one.handbook_mm) }}</td>
            <td class="right">{{ percent(one.share) }}</td>
          </tr>
        </tbody>
      </v-table>
      <p v-if="!seen" class="quiet">
        {{ t('hand-view-not-measured-yet-measure-few') }} <HelpLink about="measure" />
      </p>
      <v-btn
        v-else
        class="no-print"
        variant="flat"
        color="primary"
        :disabled="taken"
        data-test="take-hand"
        @click="takeOver"
        >{{ taken ? t('hand-view-used-by-plans') : t('hand-view-use-my-consistency-in-plans') }}</v-btn
      >
    </section>
    <section>
      <h2>{{ t('hand-view-how-long-steps-take-you') }}</h2>
      <p v-if="paces?.length" class="quiet">{{ t('hand-view-schedule-uses-these-times') }}</p>
      <p v-if="!paces?.length" class="quiet">
        {{ t('hand-view-learned-at-bench-once-four') }}
      </p>
      <v-table v-else class="ledger" data-test="paces">
        <thead>
          <tr>
            <th>{{ t('hand-view-step') }}</th>
            <th class="right">{{ t('hand-view-compared-with-usual') }}</th>
            <th class="right">{{ t('hand-view-from') }}</th>
            <th class="right">{{ t('hand-view-batches') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="pace in paces" :key="pace.operation">
            <td>{{ pace.operation_label }}</td>
            <td class="right num">{{ percent(pace.share) }}</td>
            <td class="right">
              {{ percent(pace.from_to[0] as number) }}, {{ percent(pace.from_to[1] as number) }}
            </td>
            <td class="right">{{ pace.batches_n }}</td>
          </tr>
        </tbody>
      </v-table>
    </section>
  </div>
  <ToleranceList class="passes" />
  <section v-if="history?.total" class="history" data-test="history">
    <h2>
      {{ t('hand-view-all-readings')
      }}<span class="quiet">{{ t('hand-view-readings', { total: history.total }) }}</span>
    </h2>
    <v-table class="ledger">
      <tbody>
        <tr v-for="one in history.readings" :key="one.reading_n" :class="{ quiet: one.excluded }">
          <td>
            <router-link :to="`/measure/${one.check}`">{{ one.name }}</router-link>
          </td>
          <td class="num">{{ one.piece_n }}</td>
          <td>{{ one.what }}</td>
          <td class="right num">{{ one.grade ?? across(one.value) }}</td>
          <td class="quiet">{{ momentOf(one.at) }}</td>
        </tr>
      </tbody>
    </v-table>
    <v-btn v-if="before" class="no-print" @click="before = undefined">{{ t('hand-view-newest') }}</v-btn>
    <v-btn
      v-if="history.readings.length === 50"
      class="no-print"
      data-test="older"
      @click="before = history!.readings.at(-1)!.reading_n"
      >{{ t('hand-view-older') }}</v-btn
    >
  </section>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
  gap: 18px 48px;
}

.told {
  font-size: 1.3rem;
  margin: 0 0 8px;
}

.two .v-btn {
  margin-top: 12px;
}

.passes {
  max-width: 560px;
  margin-top: 24px;
}

.history {
  margin-top: 24px;
}

h2 .quiet {
  font-weight: 400;
  margin-left: 8px;
}
</style>
