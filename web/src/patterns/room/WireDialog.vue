<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { api, data, faultsOf, type Fault, type Transferred, type Wire } from '../../api/client'
import { usePattern } from '../pattern'
import PaperDialog from '../../shared/PaperDialog.vue'

/** The same piece in another wire: proportions kept, blank worked out anew, differences listed. */
const open = defineModel<boolean>({ required: true })
const pattern = usePattern()
const metal = ref<Wire['metal']>('copper')
const temper = ref<Wire['temper']>('soft')
const size = ref('')
const found = ref<Transferred | null>(null)
const faults = ref<Fault[]>([])

const { data: metals } = useQuery({ queryKey: ['metals'], queryFn: () => data(api.GET('/api/metals')) })
const metalChoices = computed(() =>
  (metals.value ?? []).map((row) => ({ value: row.metal, title: row.shown })),
)
const { data: tempers } = useQuery({
  queryKey: ['temper-choices', open],
  queryFn: () => (pattern.draft ? pattern.choices(pattern.draft, 'temper') : []),
  enabled: open,
})
const temperChoices = computed(() =>
  (tempers.value ?? []).map((choice) => ({ value: choice.request.wire.temper, title: choice.label })),
)

async function work() {
  const request = pattern.draft
  if (!request) return
  try {
    const read = await data(api.POST('/api/lengths/read', { body: { text: size.value } }))
    const wire: Wire = { ...request.wire, metal: metal.value, temper: temper.value, size_mm: read.mm }
    found.value = await data(api.POST('/api/patterns/transfer', { body: { request, wire } }))
    faults.value = []
  } catch (thrown) {
    faults.value = faultsOf(thrown)
    found.value = null
  }
}

watch(open, (now) => {
  const wire = pattern.draft?.wire
  if (!now || !wire) return
  // Practise in copper, of the same size.
  metal.value = wire.metal === 'copper' ? 'sterling-silver' : 'copper'
  temper.value = wire.temper ?? 'soft'
  size.value = `${Number(wire.size_mm.toFixed(4))} mm`
  void work()
})

async function use() {
  if (!found.value) return
  await pattern.set(found.value.request)
  open.value = false
}
</script>

<template>
  <PaperDialog v-model="open" title="In another wire" :width="540" form @submit="use">
    <p class="quiet">
      Practise in copper, then cut silver: the proportions stay, the blank is worked out anew.
    </p>
    <div class="row">
      <v-select
        v-model="metal"
        label="Metal"
        :items="metalChoices"
        data-test="wire-metal"
        @update:model-value="work"
      />
      <v-select v-model="temper" label="Temper" :items="temperChoices" @update:model-value="work" />
      <v-text-field
        v-model="size"
        label="Size"
        autocomplete="off"
        data-test="wire-size"
        :error-messages="faults.map((fault) => fault.sentence)"
        @update:model-value="work"
      />
    </div>
    <ul v-if="found" class="differences" data-test="differences">
      <li v-for="line in found.differences" :key="line">{{ line }}</li>
    </ul>
    <div class="mt-4">
      <v-btn type="submit" variant="flat" color="primary" :disabled="!found" data-test="use-wire">
        Use this wire
      </v-btn>
      <v-btn @click="open = false">Cancel</v-btn>
    </div>
  </PaperDialog>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 0 14px;
}

.differences {
  margin: 14px 0 0;
  padding-left: 18px;
}

@media (max-width: 520px) {
  .row {
    grid-template-columns: 1fr;
  }
}
</style>
