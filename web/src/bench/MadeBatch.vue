<script setup lang="ts">
import { t } from '../text'
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, data, type LedBatch } from '../api/client'
import { useNotice } from '../shared/notice'

/** A batch that is made: what came of it, into a bag with its label, or out of the way. */
const { led } = defineProps<{ led: LedBatch }>()
const router = useRouter()
const notice = useNotice()
const queries = useQueryClient()
const place = ref('')
const busy = ref(false)
const refresh = () => queries.invalidateQueries()

async function bag() {
  if (busy.value) return
  busy.value = true
  try {
    const params = { path: { id: led.entry.id } }
    const body = { place: place.value.trim() }
    const { entry, undo } = await data(api.POST('/api/batches/{id}/bag', { params, body }))
    notice.did(t('made-batch-bagged', { name: entry.name }), undo, refresh)
    await refresh()
    await router.push(`/bag/${entry.id}`)
  } catch (thrown) {
    notice.fail(thrown)
  } finally {
    busy.value = false
  }
}

async function putAway() {
  const { id, name } = led.entry
  try {
    const { entry } = await data(api.GET('/api/batches/{id}', { params: { path: { id } } }))
    const body = { revision: entry.revision, archived: true }
    const { undo } = await data(api.POST('/api/batches/{id}/archive', { params: { path: { id } }, body }))
    notice.did(t('made-batch-closed', { name }), undo, refresh)
    await refresh()
    await router.push('/bench')
  } catch (thrown) {
    notice.fail(thrown)
  }
}
</script>

<template>
  <form data-test="made" @submit.prevent="bag">
    <p class="reads">
      {{ led.progress.whole_n }} <span class="of">{{ t('made-batch-made') }}</span>
    </p>
    <p class="text serif">{{ led.entry.description }}</p>
    <p v-for="(one, i) in led.progress.scrapped" :key="i" class="quiet">
      {{
        t('made-batch-scrapped-at', {
          one: one.n,
          named: led.tasks[one.step_n - 1]?.step.named,
          reason: one.reason ? `: ${one.reason}` : '',
        })
      }}
    </p>
    <p v-if="led.progress.whole_n" class="text serif">
      {{ t('made-batch-put-them-in-bag-in')
      }}<input
        v-model="place"
        class="word"
        :placeholder="t('made-batch-which-drawer')"
        :aria-label="t('made-batch-where-bag')"
        maxlength="80"
        data-test="place"
      />.
    </p>
    <p>
      <v-btn
        v-if="led.progress.whole_n"
        type="submit"
        color="primary"
        variant="flat"
        size="large"
        :disabled="busy"
        data-test="fill-bag"
        >{{ t('made-batch-bag-label') }}</v-btn
      >
      <v-btn class="ml-3" variant="text" data-test="put-away" @click="putAway">{{
        t('made-batch-close-without-bagging')
      }}</v-btn>
    </p>
  </form>
</template>
