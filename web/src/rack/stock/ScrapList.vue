<script setup lang="ts">
import { t } from '../../text'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data } from '../../api/client'
import { readFields, useForm } from '../../shared/form'
import { useNotice } from '../../shared/notice'
import PricesDialog from '../PricesDialog.vue'
import { useAmounts } from '../../shared/amounts'
import { useRackRefresh } from '../../shared/picking'
import { useWords } from '../../shared/words'
import PaperChoice from '../../shared/PaperChoice.vue'
import PaperDialog from '../../shared/PaperDialog.vue'
import PaperField from '../../shared/PaperField.vue'
import { vOneStop } from '../../shared/oneStop'

/** Scrap on its piles, by metal and cleanliness, and what it is worth. */
const refresh = useRackRefresh()
const notice = useNotice()
const words = useWords()
const { grams, money } = useAmounts()
const { data: heap } = useQuery({ queryKey: ['scrap'], queryFn: () => data(api.GET('/api/scrap')) })
type Pile = NonNullable<typeof heap.value>['piles'][number]

const adding = ref(false)
const pricing = ref(false)
const out = ref(false)
const metal = ref<Pile['metal']>('copper')
const cleanliness = ref<Pile['cleanliness']>('clean')
const typed = ref('')
const note = ref('')
const { faults, attempt } = useForm()

const shown = (kind: 'metals' | 'cleanlinesses', word: string) =>
  words.value?.[kind].find((one) => one.word === word)?.label ?? word
const grouped = computed(() => heap.value?.piles ?? [])

function start(pile?: Pile) {
  if (pile) {
    metal.value = pile.metal
    cleanliness.value = pile.cleanliness
  }
  typed.value = pile ? String(pile.mass_g) : ''
  out.value = !!pile
  note.value = pile ? t('scrap-list-refiner') : ''
  faults.value = []
  adding.value = true
}

const book = () =>
  attempt(async () => {
    const { mass_g } = await readFields({ mass_g: typed.value }, { mass_g: ['mass', 'needed'] })
    const body = {
      metal: metal.value,
      cleanliness: cleanliness.value,
      mass_g: out.value ? -mass_g : mass_g,
      note: note.value,
    }
    const { undo } = await data(api.POST('/api/scrap', { body }))
    adding.value = false
    await refresh()
    notice.did(out.value ? t('scrap-list-taken-from-scrap') : t('scrap-list-added-scrap'), undo, refresh)
  })
</script>

<template>
  <section data-test="scrap">
    <h2>{{ t('scrap-list-scrap') }}</h2>
    <p v-if="!grouped.length" class="quiet">
      {{ t('scrap-list-no-scrap-yet-keep-metals') }}
    </p>
    <v-table v-else class="ledger">
      <tbody v-one-stop="'tr'">
        <tr v-for="pile in grouped" :key="pile.metal + pile.cleanliness">
          <td>
            <button
              type="button"
              class="plain pile"
              :aria-label="
                t('scrap-list-take-from', {
                  metal: shown('metals', pile.metal),
                  cleanliness: shown('cleanlinesses', pile.cleanliness),
                })
              "
              :title="pile.goes"
              @click="start(pile)"
            >
              {{ shown('metals', pile.metal) }}, {{ shown('cleanlinesses', pile.cleanliness) }}
            </button>
          </td>
          <td class="right num">{{ grams(pile.mass_g) }}</td>
          <td class="right quiet">{{ money(pile.value) }}</td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <td class="quiet" colspan="2">{{ t('scrap-list-estimated-at') }}</td>
          <td class="right num">{{ money(heap?.value) }}</td>
        </tr>
      </tfoot>
    </v-table>
    <div class="no-print">
      <v-btn class="ml-n4" data-test="add-scrap" @click="start()">{{ t('scrap-list-add-scrap') }}</v-btn>
      <v-btn data-test="prices" @click="pricing = true">{{ t('scrap-list-metal-prices') }}</v-btn>
    </div>
    <PricesDialog v-model="pricing" @kept="refresh" />
    <PaperDialog
      v-model="adding"
      :title="out ? t('scrap-list-take-scrap-out') : t('scrap-list-add-scrap')"
      :name="t('scrap-list-named')"
      :width="440"
      :does="t('scrap-list-record')"
      test="book-scrap"
      @submit="book"
    >
      <PaperChoice
        v-model="metal"
        :label="t('scrap-list-metal')"
        :choices="words?.metals ?? []"
        data-test="scrap-metal"
      />
      <PaperChoice
        v-model="cleanliness"
        :label="t('scrap-list-how-clean')"
        :choices="words?.cleanlinesses ?? []"
      />
      <PaperField
        v-model="typed"
        name="mass_g"
        :label="t('scrap-list-weight-g')"
        figures
        autofocus
        data-test="scrap-mass"
      />
      <PaperField v-model="note" name="note" :label="t('scrap-list-note')" maxlength="200" />
      <v-checkbox-btn v-model="out" :label="t('scrap-list-taken-out-not-added')" data-test="scrap-out" />
    </PaperDialog>
  </section>
</template>

<style scoped>
.ledger td {
  padding: 5px 0 5px 10px;
}

.ledger td:first-child {
  padding-left: 0;
}

.pile {
  min-height: 28px;
  color: rgb(var(--v-theme-primary));
}

.pile:hover {
  text-decoration: underline;
}

tfoot td {
  border: 0;
}
</style>
