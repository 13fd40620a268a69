<script setup lang="ts">
import { momentOf } from '../shared/dates'
import { t } from '../text'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, useTemplateRef } from 'vue'
import { api, data, sentenceOf } from '../api/client'
import PaperDialog from '../shared/PaperDialog.vue'
import SaveButton from '../shared/SaveButton.vue'

/** Back up and restore: a copy taken, a copy put back, and the dated ones the program makes by itself. */
const queries = useQueryClient()
const { data: copies } = useQuery({
  queryKey: ['copies'],
  queryFn: () => data(api.GET('/api/copies')),
})
const whys: Record<string, string> = {
  daily: t('back-up-daily-copy'),
  'before-update': t('back-up-before-update'),
  'before-restore': t('back-up-before-restore'),
}
const shown = computed(() =>
  (copies.value ?? []).slice(0, 8).map((copy) => ({
    name: copy.name,
    text: `${momentOf(copy.made_at)}, ${whys[copy.why] ?? copy.why}, ${megabytes(copy.bytes)}`,
  })),
)
const megabytes = (bytes: number) => `${Math.max(bytes / 1e6, 0.1).toFixed(1)} MB`

const chooser = useTemplateRef<HTMLInputElement>('chooser')
/** What is to be restored: a file from this machine, or a dated copy by its name. */
const wanted = ref<{ file: File } | { name: string } | null>(null)
const asking = computed({
  get: () => wanted.value !== null,
  set: (open) => {
    if (!open) wanted.value = null
  },
})
const called = computed(() => {
  if (!wanted.value) return ''
  return 'file' in wanted.value ? wanted.value.file.name : wanted.value.name
})
const busy = ref(false)
const wrong = ref('')
const done = ref('')

function choose(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (file) ask({ file })
}

function ask(what: { file: File } | { name: string }) {
  ;[wrong.value, done.value] = ['', '']
  wanted.value = what
}

async function restore() {
  // Everything on the screen is of the workshop before: it is loaded anew.
  if (done.value) return window.location.assign('/')
  if (!wanted.value) return
  busy.value = true
  wrong.value = ''
  try {
    const restored =
      'file' in wanted.value
        ? await data(
            api.POST('/api/restore', {
              body: wanted.value.file as unknown as number[],
              bodySerializer: (body) => body,
              headers: { 'content-type': 'application/vnd.sqlite3' },
            }),
          )
        : await data(
            api.POST('/api/copies/{name}/restore', { params: { path: { name: wanted.value.name } } }),
          )
    done.value = restored.text
    await queries.invalidateQueries()
  } catch (thrown) {
    wrong.value = sentenceOf(thrown)
  }
  busy.value = false
}
</script>

<template>
  <p class="quiet">
    {{ t('back-up-everything-in-one-file-back') }}
  </p>
  <SaveButton class="ml-n4" path="/api/backup" data-test="back-up">{{ t('back-up-back-up') }}</SaveButton>
  <v-btn data-test="restore-file" @click="chooser?.click()">{{ t('back-up-restore-backup') }}</v-btn>
  <input
    ref="chooser"
    type="file"
    accept=".lorimant"
    class="d-none"
    :aria-label="t('back-up-backup-restore')"
    data-test="restore-chooser"
    @change="choose"
  />
  <div>
    <SaveButton class="ml-n4" path="/api/workshop.jsonl" data-test="all-lines">
      {{ t('back-up-export-everything-as-text') }}
    </SaveButton>
  </div>
  <details v-if="shown.length" class="copies">
    <summary>{{ t('back-up-dated-copies-made-daily-before') }}</summary>
    <ul>
      <li v-for="copy in shown" :key="copy.name">
        {{ copy.text }}
        <v-btn size="small" data-test="restore-copy" @click="ask({ name: copy.name })">{{
          t('back-up-restore')
        }}</v-btn>
      </li>
    </ul>
  </details>
  <PaperDialog
    v-model="asking"
    :title="t('back-up-restore-backup')"
    :does="done ? t('back-up-show-restored-workshop') : t('back-up-restore-2')"
    test="restore"
    :busy="busy"
    @submit="restore"
  >
    <p v-if="done" data-test="restored">{{ done }}</p>
    <template v-else>
      <p>
        <b>{{ called }}</b>{{ t('back-up-replaces-everything-in-this-workshop') }}
      </p>
      <p v-if="wrong" class="stop" role="alert" data-test="not-restored">{{ wrong }}</p>
    </template>
  </PaperDialog>
</template>

<style scoped>
.copies {
  margin-top: 0.6rem;
}

ul {
  list-style: none;
  padding: 0;
}

summary {
  cursor: pointer;
  min-height: 24px;
}
</style>
