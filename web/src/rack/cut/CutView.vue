<script setup lang="ts">
import { t } from '../../text'
import HelpLink from '../../shared/HelpLink.vue'
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { api, data, faultsOf, type Fault, type PickedRow } from '../../api/client'
import { useNotice } from '../../shared/notice'
import PiecePicker from '../PiecePicker.vue'
import type { ChosenPiece } from '../../shared/asked'
import WirePlan from './WirePlan.vue'
import { usePick, useRackRefresh } from '../../shared/picking'

/** What is picked to be made, and from which lot each blank of it is cut. */
const refresh = useRackRefresh()
const pickToCut = usePick()
const notice = useNotice()
const piece = ref<ChosenPiece | null>(null)
const faults = ref<Fault[]>([])

const { data: picks, error } = useQuery({
  queryKey: ['picks'],
  queryFn: () => data(api.GET('/api/picks')),
})
const { data: wanted, error: wantedError } = useQuery({
  queryKey: ['wanted'],
  queryFn: () => data(api.GET('/api/cut-plans/wanted')),
})

async function attempt(work: () => Promise<void>) {
  try {
    faults.value = []
    await work()
  } catch (thrown) {
    faults.value = faultsOf(thrown)
    await refresh()
  }
}

const pick = () =>
  attempt(async () => {
    const chosen = piece.value
    if (!chosen?.entry) return
    await pickToCut(chosen.entry, chosen.name, chosen.pieces_n)
    piece.value = null
  })

/** Counts that are being typed, by the number of their pick: the list that comes anew meanwhile leaves them alone. */
const typing = ref<Record<number, string>>({})
function type(row: PickedRow, event: Event) {
  typing.value[row.id] = (event.target as HTMLInputElement).value
}

async function change(row: PickedRow) {
  const typed = typing.value[row.id]
  await attempt(async () => {
    const pieces_n = Math.max(0, Math.round(Number(typed) || 0))
    const params = { path: { id: row.id }, query: { revision: row.revision } }
    const body = { entry: row.record.entry, pieces_n }
    const { undo } = await data(api.PUT('/api/picks/{id}', { params, body }))
    await refresh()
    notice.did(t('cut-view-added-cutting-plan', { piecesn: pieces_n, what: row.what }), undo, refresh)
  })
  if (typing.value[row.id] === typed) delete typing.value[row.id]
}

const drop = (row: PickedRow) =>
  attempt(async () => {
    const body = { revision: row.revision, archived: true }
    const { undo } = await data(
      api.POST('/api/picks/{id}/archive', { params: { path: { id: row.id } }, body }),
    )
    await refresh()
    notice.did(t('cut-view-removed-from-cutting-plan', { what: row.what }), undo, refresh)
  })
</script>

<template>
  <div class="cut">
    <section class="picks no-print" :aria-label="t('cut-view-be-cut')">
      <h2>{{ t('cut-view-be-cut') }}</h2>
      <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
      <ul v-else data-test="picks">
        <li v-for="row in picks ?? []" :key="row.id">
          <input
            class="word count num"
            type="number"
            min="1"
            max="100000"
            :value="typing[row.id] ?? row.record.pieces_n"
            :aria-label="t('cut-view-how-many', { what: row.what })"
            data-test="pick-count"
            @input="type(row, $event)"
            @change="change(row)"
          />
          <div>
            <p>{{ row.what }}</p>
            <p class="quiet">{{ row.blanks }}</p>
          </div>
          <v-btn
            size="small"
            :aria-label="t('cut-view-remove-this', { what: row.what })"
            data-test="drop-pick"
            @click="drop(row)"
          >
            {{ t('cut-view-remove') }}
          </v-btn>
        </li>
      </ul>
      <form class="add" @submit.prevent="pick">
        <PiecePicker v-model="piece" :label="t('cut-view-add-saved-piece')" kept-only />
        <v-btn type="submit" variant="flat" color="primary" :disabled="!piece" data-test="pick-it">{{
          t('cut-view-add')
        }}</v-btn>
      </form>
      <p v-for="fault in faults" :key="fault.message" class="stop" role="alert" data-test="pick-fault">
        {{ fault.message }}
      </p>
    </section>
    <section :aria-label="t('cut-view-cutting-plan')">
      <p v-if="wantedError" class="stop" role="alert">{{ wantedError.message }}</p>
      <p v-else-if="!wanted" class="quiet" role="status">{{ t('cut-view-loading-stock') }}</p>
      <p v-else-if="!wanted.length" class="empty" data-test="nothing-picked">
        {{ t('cut-view-nothing-cut-yet-add-saved') }} <HelpLink about="wire" />
      </p>
      <WirePlan v-for="of in wanted ?? []" :key="of.label" :of="of" />
    </section>
  </div>
</template>

<style scoped>
.cut {
  display: grid;
  grid-template-columns: minmax(290px, 2fr) 5fr;
  gap: 20px 48px;
  align-items: start;
}

ul {
  list-style: none;
  padding: 0;
  margin: 0 0 8px;
}

li {
  display: grid;
  grid-template-columns: 52px minmax(0, 1fr) auto;
  gap: 0 10px;
  align-items: center;
  padding: 6px 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}

li p {
  margin: 0;
  line-height: 1.2;
}

.count {
  field-sizing: fixed;
  font-size: 1.15rem;
  width: 52px;
  min-height: 36px;
}

.add {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 40px;
}

.add select {
  flex: 1;
  min-width: 0;
}

@media (max-width: 900px) {
  .cut {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
