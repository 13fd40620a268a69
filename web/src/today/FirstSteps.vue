<script setup lang="ts">
import { t } from '../text'
import { mdiCheck } from '@mdi/js'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { api, data, type StartSet } from '../api/client'
import { useKept } from '../shared/kept'
import { useNotice } from '../shared/notice'
import ToolPicture from './ToolPicture.vue'

/** How an empty workshop begins: its tools, its first wire, its first piece. Each step can be skipped. */
const notice = useNotice()
const queries = useQueryClient()

const { data: rods } = useQuery({
  queryKey: ['rods', 'any'],
  queryFn: () => data(api.GET('/api/rods', { params: { query: { most: 1 } } })),
  staleTime: 0,
})
const { data: metals } = useQuery({
  queryKey: ['lots', 'metals'],
  queryFn: () => data(api.GET('/api/lots/metals')),
})
const { data: kept } = useKept()
const { data: sets } = useQuery({
  queryKey: ['start-sets'],
  queryFn: () => data(api.GET('/api/start-sets')),
})

type Step = 'tools' | 'wire' | 'piece'
const skipped = useLocalStorage<Step[]>('lorimant.first-steps-skipped', [])
const done = computed<Record<Step, boolean>>(() => ({
  tools: !!rods.value?.total,
  wire: !!metals.value?.length,
  piece: !!kept.value?.total,
}))
const steps: Step[] = ['tools', 'wire', 'piece']
const left = computed(() => steps.filter((step) => !done.value[step] && !skipped.value.includes(step)))
const known = computed(() => rods.value && metals.value && kept.value)

/** Sets that were added while this is open: they stay, ticked, so that a second can be added. */
const added = ref<StartSet[]>([])
const busy = ref<StartSet | null>(null)
async function add(set: StartSet, shown: string) {
  busy.value = set
  try {
    const { undo, added_n } = await data(api.POST('/api/start-sets/{set}', { params: { path: { set } } }))
    added.value = [...added.value, set]
    if (undo !== undefined && undo !== null)
      notice.did(t('tools-view-added-rods', { addedn: added_n, shown }), undo, refresh)
    await refresh()
  } catch (thrown) {
    notice.fail(thrown)
  } finally {
    busy.value = null
  }
}
const refresh = () => queries.invalidateQueries({ queryKey: ['rods'] })
const shows = (step: Step) => left.value.includes(step) || (step === 'tools' && added.value.length > 0)
const skip = (step: Step) => (skipped.value = [...skipped.value, step])
</script>

<template>
  <section v-if="known && (left.length || added.length)" class="first" data-test="first-steps">
    <h2>{{ t('first-steps-title') }}</h2>
    <ol>
      <li v-if="shows('tools')" data-test="first-tools">
        <h3>{{ t('first-steps-tools') }}</h3>
        <p class="quiet">{{ t('first-steps-tools-why') }}</p>
        <div class="sets">
          <button
            v-for="{ set, label: shown } in sets ?? []"
            :key="set"
            type="button"
            class="plain set"
            :disabled="added.includes(set) || busy === set"
            :data-set="set"
            @click="add(set, shown)"
          >
            <ToolPicture :set="set" />
            <span class="name">{{ shown }}</span>
            <span v-if="added.includes(set)" class="added"
              ><v-icon :icon="mdiCheck" size="18" /> {{ t('first-steps-added') }}</span
            >
          </button>
        </div>
        <p class="acts">
          <v-btn variant="text" to="/tools">{{ t('first-steps-other-tools') }}</v-btn>
          <v-btn v-if="!done.tools" variant="text" data-test="skip-tools" @click="skip('tools')">{{
            t('first-steps-skip')
          }}</v-btn>
        </p>
      </li>
      <li v-if="shows('wire')" data-test="first-wire">
        <h3>{{ t('first-steps-wire') }}</h3>
        <p class="quiet">{{ t('first-steps-wire-why') }}</p>
        <p class="acts">
          <v-btn variant="flat" color="primary" to="/wire?add=spool">{{ t('first-steps-add-wire') }}</v-btn>
          <v-btn variant="text" data-test="skip-wire" @click="skip('wire')">{{
            t('first-steps-skip')
          }}</v-btn>
        </p>
      </li>
      <li v-if="shows('piece')" data-test="first-piece">
        <h3>{{ t('first-steps-piece') }}</h3>
        <p class="quiet">{{ t('first-steps-piece-why') }}</p>
        <p class="acts">
          <v-btn variant="flat" color="primary" to="/rings">{{ t('first-steps-rings') }}</v-btn>
          <v-btn variant="outlined" to="/findings/piece?kind=open-ear-wire">{{
            t('first-steps-ear-wires')
          }}</v-btn>
          <v-btn variant="outlined" to="/findings">{{ t('first-steps-all-findings') }}</v-btn>
          <v-btn variant="text" data-test="skip-piece" @click="skip('piece')">{{
            t('first-steps-skip')
          }}</v-btn>
        </p>
      </li>
    </ol>
  </section>
</template>

<style scoped>
ol {
  margin: 0;
  padding: 0 0 0 1.2em;
}

li::marker {
  font: 1.35rem var(--serif);
}

li {
  padding: 4px 0 12px;
}

h3 {
  margin: 0;
  font: 1.35rem var(--serif);
}

p {
  margin: 0 0 8px;
  max-width: 80ch;
}

.sets {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: 10px;
  margin-bottom: 4px;
}

.set {
  display: grid;
  grid-template-rows: 44px auto auto;
  gap: 4px;
  min-height: 96px;
  padding: 8px 12px;
  text-align: left;
  border: 1px solid rgb(var(--v-theme-hairline));
  border-radius: 6px;
  line-height: 1.25;
}

.set:hover:not(:disabled),
.set:focus-visible {
  border-color: rgb(var(--v-theme-primary));
}

.name::first-letter {
  text-transform: uppercase;
}

.name {
  display: block;
}

.added {
  color: rgb(var(--v-theme-primary));
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
