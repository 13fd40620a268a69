<script setup lang="ts">
import WordSelect from '../shared/WordSelect.vue'
import { t } from '../text'
import { useQuery } from '@tanstack/vue-query'
import { refDebounced, useSessionStorage } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, data, faultsOf, type Fault, type NewOrder, type Wire } from '../api/client'
import PiecePicker from '../rack/PiecePicker.vue'
import type { ChosenPiece } from '../shared/asked'
import { useKept } from '../shared/kept'
import { useNotice } from '../shared/notice'
import { readDay, useTypedDay } from '../shared/day'
import DayPicker from '../shared/DayPicker.vue'
import { countOf } from '../shared/typing'

/** An order, said in a sentence whose words are its inputs. */
const emit = defineEmits<{ taken: [] }>()
const notice = useNotice()
const { data: kept, isFetching } = useKept()

interface Typed {
  piece: ChosenPiece | null
  count: string
  /** Other wire than its own, as it is on the rack. */
  wire: string
  spares: string
}
const fresh = (): Typed => ({ piece: null, count: '', wire: '', spares: '' })
/** The wires there are, each once: a line can ask for another than that of its piece. */
const { data: lots } = useQuery({
  queryKey: ['lots', 'all'],
  queryFn: () => data(api.GET('/api/lots', { params: { query: { most: 500 } } })),
})
const wires = computed(() => {
  const all = new Map<string, Wire>()
  for (const { record, description: sentence } of lots.value?.lots ?? [])
    all.set(sentence, { ...record.wire, surface: record.surface })
  return all
})
// What is typed outlives a reload.
const customer = useSessionStorage('lorimant.order.customer', '')
const due = useSessionStorage('lorimant.order.due', '')
const { told: dueTold, wrong: dueWrong, day: dueDay } = useTypedDay(due)
const lines = useSessionStorage<Typed[]>('lorimant.order.lines', [fresh()])
const faults = ref<Fault[]>([])
const busy = ref(false)
const form = useTemplateRef<HTMLFormElement>('form')

function chose(line: Typed, piece: ChosenPiece | null) {
  line.piece = piece
  if (piece && !line.count) line.count = String(piece.pieces_n)
}

/** A piece that came from its plan stands in the first line that is empty. */
const route = useRoute()
const router = useRouter()
watch(
  [kept, () => route.query.piece, isFetching],
  async ([all, id, coming]) => {
    if (typeof id !== 'string' || !all) return
    const entry = all.entries.find((one) => String(one.id) === id)
    if (!entry) {
      // It may have been saved a moment ago.
      if (coming) return
      notice.say(t('order-sentence-no-piece', { id }))
      return router.replace({ query: {} })
    }
    const piece = { key: `saved ${entry.id}`, name: entry.name, purpose: entry.piece, entry: entry.id }
    const count = typeof route.query.count === 'string' ? route.query.count : ''
    const empty = lines.value.find((line) => !line.piece && !line.count)
    const line = { ...fresh(), piece: { ...piece, pieces_n: countOf(count) ?? 1 }, count }
    if (empty) Object.assign(empty, line)
    else lines.value.push(line)
    await router.replace({ query: {} })
    await nextTick()
    form.value?.querySelector<HTMLInputElement>('[data-test=customer]')?.focus()
  },
  { immediate: true },
)

async function more() {
  lines.value.push(fresh())
  await nextTick()
  form.value?.querySelector<HTMLInputElement>('.order-line:last-of-type input')?.focus()
}

/** What was typed, and what is wrong with it, each at its word. */
function read(): { body: NewOrder; found: Fault[] } {
  const found: Fault[] = []
  const fault = (field: string, sentence: string) => found.push({ field, message: sentence })
  const told = lines.value.map((line, i) => {
    const pieces_n = countOf(line.count)
    if (!line.piece?.entry) fault(`lines[${i}].entry`, t('order-sentence-choose-saved-piece'))
    if (!pieces_n)
      fault(`lines[${i}].pieces_n`, t('order-sentence-not-number-pieces-enter-1', { count: line.count }))
    const spares = line.spares.trim().replace(/\s*%$/, '')
    if (spares && !/^\d{1,3}([.,]\d+)?$/.test(spares))
      fault(
        `lines[${i}].spares_percent`,
        t('order-sentence-not-percentage-enter-10-for', { spares: line.spares }),
      )
    return {
      entry: line.piece?.entry ?? 0,
      pieces_n: pieces_n ?? 0,
      wire: wires.value.get(line.wire) ?? null,
      spares_percent: Number(spares.replace(',', '.')) || 0,
    }
  })
  return { body: { customer: customer.value.trim(), due: dueDay.value, lines: told }, found }
}

/** When what is typed could be ready, once it says what and how many. */
const typedOrder = computed(() => {
  const { body, found } = read()
  return found.length || (due.value.trim() && !dueDay.value) ? '' : JSON.stringify(body)
})
const settled = refDebounced(typedOrder, 400)
const { data: promise } = useQuery({
  queryKey: ['schedule', 'promise', settled],
  queryFn: () => data(api.POST('/api/orders/promise', { body: JSON.parse(settled.value) as NewOrder })),
  enabled: () => !!settled.value,
  staleTime: 0,
  retry: false,
})

async function take() {
  if (busy.value) return
  const { body, found } = read()
  faults.value = found
  if (found.length) return
  busy.value = true
  try {
    body.due = await readDay(due.value, 'due')
    const { undo, entry } = await data(api.POST('/api/orders', { body }))
    notice.did(t('order-sentence-order-added', { sentence: entry.description }), undo, () => emit('taken'))
    customer.value = due.value = ''
    lines.value = [fresh()]
    emit('taken')
  } catch (thrown) {
    faults.value = faultsOf(thrown)
  } finally {
    busy.value = false
  }
}

const wrong = computed(() => (field: string) => faults.value.some((fault) => fault.field === field))
const inWires = computed(() => [
  { word: '', label: t('order-sentence-its-own-wire') },
  ...[...wires.value.keys()].map((shown) => ({ word: shown, label: shown })),
])
</script>

<template>
  <p v-if="kept && !kept.total" class="watch" data-test="nothing-kept">
    {{ t('order-sentence-only-saved-pieces-can-be')
    }}<router-link to="/rings">{{ t('order-sentence-rings') }}</router-link
    >{{ t('order-sentence-or') }}<router-link to="/findings">{{ t('order-sentence-finding') }}</router-link
    >{{ t('order-sentence-save') }}
  </p>
  <form v-else ref="form" class="serif sentence" data-test="order" @submit.prevent="take">
    {{ t('order-sentence-for')
    }}<input
      v-model="customer"
      class="word"
      :class="{ wrong: wrong('customer') }"
      :placeholder="t('order-sentence-stock')"
      :aria-label="t('order-sentence-customer')"
      maxlength="80"
      data-test="customer"
    />:
    <span v-for="(line, i) in lines" :key="i" class="order-line">
      <template v-if="i">{{ t('order-sentence-and') }} </template>
      <input
        v-model="line.count"
        class="word short"
        :class="{ wrong: wrong(`lines[${i}].pieces_n`) }"
        inputmode="numeric"
        :placeholder="t('order-sentence-how-many')"
        :aria-label="t('order-sentence-how-many-2')"
        data-test="order-count"
      />{{ t('order-sentence-of')
      }}<PiecePicker
        :model-value="line.piece"
        :class="{ wrong: wrong(`lines[${i}].entry`) }"
        :label="t('order-sentence-saved-piece')"
        kept-only
        @update:model-value="chose(line, $event)"
      />{{ t('order-sentence-in')
      }}<WordSelect
        v-model="line.wire"
        :choices="inWires"
        :aria-label="t('order-sentence-wire')"
        data-test="order-wire"
      />{{ t('order-sentence-with')
      }}<input
        v-model="line.spares"
        class="word tiny"
        :class="{ wrong: wrong(`lines[${i}].spares_percent`) }"
        inputmode="decimal"
        :placeholder="t('order-sentence-no')"
        :aria-label="t('order-sentence-spares-percent')"
        data-test="order-spares"
      /><template v-if="line.spares.trim()"> %</template>{{ t('order-sentence-spares') }}</span
    >{{ t('order-sentence-due')
    }}<span class="day"
      ><input
        v-model="due"
        class="word"
        :class="{ wrong: wrong('due') || dueWrong }"
        :placeholder="t('order-sentence-no-date')"
        :aria-label="t('order-sentence-due-date')"
        aria-describedby="due-told"
        autocomplete="off"
        data-test="order-due" /><DayPicker v-model="due" :day="dueDay" /></span
    ><span id="due-told" class="told" :class="{ error: dueWrong }" data-test="due-told">{{
      dueWrong || dueTold
    }}</span>
    <span class="does">
      <v-btn type="submit" color="primary" variant="flat" :disabled="busy" data-test="take-order">{{
        t('order-sentence-add-order')
      }}</v-btn>
      <v-btn variant="text" data-test="another-line" @click="more">{{
        t('order-sentence-add-another-piece')
      }}</v-btn>
      <v-btn v-if="lines.length > 1" variant="text" data-test="line-less" @click="lines.pop()">{{
        t('order-sentence-remove-last')
      }}</v-btn>
    </span>
    <p v-if="promise && settled" class="promise" role="status" data-test="promise">
      {{ promise.text }}
      <span v-for="pushed in promise.pushes" :key="pushed" class="watch">{{ pushed }} </span>
    </p>
    <ul v-if="faults.length" class="faults" role="alert">
      <li v-for="fault in faults" :key="fault.field + fault.message" class="stop">{{ fault.message }}</li>
    </ul>
  </form>
</template>

<style scoped>
.sentence {
  font-size: 1.35rem;
  line-height: 2;
  margin: 0 0 14px;
}

.word {
  min-height: 34px;
}

.short {
  min-width: 4.2em;
}

.tiny {
  min-width: 2em;
}

.does {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  margin-left: 10px;
  vertical-align: middle;
}

.day {
  white-space: nowrap;
}

.told {
  margin-left: 4px;
  font: 1.05rem/1.35 var(--sans);
  color: rgb(var(--v-theme-quiet));
}

.told.error {
  display: block;
  margin-left: 0;
  color: rgb(var(--v-theme-error));
}

.promise {
  margin: 0;
  font: 1.1rem/1.35 var(--sans);
  color: rgb(var(--v-theme-quiet));
}

.faults {
  list-style: none;
  padding: 0;
  margin: 4px 0 0;
  font: 1.05rem/1.35 var(--sans);
}
</style>
