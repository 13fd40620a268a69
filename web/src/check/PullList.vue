<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { api, data, type LotKnown } from '../api/client'
import { useNotice } from '../shared/notice'
import { t } from '../text'
import PullDialog from './PullDialog.vue'

/** The pull tests of a lot, and where one more is added. */
const props = defineProps<{ known: LotKnown }>()
const queries = useQueryClient()
const notice = useNotice()
const adding = ref(false)

async function setAside(pull_n: number, excluded: boolean) {
  try {
    const params = { path: { id: props.known.lot_n } }
    const { undo } = await data(
      api.POST('/api/lots/{id}/pulls/aside', { params, body: { pull_n, excluded } }),
    )
    const told = excluded ? t('pull-list-was-set-aside') : t('pull-list-counts-again')
    notice.did(told, undo, () => queries.invalidateQueries())
  } catch (thrown) {
    notice.fail(thrown)
  }
  await queries.invalidateQueries()
}
</script>

<template>
  <section>
    <h2>{{ t('pull-list-pull-tests') }}</h2>
    <p v-if="!known.pulls.length" class="quiet">{{ t('pull-list-none') }}</p>
    <ol v-else class="pulls" data-test="pulls">
      <li
        v-for="(pull, n) in known.pulls"
        :key="n"
        :class="{ watch: pull.outlier && !pull.excluded, quiet: pull.excluded }"
      >
        {{ known.pull_texts[n] }}
        <template v-if="pull.outlier && !pull.excluded">{{ t('pull-list-looks-wrong') }} </template>
        <v-btn
          class="no-print"
          density="compact"
          data-test="pull-aside"
          @click="setAside(n, !pull.excluded)"
          >{{ pull.excluded ? t('pull-list-count-again') : t('pull-list-set-aside') }}</v-btn
        >
      </li>
    </ol>
    <v-btn class="no-print" data-test="add-pull" @click="adding = true">{{ t('pull-list-add') }}</v-btn>
    <PullDialog v-model="adding" :known="known" />
  </section>
</template>

<style scoped>
.pulls {
  padding-left: 1.4em;
}

.pulls li {
  margin-bottom: 6px;
}
</style>
