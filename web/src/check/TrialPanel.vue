<script setup lang="ts">
import { t } from '../text'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, data, faultsOf, type CheckView, type NextBlank } from '../api/client'
import { useAmounts } from '../shared/amounts'
import { readFields, useShownLengths } from '../shared/form'
import { useNotice } from '../shared/notice'

/** What a trial says of the next blank, and the pattern it becomes a revision of. */
const props = defineProps<{ view: CheckView; next: NextBlank }>()
const router = useRouter()
const queries = useQueryClient()
const notice = useNotice()
const { across } = useAmounts()
const overOf = (mm: number) =>
  across(Math.abs(mm)) === across(0)
    ? t('trial-panel-nothing-left-over')
    : mm > 0
      ? t('trial-panel-over', { mm: across(mm) })
      : t('trial-panel-missing', { mm: across(-mm) })
const refresh = () => queries.invalidateQueries()

/** What was over is known only once the piece is bent: it is written down here. */
const { show } = useShownLengths()
const over = ref('')
const faults = ref<string[]>([])
const trial = computed(() => props.view.entry.record.trial!)
const overMm = computed(() => trial.value.over_mm ?? 0)
watch(
  () => [props.view.entry.id, overMm.value],
  () => (over.value = overMm.value ? show(overMm.value) : ''),
  { immediate: true },
)
async function note() {
  const { id, revision, record } = props.view.entry
  try {
    const { over_mm = 0 } = await readFields({ over_mm: over.value }, { over_mm: 'over' })
    faults.value = []
    if (over_mm === overMm.value) return
    const params = { path: { id }, query: { revision } }
    const body = { ...record, keys: record.keys ?? [], trial: { ...trial.value, over_mm } }
    const { undo } = await data(api.PUT('/api/checks/{id}', { params, body }))
    notice.did(t('trial-panel-noted', { overmm: overOf(over_mm) }), undo, refresh)
    await refresh()
  } catch (thrown) {
    faults.value = faultsOf(thrown).map((fault) => fault.message)
  }
}

const pattern = computed(() => props.view.entry.record.pattern ?? null)
const { data: kept } = useQuery({
  queryKey: ['pattern', pattern],
  queryFn: () => data(api.GET('/api/findings/{id}', { params: { path: { id: pattern.value! } } })),
  enabled: () => pattern.value !== null,
  staleTime: 0,
})

async function accept() {
  try {
    const params = { path: { id: props.view.entry.id } }
    const body = { pattern: pattern.value!, revision: kept.value!.revision }
    const { entry, undo } = await data(api.POST('/api/checks/{id}/accept', { params, body }))
    notice.did(t('trial-panel-cut-like-this-from-now', { name: entry.name }), undo, refresh)
  } catch (thrown) {
    notice.fail(thrown)
  }
  await refresh()
}

async function again() {
  const { record, name } = props.view.entry
  const trial = { blank_mm: props.next.blank_mm, over_mm: 0 }
  try {
    const body = { ...record, name, trial, keys: record.keys ?? [] }
    const { entry, undo } = await data(api.POST('/api/checks', { body }))
    notice.did(t('trial-panel-started', { name: entry.name }), undo, refresh)
    await router.push(`/measure/${entry.id}`)
  } catch (thrown) {
    notice.fail(thrown)
  }
}
</script>

<template>
  <section class="trial" data-test="trial">
    <p class="told serif" data-test="next-blank">{{ next.text }}</p>
    <ul>
      <li v-for="reason in next.reasons" :key="reason">{{ reason }}</li>
      <li v-for="mark in next.marks" :key="mark" class="watch">{{ mark }}</li>
    </ul>
    <!-- Enter changes the field as leaving it does: one note, not two. -->
    <form class="over no-print" @submit.prevent>
      {{ t('trial-panel-was-cut-with', { blankmm: across(trial.blank_mm) })
      }}<input
        v-model="over"
        class="word"
        :placeholder="t('trial-panel-nothing')"
        :aria-label="t('trial-panel-wire-left-over-with-minus')"
        data-test="note-over"
        @change="note"
      />{{ t('trial-panel-left-over-at-end')
      }}<span class="quiet">{{ t('trial-panel-with-minus-if-was-too') }}</span>
      <span v-for="fault in faults" :key="fault" class="stop" role="alert">{{ fault }}</span>
    </form>
    <p v-if="view.sheet.trials_before?.length" class="quiet" data-test="trials-before">
      {{ t('trial-panel-before')
      }}<template v-for="(one, i) in view.sheet.trials_before" :key="i"
        ><template v-if="i">; </template>{{ across(one.blank_mm) }}, {{ overOf(one.over_mm ?? 0) }}</template
      >.
    </p>
    <p v-if="next.good">{{ t('trial-panel-this-one-came-out-right') }}</p>
    <div class="acts no-print">
      <v-btn data-test="next-trial" @click="again">{{ t('trial-panel-try-next-blank') }}</v-btn>
      <v-btn
        v-if="pattern"
        variant="flat"
        color="primary"
        :disabled="!kept"
        data-test="accept-trial"
        @click="accept"
        >{{ t('trial-panel-cut-like-this-from-now-on', { name: kept?.name ?? '' }) }}</v-btn
      >
      <span v-else class="quiet">{{ t('trial-panel-save-finding-first-use-what') }}</span>
    </div>
  </section>
</template>

<style scoped>
.trial {
  max-width: 80ch;
  margin-bottom: 16px;
}

.told {
  font-size: 1.7rem;
  line-height: 1.2;
  margin: 0 0 6px;
}

.over {
  margin: 0 0 10px;
}

.over .word {
  width: 7em;
}

ul {
  margin: 0 0 10px;
  padding-left: 1.2em;
}

.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
}
</style>
