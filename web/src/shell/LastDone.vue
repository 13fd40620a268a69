<script setup lang="ts">
import { momentOf } from '../shared/dates'
import { t } from '../text'
import { useQueryClient } from '@tanstack/vue-query'
import { ref, watch } from 'vue'
import { api, data, type WrittenBatch } from '../api/client'
import { useDesks } from '../patterns/desks'
import { useNotice } from '../shared/notice'
import PaperDialog from '../shared/PaperDialog.vue'
import { vOneStop } from '../shared/oneStop'

/** What was last done, with the way back; and behind it all that was written, to be walked back. */
const notice = useNotice()
const queries = useQueryClient()
const refreshDesks = useDesks()
const open = ref(false)
const written = ref<WrittenBatch[] | null>(null)

async function look() {
  try {
    written.value = await data(api.GET('/api/history'))
  } catch (thrown) {
    notice.fail(thrown)
  }
}
watch(open, (now) => now && look())

/** Everything a view shows may be another after this. */
async function refresh() {
  await queries.invalidateQueries()
  await refreshDesks()
}

async function takeBack({ batch, text: sentence }: WrittenBatch) {
  try {
    const { undo } = await data(api.POST('/api/undo/{batch}', { params: { path: { batch } } }))
    await refresh()
    notice.did(t('last-done-undone', { sentence }), undo, refresh)
  } catch (thrown) {
    notice.fail(thrown)
  }
  await look()
}
</script>

<template>
  <footer class="last no-print">
    <span v-if="notice.last" data-test="last-done">
      {{ notice.last.text }}
      <v-btn class="act inline" data-test="undo-last" @click="notice.last.undo">
        {{ t('last-done-undo') }}
      </v-btn>
    </span>
    <span v-else class="quiet">{{ t('last-done-what-you-save-change-record') }}</span>
    <v-btn class="act history inline" data-test="history" @click="open = true">
      {{ t('last-done-history') }}
    </v-btn>
    <PaperDialog v-model="open" :title="t('last-done-history')" :width="620">
      <p class="quiet">
        {{ t('last-done-newest-first-later-changes-same') }}
      </p>
      <p v-if="!written" class="quiet" role="status">{{ t('last-done-loading') }}</p>
      <p v-else-if="!written.length">{{ t('last-done-nothing-recorded-yet') }}</p>
      <ol v-else v-one-stop class="done" data-test="written">
        <li v-for="one in written" :key="one.batch">
          <span class="quiet when">{{ momentOf(one.made_at) }}</span>
          <span>{{ one.text }}</span>
          <v-btn
            size="small"
            :aria-label="t('last-done-undo-this', { sentence: one.text })"
            @click="takeBack(one)"
          >
            {{ t('last-done-undo') }}
          </v-btn>
        </li>
      </ol>
    </PaperDialog>
  </footer>
</template>

<style scoped>
.last {
  display: flex;
  align-items: center;
  gap: 16px;
  min-height: 36px;
  padding: 0 var(--gutter);
  border-top: 1px solid rgb(var(--v-theme-hairline));
}

.act {
  min-height: 30px;
  padding: 0 4px;
  color: rgb(var(--v-theme-primary));
  text-decoration: underline;
  text-underline-offset: 3px;
}

.history {
  margin-left: auto;
  text-decoration: none;
}

.done {
  list-style: none;
  margin: 0;
  padding: 0;
}

.done li {
  display: grid;
  grid-template-columns: 130px minmax(0, 1fr) auto;
  gap: 0 14px;
  align-items: center;
  border-bottom: 1px solid rgb(var(--v-theme-hairline));
  min-height: 40px;
}

@media (max-width: 520px) {
  .done li {
    grid-template-columns: minmax(0, 1fr) auto;
  }

  .when {
    grid-column: 1 / -1;
  }
}
</style>
