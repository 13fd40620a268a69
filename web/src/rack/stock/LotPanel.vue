<script setup lang="ts">
import { t } from '../../text'
import { useQuery } from '@tanstack/vue-query'
import { useDebounceFn } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { api, data, type LedgerLine, type Stocked, type Weighed } from '../../api/client'
import { readFields, useForm, useOpen } from '../../shared/form'
import { useNotice } from '../../shared/notice'
import { useAmounts } from '../../shared/amounts'
import { useRackRefresh } from '../../shared/picking'
import { useWords } from '../../shared/words'
import { piecesOfWork } from './ledger'
import PaperChoice from '../../shared/PaperChoice.vue'
import PaperDialog from '../../shared/PaperDialog.vue'
import PaperField from '../../shared/PaperField.vue'

/** One lot: what is left, its ledger, and what is done to it at the bench. */
const opened = defineModel<number | null>({ required: true })
const emit = defineEmits<{ edit: [lot: Stocked] }>()
const refresh = useRackRefresh()
const notice = useNotice()
const words = useWords()
const { metres, grams, money } = useAmounts()
const { faults, elsewhere, attempt } = useForm()
const open = useOpen(opened)
const path = computed(() => ({ path: { id: opened.value ?? 0 } }))
const { data: lot, error } = useQuery({
  queryKey: ['lots', 'one', opened],
  queryFn: () => data(api.GET('/api/lots/{id}', { params: path.value })),
  enabled: open,
})
const { data: lines } = useQuery({
  queryKey: ['ledger', opened],
  queryFn: () => data(api.GET('/api/lots/{id}/ledger', { params: path.value })),
  enabled: open,
})

/** Whether each line stands by itself, or those of one piece of work together. */
const apart = ref(false)
watch(opened, () => (apart.value = false))
const rows = computed(() => {
  const all = lines.value ?? []
  return apart.value
    ? all.map((line) => ({ line, lines: [line], length_mm: line.length_mm }))
    : piecesOfWork(all)
})

type Doing = 'book' | 'weigh' | 'aside'
const doing = ref<Doing | null>(null)
const kind = ref<LedgerLine['kind']>('tried')
const texts = ref<Record<string, string>>({})
const weighed = ref<Weighed | null>(null)
const simulated = ref(true)

watch(opened, () => start(null))

/** The weight behind which Enter was pressed last. */
let entered = ''
const panel = useTemplateRef<HTMLElement>('panel')

function start(what: Doing | null) {
  entered = ''
  // What was typed into goes away; the keys stay with the panel, so that Escape closes it.
  if (doing.value && !what) void nextTick(() => panel.value?.focus())
  doing.value = what
  faults.value = []
  weighed.value = null
  texts.value = {
    amount: '',
    note: '',
    weight: '',
    name: lot.value ? t('lot-panel-offcut', { name: lot.value.name }) : '',
  }
}

const kinds = computed(() => words.value?.movement_kinds ?? [])
const shownKind = (word: string) => kinds.value.find((one) => one.word === word)?.label ?? word
const when = (text: string) =>
  new Date(text).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })

const done = (sentence: string, undo: number) => {
  void refresh()
  notice.did(sentence, undo, refresh)
}

const book = () =>
  attempt(async () => {
    const body = { kind: kind.value, typed: texts.value.amount ?? '', note: texts.value.note ?? '' }
    const booked = await data(api.POST('/api/lots/{id}/ledger', { params: path.value, body }))
    start(null)
    done(`Recorded: ${metres(Math.abs(booked.length_mm))} ${shownKind(body.kind)}.`, booked.undo)
  })

const readScale = (lay: boolean) =>
  attempt(async () => {
    if (lay) await data(api.POST('/api/scale/pan', { body: { lot: opened.value } }))
    const reading = await data(api.GET('/api/scale'))
    simulated.value = reading.simulated
    texts.value.weight = reading.line.replace(/\s+/g, ' ')
    await look()
  })

/** A spool whose empty weight nobody has said yet: all of it would be taken for wire. */
const wantsTare = computed(
  () => lot.value?.record.kind === 'spool' && (lot.value.record.tare_g ?? null) === null,
)
async function onTheScale() {
  const { tare_g } = await readFields({ tare_g: wantsTare.value ? texts.value.tare : '' }, { tare_g: 'mass' })
  return { typed: texts.value.weight ?? '', tare_g }
}

/** What was typed when it was last looked at: looked at again, what is shown stays, so that a press can book it. */
let looked = ''
const look = () =>
  attempt(async () => {
    const typed = `${texts.value.weight}|${texts.value.tare}`
    if (looked !== typed) weighed.value = null
    looked = typed
    if (!texts.value.weight?.trim()) return
    const body = await onTheScale()
    const found = (await data(api.POST('/api/lots/{id}/weigh', { params: path.value, body }))).weighed
    // Typed on meanwhile: a later look is on its way.
    if (body.typed === texts.value.weight) weighed.value = found
  })
/** What is typed is looked at at once, so that it is the shown that the first press books. */
const lookSoon = useDebounceFn(look, 220)
function typedOn() {
  weighed.value = null
  void lookSoon()
}

/** A scale that acts as a keyboard ends its line with Enter: the first Enter behind a weight only looks. */
function onEnter() {
  const text = texts.value.weight ?? ''
  if (entered === text && weighed.value && !weighed.value.doubt) return bookWeight()
  entered = text
  return look()
}

const bookWeight = () =>
  attempt(async () => {
    if (!weighed.value) return look()
    // A doubt that stands there was read by whoever presses.
    const body = { ...(await onTheScale()), book: true, sure: !!weighed.value.doubt }
    const { undo } = await data(api.POST('/api/lots/{id}/weigh', { params: path.value, body }))
    start(null)
    if (undo) done(t('lot-panel-stock-corrected-scale'), undo)
    else notice.say(t('lot-panel-stock-already-agrees-with-scale'))
  })

const setAside = () =>
  attempt(async () => {
    const asked = { amount: ['of-wire', 'needed'] } as const
    const { amount } = await readFields(texts.value, asked, lot.value?.record.wire)
    const body = { name: texts.value.name ?? '', length_mm: amount }
    const { undo } = await data(api.POST('/api/lots/{id}/set-aside', { params: path.value, body }))
    start(null)
    done(t('lot-panel-added-as-offcut', { name: body.name }), undo)
  })

const reverse = (line: LedgerLine) =>
  attempt(async () => {
    const params = { path: { id: line.id } }
    const { undo } = await data(api.POST('/api/ledger/{id}/reverse', { params }))
    done(t('lot-panel-reversed-both-lines-stay-in'), undo)
  })

const putAway = () =>
  attempt(async () => {
    const { id, revision, archived, name } = lot.value!
    const body = { revision, archived: !archived }
    const { undo } = await data(api.POST('/api/lots/{id}/archive', { params: { path: { id } }, body }))
    opened.value = null
    done(
      t('lot-panel-was', { name, archived: archived ? t('lot-panel-restored') : t('lot-panel-archived') }),
      undo,
    )
  })

function edit() {
  const now = lot.value
  opened.value = null
  if (now) emit('edit', now)
}
</script>

<template>
  <PaperDialog v-model="open" :name="t('lot-panel-named')" :width="760">
    <div ref="panel" class="panel" tabindex="-1" data-test="lot-panel">
      <p v-if="error" class="stop" role="alert">{{ error.message }}</p>
      <template v-else-if="lot">
        <div class="head-of">
          <h2 class="serif">{{ lot.name }}</h2>
          <p class="quiet">
            {{ lot.wire_label }}{{ lot.record.surface === 'bare' ? '' : `, ${lot.record.surface}` }}
            {{ lot.record.note ? `· ${lot.record.note}` : '' }}
          </p>
        </div>
        <p class="left">
          <span class="num" data-test="left">{{ metres(lot.balance.left_mm) }}</span>{{
            t('lot-panel-left', { leftg: grams(lot.balance.left_g) })
          }}<template v-if="lot.balance.value && lot.price_of">
            · {{ money(lot.balance.value) }}
            <span class="quiet">
              {{ t('lot-panel-at', { amount: money(lot.price_of.amount), priceof: lot.price_of.of }) }}
            </span>
          </template>
        </p>
        <div class="acts">
          <v-btn data-test="do-book" @click="start('book')">{{ t('lot-panel-record-change') }}</v-btn>
          <v-btn data-test="do-weigh" @click="start('weigh')">{{ t('lot-panel-weigh') }}</v-btn>
          <v-btn data-test="do-aside" @click="start('aside')">{{ t('lot-panel-set-offcut-aside') }}</v-btn>
          <v-btn data-test="change-lot" @click="edit">{{ t('lot-panel-change') }}</v-btn>
          <v-btn data-test="put-away" @click="putAway">
            {{ lot.archived ? t('lot-panel-restore') : t('lot-panel-archive') }}
          </v-btn>
        </div>
        <form v-if="doing === 'book'" class="doing" novalidate @submit.prevent="book">
          <div class="fields">
            <PaperChoice
              v-model="kind"
              :label="t('lot-panel-was-2')"
              :choices="kinds"
              data-test="movement-kind"
            />
            <PaperField
              v-model="texts.amount"
              name="typed"
              :also="['length_mm']"
              :label="t('lot-panel-how-much-length-or-weight')"
              :placeholder="kind === 'corrected' ? t('lot-panel-signed') : t('lot-panel-120-mm-5-ft-2')"
              autofocus
              data-test="movement-amount"
            />
            <PaperField v-model="texts.note" name="note" :label="t('lot-panel-what-for')" maxlength="200" />
          </div>
          <v-btn type="submit" variant="flat" color="primary" data-test="book-movement">{{
            t('lot-panel-record')
          }}</v-btn>
          <v-btn @click="start(null)">{{ t('lot-panel-cancel') }}</v-btn>
        </form>
        <form v-else-if="doing === 'weigh'" class="doing" novalidate @submit.prevent="bookWeight">
          <p class="quiet">
            {{
              lot.record.tare_g
                ? t('lot-panel-put-on-scale-with-its-spool', { tareg: grams(lot.record.tare_g) })
                : t('lot-panel-put-on-scale')
            }}<template v-if="simulated">{{ t('lot-panel-this-simulated-scale-that-comes') }}</template>
          </p>
          <div class="fields">
            <PaperField
              v-model="texts.weight"
              name="typed"
              :label="t('lot-panel-weight-with-spool')"
              placeholder="182.31 g"
              autofocus
              data-test="weight"
              @update:model-value="typedOn"
              @keydown.enter.prevent="onEnter"
            />
            <PaperField
              v-if="wantsTare"
              v-model="texts.tare"
              name="tare_g"
              :label="t('lot-panel-empty-spool-g')"
              :hint="t('lot-panel-0-if-wire-weighed-without')"
              figures
              data-test="weigh-tare"
              @update:model-value="typedOn"
            />
            <v-btn data-test="read-scale" @click="readScale(simulated)">
              {{ simulated ? t('lot-panel-put-on-read') : t('lot-panel-read-scale') }}
            </v-btn>
          </div>
          <p v-if="weighed" data-test="weighed">{{ weighed.text }}</p>
          <p v-if="weighed?.doubt" class="watch" role="alert" data-test="doubt">{{ weighed.doubt }}</p>
          <v-btn
            type="submit"
            variant="flat"
            color="primary"
            :disabled="!texts.weight"
            data-test="book-weight"
          >
            {{ weighed?.doubt ? t('lot-panel-right-correct-stock') : t('lot-panel-correct-stock') }}
          </v-btn>
          <v-btn @click="start(null)">{{ t('lot-panel-cancel') }}</v-btn>
        </form>
        <form v-else-if="doing === 'aside'" class="doing" novalidate @submit.prevent="setAside">
          <div class="fields">
            <PaperField
              v-model="texts.amount"
              name="amount"
              :also="['length_mm']"
              :label="t('lot-panel-length-offcut')"
              :placeholder="t('lot-panel-240-mm')"
              autofocus
              data-test="aside-length"
            />
            <PaperField
              v-model="texts.name"
              name="name"
              :label="t('lot-panel-its-tag')"
              maxlength="60"
              data-test="aside-name"
            />
          </div>
          <v-btn type="submit" variant="flat" color="primary" data-test="book-aside">{{
            t('lot-panel-set-aside')
          }}</v-btn>
          <v-btn @click="start(null)">{{ t('lot-panel-cancel') }}</v-btn>
        </form>
        <p v-for="fault in elsewhere" :key="fault.message" class="stop" role="alert" data-test="lot-fault">
          {{ fault.message }}
        </p>
        <v-table class="ledger" data-test="ledger">
          <thead>
            <tr>
              <th>{{ t('lot-panel-when') }}</th>
              <th>{{ t('lot-panel-what') }}</th>
              <th class="right">{{ t('lot-panel-change') }}</th>
              <th class="right">{{ t('lot-panel-left-2') }}</th>
              <th>
                <span class="visually-hidden">{{ t('lot-panel-reverse') }}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="{ line, lines: all, length_mm } in rows"
              :key="line.id"
              :class="{ struck: line.reversed }"
            >
              <td class="quiet when">{{ when(line.made_at) }}</td>
              <td>
                <template v-if="all.length > 1">{{
                  t('lot-panel-times', { n: all.length, kind: shownKind(line.kind) })
                }}</template>
                <template v-else>{{
                  line.reverses
                    ? t('lot-panel-reversed-kind', { kind: shownKind(line.kind) })
                    : shownKind(line.kind)
                }}</template>{{ ' ' }}
                <span class="quiet">{{ line.note }}</span>
              </td>
              <td class="right num">{{ length_mm > 0 ? '+' : '−' }}{{ metres(Math.abs(length_mm)) }}</td>
              <td class="right quiet">{{ metres(line.left_mm) }}</td>
              <td class="right">
                <v-btn
                  v-if="all.length > 1"
                  size="small"
                  variant="text"
                  data-test="show-lines"
                  @click="apart = true"
                >
                  {{ t('lot-panel-show-all') }}
                </v-btn>
                <v-btn
                  v-else-if="!line.reversed"
                  size="small"
                  :aria-label="t('lot-panel-reverse-this', { kind: shownKind(line.kind), note: line.note })"
                  data-test="reverse"
                  @click="reverse(line)"
                >
                  {{ t('lot-panel-reverse') }}
                </v-btn>
              </td>
            </tr>
          </tbody>
        </v-table>
        <v-btn class="ml-n4 mt-2" @click="open = false">{{ t('lot-panel-close') }}</v-btn>
      </template>
      <p v-else class="quiet" role="status">{{ t('lot-panel-fetching-its-ledger') }}</p>
    </div>
  </PaperDialog>
</template>

<style scoped>
.panel {
  overflow-y: auto;
}

.panel:focus-visible {
  outline: none;
}

h2 {
  font-family: var(--serif);
  font-size: 1.6rem;
  font-weight: 400;
  line-height: 1.2;
}

.head-of p,
.left {
  margin: 2px 0 0;
}

.left .num {
  font-size: 1.7rem;
}

.acts {
  margin: 4px -16px 6px;
}

.doing {
  border-left: 3px solid rgb(var(--v-theme-primary));
  padding: 2px 0 6px 16px;
  margin: 6px 0 14px;
}

.doing p {
  margin: 4px 0;
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 0 16px;
  align-items: center;
  margin-bottom: 10px;
}

.struck td {
  text-decoration: line-through;
  color: rgb(var(--v-theme-quiet));
}

.ledger td {
  padding-block: 5px;
}

@media (max-width: 600px) {
  .when {
    display: none;
  }

  th:first-child {
    display: none;
  }
}
</style>
