<script setup lang="ts">
import { dayOf } from '../shared/dates'
import { t } from '../text'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { useRouter } from 'vue-router'
import { api, data, type DrillShown } from '../api/client'
import { useAmounts } from '../shared/amounts'
import { useNotice } from '../shared/notice'

/** Drills for the hand: what to do, how even it was, and how that goes over the weeks. */
const router = useRouter()
const notice = useNotice()
const queries = useQueryClient()
const { across } = useAmounts()
const { data: drills, error } = useQuery({
  queryKey: ['drills'],
  queryFn: () => data(api.GET('/api/drills')),
  staleTime: 0,
})

async function begin({ drill, name, piece, of, pieces_n }: DrillShown) {
  try {
    const body = { name, piece, of, pieces_n, drill }
    const { entry, undo } = await data(api.POST('/api/checks', { body }))
    notice.did(t('practice-view-started', { name: entry.name }), undo, () => queries.invalidateQueries())
    await router.push(`/measure/${entry.id}`)
  } catch (thrown) {
    notice.fail(thrown)
  }
}
</script>

<template>
  <p class="quiet lead">{{ t('practice-view-use-copper-first-forgives-shows') }}</p>
  <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
  <p v-else-if="!drills" class="quiet" role="status">{{ t('practice-view-loading') }}</p>
  <div v-else class="drills">
    <section v-for="drill in drills" :key="drill.drill" :data-test="`drill-${drill.drill}`">
      <h2 class="serif">{{ drill.name }}</h2>
      <p>{{ drill.text }}</p>
      <p class="quiet">
        {{ t('practice-view-goal') }}<span class="num">{{ across(drill.target_mm) }}</span>
      </p>
      <v-btn variant="flat" color="primary" data-test="begin-drill" @click="begin(drill)">{{
        t('practice-view-start-set')
      }}</v-btn>
      <p v-if="drill.progress" class="progress" data-test="progress">{{ drill.progress }}</p>
      <ul v-if="drill.sets.length" class="sets">
        <li v-for="set in drill.sets" :key="set.check">
          <router-link :to="`/measure/${set.check}`">{{ dayOf(set.at) }}</router-link>
          <span class="num">± {{ across(set.spread_mm) }}</span>
          <span v-if="set.target_met">{{ t('practice-view-met') }}</span>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.lead {
  margin: 0 0 10px;
}

.drills {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 22px 40px;
}

h2 {
  font-size: 1.5rem;
  font-weight: 400;
}

h2::first-letter {
  text-transform: uppercase;
}

.progress {
  margin: 12px 0 0;
  font-size: 1.1rem;
}

.sets {
  list-style: none;
  padding: 0;
}

.sets li {
  display: flex;
  gap: 14px;
  padding: 3px 0;
}
</style>
