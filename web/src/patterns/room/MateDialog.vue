<script setup lang="ts">
import { t } from '../../text'
import { useDebounceFn } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { api, data, faultsOf, type Fit, type Piece, type SetStrength } from '../../api/client'
import { usePattern } from '../pattern'
import { useForm } from '../../shared/form'
import { useKept } from '../../shared/kept'
import PaperDialog from '../../shared/PaperDialog.vue'
import PaperField from '../../shared/PaperField.vue'
import FitList from './FitList.vue'
import MenuLine from '../../shared/MenuLine.vue'

/** Whether another piece goes into this one, and this one into it: one that is typed, or one that is kept. */
const open = defineModel<boolean>({ required: true })
const pattern = usePattern()
const typed = ref('')
/** What was typed, as it was understood, and how the two go together. */
const found = ref<{ read: string; assumed: string[]; fits: Fit[] } | null>(null)
const chosen = ref<number | null>(null)
const fits = ref<Fit[]>([])
const faults = ref<string[]>([])
const form = useForm()

const { data: kept } = useKept(open)
const others = computed(() => kept.value?.entries ?? [])
let latest = 0

const read = useDebounceFn(async () => {
  const mine = ++latest
  const [text, request] = [typed.value.trim(), pattern.draft]
  if (!text || !request) {
    found.value = null
    form.faults.value = []
    return
  }
  try {
    const body = { first: { finding: request }, typed: text }
    const answer = await data(api.POST('/api/findings/mate-typed', { body }))
    if (mine !== latest) return
    found.value = answer
    form.faults.value = []
  } catch (thrown) {
    if (mine !== latest) return
    found.value = null
    form.take(thrown)
  }
}, 200)

async function check(id: number, second: Piece) {
  if (!pattern.draft) return
  chosen.value = id
  try {
    const body = { first: { finding: pattern.draft }, second }
    fits.value = await data(api.POST('/api/findings/mate', { body }))
    faults.value = []
  } catch (thrown) {
    fits.value = []
    faults.value = faultsOf(thrown).map((fault) => fault.message)
  }
}

/** Other parts of the set this one is of, by their numbers. */
const set = ref<number[]>([])
const weakest = shallowRef<SetStrength | null>(null)
let weighing = 0
watch([set, open], async () => {
  const parts = others.value.filter(({ id }) => set.value.includes(id)).map(({ piece }) => piece)
  const mine = ++weighing
  if (!open.value || !parts.length || !pattern.draft) return (weakest.value = null)
  try {
    const body = { parts: [{ finding: pattern.draft }, ...parts] }
    const found = await data(api.POST('/api/pieces/weakest', { body }))
    if (mine !== weighing) return
    weakest.value = found
    faults.value = []
  } catch (thrown) {
    if (mine !== weighing) return
    weakest.value = null
    faults.value = faultsOf(thrown).map((fault) => fault.message)
  }
})

watch(open, () => {
  set.value = []
  typed.value = ''
  found.value = null
  chosen.value = null
  fits.value = []
  faults.value = []
  form.faults.value = []
})
</script>

<template>
  <PaperDialog v-model="open" :title="t('mate-dialog-what-fits')" :width="620">
    <p class="quiet">{{ t('mate-dialog-check-whether-ring-or-finding') }}</p>
    <PaperField
      v-model="typed"
      name="typed"
      :label="t('mate-dialog-type-ring')"
      :placeholder="t('mate-dialog-6-mm-ring-18-ga')"
      persistent-placeholder
      autofocus
      data-test="mate-typed"
      @update:model-value="read"
    />
    <template v-if="found">
      <p class="read">
        {{ found.read }} <span class="quiet">{{ found.assumed.join(' ') }}</span>
      </p>
      <FitList :fits="found.fits" />
    </template>
    <h3 v-if="others.length">{{ t('mate-dialog-or-choose-saved-one-ticked') }}</h3>
    <p v-if="weakest" class="read" role="status" data-test="weakest">{{ weakest.text }}</p>
    <div class="list">
      <template v-for="other in others" :key="other.id">
        <v-checkbox-btn
          v-model="set"
          :value="other.id"
          :aria-label="t('mate-dialog-in-set', { name: other.name })"
          data-test="of-set"
        />
        <MenuLine
          class="other"
          :aria-expanded="chosen === other.id"
          data-test="mate"
          @click="check(other.id, other.piece)"
        >
          {{ other.name }} <span class="quiet">{{ other.description }}</span>
        </MenuLine>
        <template v-if="chosen === other.id">
          <FitList class="under" :fits="fits" />
        </template>
      </template>
    </div>
    <p v-for="sentence in faults" :key="sentence" class="stop" role="alert">{{ sentence }}</p>
    <v-btn class="mt-3" @click="open = false">{{ t('mate-dialog-close') }}</v-btn>
  </PaperDialog>
</template>

<style scoped>
.list {
  display: grid;
  grid-template-columns: 30px minmax(0, 1fr);
  max-height: 46vh;
  overflow-y: auto;
}

.under {
  grid-column: 2;
}

.other {
  display: grid;
  margin: 0;
  width: 100%;
}

.read {
  margin: 10px 0 0;
}

h3 {
  font-size: 1.02rem;
  margin: 14px 0 2px;
}
</style>
