<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { api, data, faultsOf, type Fit, type Piece } from '../../api/client'
import { usePattern } from '../pattern'
import PaperDialog from '../../shared/PaperDialog.vue'

/** Whether another kept piece goes into this one, and this one into it. */
const open = defineModel<boolean>({ required: true })
const pattern = usePattern()
const chosen = ref<string | null>(null)
const fits = ref<Fit[]>([])
const faults = ref<string[]>([])

const { data: patterns } = useQuery({
  queryKey: ['patterns', 'to-mate'],
  queryFn: () => data(api.GET('/api/patterns', { params: { query: { most: 200 } } })),
  enabled: open,
})
const { data: plans } = useQuery({
  queryKey: ['plans', 'to-mate'],
  queryFn: () => data(api.GET('/api/plans', { params: { query: { most: 200 } } })),
  enabled: open,
})

const others = computed(() => [
  ...(plans.value?.entries ?? []).map((entry) => ({
    key: `ring-${entry.id}`,
    name: entry.record.name,
    says: entry.sentence,
    mate: { rings: entry.record.request } satisfies Piece,
  })),
  ...(patterns.value?.entries ?? []).map((entry) => ({
    key: `pattern-${entry.id}`,
    name: entry.record.name,
    says: entry.sentence,
    mate: { finding: entry.record.request } satisfies Piece,
  })),
])

async function check(key: string, second: Piece) {
  if (!pattern.draft) return
  chosen.value = key
  try {
    fits.value = await data(
      api.POST('/api/patterns/mate', { body: { first: { finding: pattern.draft }, second } }),
    )
    faults.value = []
  } catch (thrown) {
    fits.value = []
    faults.value = faultsOf(thrown).map((fault) => fault.sentence)
  }
}

watch(open, () => {
  chosen.value = null
  fits.value = []
  faults.value = []
})
</script>

<template>
  <PaperDialog v-model="open" title="Goes with" :width="620">
    <p class="quiet">
      Whether a kept ring or finding goes into this one, with a tenth of a millimetre to spare.
    </p>
    <p v-if="!others.length" data-test="no-mates">
      Nothing is kept to try it with. Plan some rings, or keep another pattern.
    </p>
    <div class="list">
      <template v-for="other in others" :key="other.key">
        <button
          type="button"
          class="plain menu-line other"
          :aria-expanded="chosen === other.key"
          data-test="mate"
          @click="check(other.key, other.mate)"
        >
          {{ other.name }} <span class="quiet">{{ other.says }}</span>
        </button>
        <ul v-if="chosen === other.key" class="fits" data-test="fits">
          <li v-for="fit in fits" :key="fit.sentence" :class="{ watch: !fit.ok }">
            <b>{{ fit.ok ? 'Goes.' : 'Does not go.' }}</b> {{ fit.sentence }}
          </li>
          <li v-for="sentence in faults" :key="sentence" class="stop">{{ sentence }}</li>
        </ul>
      </template>
    </div>
    <v-btn class="mt-3" @click="open = false">Close</v-btn>
  </PaperDialog>
</template>

<style scoped>
.list {
  max-height: 56vh;
  overflow-y: auto;
}

.other {
  display: grid;
  margin: 0;
  width: 100%;
}

.fits {
  margin: 2px 0 10px;
  padding-left: 28px;
}
</style>
