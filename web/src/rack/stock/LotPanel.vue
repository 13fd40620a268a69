<script setup lang="ts">
import { t } from '../../text'
import { useQuery } from '@tanstack/vue-query'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { api, data, type LedgerLine, type Stocked } from '../../api/client'
import PaperDialog from '../../shared/PaperDialog.vue'
import { useAmounts } from '../../shared/amounts'
import { useForm, useOpen } from '../../shared/form'
import { useNotice } from '../../shared/notice'
import { useRackRefresh } from '../../shared/picking'
import { useWords } from '../../shared/words'
import AsideForm from './AsideForm.vue'
import BookForm from './BookForm.vue'
import LotLedger from './LotLedger.vue'
import WeighForm from './WeighForm.vue'

/** One lot: what is left, its ledger, and what is done to it at the bench. */
const opened = defineModel<number | null>({ required: true })
const emit = defineEmits<{ edit: [lot: Stocked] }>()
const refresh = useRackRefresh()
const notice = useNotice()
const { metres, grams, money } = useAmounts()
const { elsewhere, attempt } = useForm()
const open = useOpen(opened)
const { data: lot, error } = useQuery({
  queryKey: ['lots', 'one', opened],
  queryFn: () => data(api.GET('/api/lots/{id}', { params: { path: { id: opened.value ?? 0 } } })),
  enabled: open,
})

const words = useWords()
/** What lies on its metal, in words; nothing where it is bare. */
const surface = computed(() => {
  const { surface } = lot.value?.record ?? {}
  if (!surface || surface === 'bare') return ''
  return words.value?.surfaces.find(({ word }) => word === surface)?.label ?? surface
})

type Doing = 'book' | 'weigh' | 'aside'
const doing = ref<Doing | null>(null)
watch(opened, () => start(null))
const panel = useTemplateRef<HTMLElement>('panel')
function start(what: Doing | null) {
  // What was typed into goes away; the keys stay with the panel, so that Escape closes it.
  if (doing.value && !what) void nextTick(() => panel.value?.focus())
  doing.value = what
}

function done(sentence: string, undo: number) {
  void refresh()
  notice.did(sentence, undo, refresh)
}
/** What was being done is done. */
function did(sentence: string, undo: number) {
  start(null)
  done(sentence, undo)
}

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
            {{ [lot.wire_label, surface].filter(Boolean).join(', ') }}
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
        <BookForm v-if="doing === 'book'" :lot="lot" @done="did" @close="start(null)" />
        <WeighForm v-else-if="doing === 'weigh'" :lot="lot" @done="did" @close="start(null)" />
        <AsideForm v-else-if="doing === 'aside'" :lot="lot" @done="did" @close="start(null)" />
        <p v-for="fault in elsewhere" :key="fault.message" class="stop" role="alert" data-test="lot-fault">
          {{ fault.message }}
        </p>
        <LotLedger :lot="lot" @reverse="reverse" />
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
</style>
