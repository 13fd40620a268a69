<script setup lang="ts">
import { useRouter } from 'vue-router'
import { api, data, takeAway, type LedBatch } from '../api/client'
import { useNotice } from '../shared/notice'

/** A batch that is made: what came of it, the label for its bag, and out of the way. */
const { led } = defineProps<{ led: LedBatch }>()
const router = useRouter()
const notice = useNotice()

/** The recipe as it was made, and how many came of it. */
async function label() {
  // How many came of it is known by now, whatever was when this view was opened.
  try {
    const { entry, made } = await data(
      api.GET('/api/batches/{id}', { params: { path: { id: led.entry.id } } }),
    )
    const kept = { name: entry.record.name, note: '' }
    if ('finding' in made)
      await takeAway('/api/patterns/take-away/label.pdf', { ...kept, request: made.finding })
    else await takeAway('/api/rings/take-away/label.pdf', { ...kept, request: made.rings })
  } catch (thrown) {
    notice.fail(thrown)
  }
}

async function putAway() {
  const { id, name } = led.entry
  try {
    const { entry } = await data(api.GET('/api/batches/{id}', { params: { path: { id } } }))
    const body = { revision: entry.revision, archived: true }
    const { undo } = await data(api.POST('/api/batches/{id}/archive', { params: { path: { id } }, body }))
    notice.did(`Put away: ${name}.`, undo, () => {})
    await router.push('/bench')
  } catch (thrown) {
    notice.fail(thrown)
  }
}
</script>

<template>
  <section data-test="made">
    <p class="reads">{{ led.standing.whole_n }} <span class="of">made</span></p>
    <p class="text serif">{{ led.entry.sentence }}</p>
    <p v-for="(one, i) in led.standing.spoiled" :key="i" class="quiet">
      {{ one.n }} spoiled at “{{ led.tasks[one.step_n - 1]?.step.named }}”{{
        one.reason ? `: ${one.reason}` : ''
      }}
    </p>
    <p>
      <v-btn color="primary" variant="flat" data-test="bag-label" @click="label">Label for the bag</v-btn>
      <v-btn class="ml-3" data-test="put-away" @click="putAway">Put the batch away</v-btn>
    </p>
  </section>
</template>
