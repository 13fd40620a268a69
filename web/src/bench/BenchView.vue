<script setup lang="ts">
import { t } from '../text'
import HelpLink from '../shared/HelpLink.vue'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, shallowRef, watch } from 'vue'
import { api, data, type BatchRow } from '../api/client'
import PieceSketch from '../drawing/PieceSketch.vue'
import PiecePicker from '../rack/PiecePicker.vue'
import type { ChosenPiece } from '../shared/asked'
import { useMakeNext } from '../shared/makeNext'
import MoreMenu from '../shared/MoreMenu.vue'
import { useNotice } from '../shared/notice'
import { vOneStop } from '../shared/oneStop'
import { thumbnailsOf } from '../shared/thumbnails'
import { minutesOf, spanOf, useServerClock } from './clock'
import { usePresses, withPresses } from './presses'

/** What is on its way, and where one more batch is begun. */
const { startBatch } = useMakeNext()
const notice = useNotice()
const queries = useQueryClient()
const refresh = () => queries.invalidateQueries({ queryKey: ['batches'] })
const { now } = useServerClock()
// What was pressed before the view of its batch was left is told from here.
for (const batch of withPresses()) usePresses(batch, refresh, notice.fail)

const { data: rows, error } = useQuery({
  queryKey: ['batches'],
  queryFn: () => data(api.GET('/api/batches')),
  refetchInterval: 5000,
  staleTime: 0,
})
const { data: drawn } = useQuery({
  queryKey: ['thumbnails', 'batches', rows],
  queryFn: () => thumbnailsOf((rows.value ?? []).map((row) => row.record.piece)),
  enabled: () => !!rows.value,
  placeholderData: (before) => before,
})
/** What can be done together now. */
const { data: together } = useQuery({
  queryKey: ['together', () => rows.value?.map((row) => `${row.id} ${row.next}`).join()],
  queryFn: () => data(api.GET('/api/schedule/shared')),
  enabled: () => (rows.value?.length ?? 0) > 0,
  staleTime: 0,
})
const sketch = (row: BatchRow) => drawn.value?.get(JSON.stringify(row.record.piece))

const piece = shallowRef<ChosenPiece | null>(null)
const count = ref('')
const fault = ref('')
const busy = ref(false)
/** A count that was typed stays as it is typed, whatever piece is chosen. */
let counted = ''
watch(piece, (now) => {
  if (count.value.trim() && count.value !== counted) return
  count.value = counted = now ? String(now.pieces_n) : ''
})

/** Whole numbers only; what is not one is said where it stands. */
const pieces = computed(() => (/^\d{1,6}$/.test(count.value.trim()) ? Number(count.value) : null))

async function begin() {
  if (busy.value || piece.value?.entry === undefined) return
  fault.value = pieces.value ? '' : t('bench-view-not-number-pieces-enter-1', { count: count.value })
  if (fault.value) return
  busy.value = true
  try {
    await startBatch(piece.value.entry, pieces.value!)
  } catch (thrown) {
    fault.value = thrown instanceof Error ? thrown.message : String(thrown)
  } finally {
    busy.value = false
  }
}

async function putAway(row: BatchRow) {
  try {
    const body = { revision: row.revision, archived: true }
    const { undo } = await data(
      api.POST('/api/batches/{id}/archive', { params: { path: { id: row.id } }, body }),
    )
    notice.did(t('bench-view-closed', { name: row.name }), undo, refresh)
    await refresh()
  } catch (thrown) {
    notice.fail(thrown)
    await refresh()
  }
}

const acts = (row: BatchRow) => [
  { label: t('bench-view-close-batch'), test: 'put-away', act: () => void putAway(row) },
]

function stands(row: BatchRow) {
  if (row.fault) return row.fault
  if (!row.next) return t('bench-view-all-made', { wholen: row.whole_n })
  const ready = row.ready_at ? Date.parse(row.ready_at) - now.value : null
  if (ready !== null)
    return ready > 0
      ? t('bench-view-ready-in', { next: row.next, ready: spanOf(ready) })
      : t('bench-view-ready', { next: row.next })
  return t('bench-view-next-about-left', { next: row.next, leftmin: minutesOf(row.left_min) })
}
</script>

<template>
  <div class="page">
    <h1>{{ t('bench-view-on-bench') }}</h1>
    <form class="begin serif" data-test="begin" @submit.prevent="begin">
      {{ t('bench-view-make')
      }}<input
        v-model="count"
        class="word short"
        :class="{ wrong: fault }"
        inputmode="numeric"
        :aria-label="t('bench-view-how-many')"
        :placeholder="t('bench-view-how-many-2')"
        data-test="how-many"
      />{{ t('bench-view-of')
      }}<PiecePicker v-model="piece" :label="t('bench-view-saved-piece')" kept-only first />.
      <v-btn type="submit" color="primary" variant="flat" :disabled="!piece || busy" data-test="begin-batch">
        {{ t('bench-view-start-batch') }}
      </v-btn>
    </form>
    <p v-if="fault" class="stop" role="alert">{{ fault }}</p>
    <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
    <p v-else-if="!rows" class="quiet" role="status">{{ t('bench-view-loading-batches') }}</p>
    <p v-else-if="!rows.length" class="empty" data-test="empty">
      {{ t('bench-view-no-batch-on-bench-choose') }} <HelpLink about="bench" />
    </p>
    <ul v-else v-one-stop class="pieces batches" data-test="batches">
      <li v-for="row in rows" :key="row.id">
        <span class="face">
          <PieceSketch
            v-if="sketch(row)"
            :drawing="sketch(row)!.drawing"
            :colour="sketch(row)!.colour"
            lying
          />
        </span>
        <div>
          <router-link class="name serif" :to="`/bench/${row.id}`" data-test="open-batch">{{
            row.name
          }}</router-link>
          <p class="sentence">{{ row.description }}</p>
          <p :class="row.fault ? 'stop' : 'stands'">{{ stands(row) }}</p>
        </div>
        <span class="num whole"
          >{{ row.whole_n
          }}<span class="quiet"> {{ t('bench-view-good', { piecesn: row.pieces_n }) }}</span></span
        >
        <MoreMenu :of="row.name" :acts="acts(row)" />
      </li>
    </ul>
    <section v-if="together?.passes.length" class="together" data-test="passes">
      <h2>{{ t('bench-view-do-these-together-with-one') }}</h2>
      <p v-for="pass in together.passes" :key="pass.named">
        <strong>{{ pass.named }}:</strong>
        <template v-for="(part, i) in pass.of" :key="part.batch"
          >{{ i ? t('bench-view-then') : ' '
          }}<router-link :to="`/bench/${part.batch}`">{{
            t('bench-view-of-2', { part: part.n, name: part.name })
          }}</router-link></template
        >.
        <span class="quiet">{{
          t('bench-view-saves-about-set-up', { savesmin: minutesOf(pass.saves_min) })
        }}</span>
      </p>
    </section>
    <section v-if="together?.loads.length" class="together" data-test="loads">
      <h2>{{ t('bench-view-tumble-these-together') }}</h2>
      <p v-for="load in together.loads" :key="load.text + load.of.map((part) => part.batch).join()">
        <template v-for="(part, i) in load.of" :key="part.batch"
          >{{ i ? t('bench-view-and') : ''
          }}<router-link :to="`/bench/${part.batch}`">{{
            t('bench-view-of-2', { part: part.n, name: part.name })
          }}</router-link></template
        >: {{ load.text }}
      </p>
    </section>
  </div>
</template>

<style scoped>
.begin {
  font-size: 1.35rem;
  line-height: 1.9;
  margin: 0 0 10px;
}

.begin .v-btn {
  margin-left: 14px;
}

/* On a phone the button stands on a line of its own, and begins where the line does. */
@media (max-width: 560px) {
  .begin .v-btn {
    margin-left: 0;
  }
}

.short {
  min-width: 2.2em;
}

.name {
  font-size: 1.4rem;
  line-height: 1.2;
  text-decoration: none;
}

.sentence,
.stands,
.stop {
  margin: 2px 0 0;
}

.stands {
  font-weight: 500;
}

.empty {
  max-width: 62ch;
}

.together {
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding: 12px 0 4px;
}

.together p {
  margin: 0 0 6px;
}

@media (max-width: 600px) {
  .batches li {
    grid-template-columns: minmax(0, 1fr) 40px;
  }

  .face,
  .whole {
    display: none;
  }
}
</style>
