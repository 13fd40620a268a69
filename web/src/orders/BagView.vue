<script setup lang="ts">
import { t } from '../text'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, data } from '../api/client'
import { download } from '../shared/download'
import PieceSketch from '../drawing/PieceSketch.vue'
import { dayOf } from '../shared/dates'
import { useNotice } from '../shared/notice'
import CountDialog from './CountDialog.vue'
import LabelsDialog from './LabelsDialog.vue'
import { countIn } from '../shared/piece'

/** A bag with the recipe its pieces were made by: what the code on its label leads to. */
const route = useRoute()
const router = useRouter()
const notice = useNotice()
const queries = useQueryClient()
const id = computed(() => Number(route.params.id))
const { data: bag, error } = useQuery({
  queryKey: ['bags', 'one', id],
  queryFn: () => data(api.GET('/api/bags/{id}', { params: { path: { id: id.value } } })),
  staleTime: 0,
})
const again = ref(false)
const labelling = ref<number[] | null>(null)

async function make(pieces_n: number) {
  const params = { path: { id: id.value } }
  const { entry, undo } = await data(api.POST('/api/bags/{id}/again', { params, body: { pieces_n } }))
  notice.did(t('bag-view-started-as-was-made', { name: entry.name }), undo, () => queries.invalidateQueries())
  await router.push(`/bench/${entry.id}`)
}
const label = () => download(`/api/bags/${id.value}/files/label.pdf`).catch(notice.fail)
const filled = computed(() => {
  const piece = bag.value?.entry.record.piece
  if (!piece) return ''
  return String(countIn(piece))
})
</script>

<template>
  <div class="page" :style="{ '--metal': bag?.colour }">
    <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
    <p v-else-if="!bag" class="quiet" role="status">{{ t('bag-view-loading-bag') }}</p>
    <template v-else>
      <p class="way">
        <router-link to="/orders/stock">{{ t('bag-view-finished-stock') }}</router-link>
      </p>
      <h1>{{ bag.entry.name }}</h1>
      <section class="top">
        <PieceSketch v-if="bag.tasks.length" :drawing="bag.tasks.at(-1)!.drawing" class="drawing" />
        <div>
          <p class="reads">
            <span class="num">{{ bag.counted }}</span> <span class="quiet">{{ t('bag-view-in-bag') }}</span>
          </p>
          <p class="serif told">{{ bag.entry.description }}</p>
          <p class="quiet">
            {{ t('bag-view-filled', { filledon: dayOf(bag.entry.record.filled_on) })
            }}<template v-if="bag.entry.record.place">{{
              t('bag-view-in', { place: bag.entry.record.place })
            }}</template
            ><template v-if="bag.entry.record.batch">{{
              t('bag-view-batch', { batch: bag.entry.record.batch })
            }}</template
            ><template v-if="bag.entry.archived">{{ t('bag-view-removed-from-stock') }}</template
            >.
            <template v-if="bag.entry.record.note">{{ bag.entry.record.note }}</template>
          </p>
          <p class="does">
            <v-btn color="primary" variant="flat" data-test="make-again" @click="again = true">{{
              t('bag-view-make-again')
            }}</v-btn>
            <v-btn data-test="bag-label" @click="label">{{ t('bag-view-label-as-pdf') }}</v-btn>
            <v-btn data-test="more-labels" @click="labelling = [bag.entry.id]">{{
              t('bag-view-sheets-printer')
            }}</v-btn>
          </p>
        </div>
      </section>
      <h2>{{ t('bag-view-how-was-made') }}</h2>
      <p v-if="bag.fault" class="watch">
        {{ t('bag-view-its-steps-cannot-be-shown', { fault: bag.fault }) }}
      </p>
      <ol class="steps" data-test="recipe">
        <li v-for="task in bag.tasks" :key="task.step.step_n">
          <span class="num reads-small">{{ task.number }}</span>
          <span>
            <strong>{{ task.step.named }}</strong> {{ task.step.text }}
          </span>
        </li>
      </ol>
      <CountDialog
        :open="again"
        :title="t('bag-view-make-again-it', { name: bag.entry.name })"
        :start="filled"
        :does="t('bag-view-start-batch')"
        :work="make"
        @close="again = false"
      />
      <LabelsDialog v-model="labelling" />
    </template>
  </div>
</template>

<style scoped>
.way {
  margin: 0;
}

.top {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 10px 40px;
  align-items: center;
  margin-bottom: 14px;
}

.drawing {
  width: 100%;
  max-height: 280px;
}

.reads {
  font-size: 2.2rem;
  line-height: 1.1;
  margin: 0;
}

.told {
  font-size: 1.3rem;
  margin: 4px 0;
}

.does {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.steps {
  list-style: none;
  margin: 0;
  padding: 0;
}

.steps li {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr);
  gap: 0 18px;
  padding: 7px 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
  align-items: baseline;
}

.reads-small {
  font-size: 1.2rem;
}

@media (max-width: 700px) {
  .top {
    grid-template-columns: minmax(0, 1fr);
  }

  .steps li {
    grid-template-columns: 96px minmax(0, 1fr);
  }
}
</style>
