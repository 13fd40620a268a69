<script setup lang="ts">
import { t } from '../text'
import { useQueryClient } from '@tanstack/vue-query'
import { ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, data, type Recipe, type MatchOf, type Wire } from '../api/client'
import { useToDesk } from '../chains/toDesk'
import PieceSketch from '../drawing/PieceSketch.vue'
import { readFields, refused, useForm } from '../shared/form'
import { useNotice } from '../shared/notice'
import PaperChoice from '../shared/PaperChoice.vue'
import PaperDialog from '../shared/PaperDialog.vue'
import PaperField from '../shared/PaperField.vue'
import { countOf } from '../shared/typing'
import { useWords } from '../shared/words'

/**
 * A single piece that is left: what it measures leads to the recipe it was made by, and that makes it again. Where none
 * is kept, a recipe that measures so is worked out.
 */
const open = defineModel<boolean>({ required: true })
const router = useRouter()
const notice = useNotice()
const queries = useQueryClient()
const { faults, attempt } = useForm()
const texts = ref<Record<string, string>>({})
const n = ref('1')
const found = ref<MatchOf[] | null>(null)
const busy = ref(false)
const words = useWords()
const toDesk = useToDesk()
const metal = ref('copper')
const recipes = ref<Recipe[] | null>(null)

watch(open, (now) => {
  if (!now) return
  faults.value = []
  texts.value = {}
  n.value = '1'
  found.value = null
  recipes.value = null
})

// What was found is of what was measured then.
watch(
  texts,
  () => {
    found.value = null
    recipes.value = null
  },
  { deep: true },
)
watch(metal, () => (recipes.value = null))

async function measured() {
  const asked = { wire_mm: 'length', long_mm: 'length', short_mm: 'length', inside_mm: 'length' } as const
  const read = await readFields(texts.value, asked)
  return {
    wire_mm: read.wire_mm ?? null,
    long_mm: read.long_mm ?? null,
    short_mm: read.short_mm ?? null,
    inside_mm: read.inside_mm ?? null,
  }
}

async function working(work: () => Promise<void>) {
  busy.value = true
  await attempt(work)
  busy.value = false
}

const look = () =>
  working(async () => {
    recipes.value = null
    found.value = await data(api.POST('/api/matches', { body: await measured() }))
  })

const workOut = () =>
  working(async () => {
    const body = { measured: await measured(), metal: metal.value as Wire['metal'] }
    recipes.value = await data(api.POST('/api/matches/recipes', { body }))
  })

const draw = (one: Recipe) =>
  attempt(async () => {
    open.value = false
    await toDesk(one.piece)
  })

const make = (one: MatchOf) =>
  attempt(async () => {
    const pieces_n = countOf(n.value)
    if (!pieces_n)
      throw refused([{ field: 'pieces_n', message: t('match-dialog-not-number-pieces', { n: n.value }) }])
    const path = { id: one.bag! }
    const { entry, undo } = one.bag
      ? await data(api.POST('/api/bags/{id}/again', { params: { path }, body: { pieces_n } }))
      : await data(api.POST('/api/batches', { body: { entry: one.entry!, pieces_n } }))
    notice.did(t('match-dialog-started', { name: entry.name }), undo, () => queries.invalidateQueries())
    open.value = false
    await router.push(`/bench/${entry.id}`)
  })
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="t('match-dialog-match-lost-piece')"
    :width="560"
    :does="t('match-dialog-find-matches')"
    :busy="busy"
    test="which-is-it"
    @submit="look"
  >
    <p class="quiet">
      {{ t('match-dialog-measure-what-left-at-least') }}
    </p>
    <div class="two">
      <PaperField
        v-model="texts.wire_mm"
        name="wire_mm"
        :label="t('match-dialog-its-wire')"
        :placeholder="t('match-dialog-0-81-mm-20-awg')"
        autofocus
        data-test="single-wire"
      />
      <PaperField
        v-model="texts.long_mm"
        name="long_mm"
        :label="t('match-dialog-longer-way-across')"
        :placeholder="t('match-dialog-31-5-mm')"
        data-test="single-long"
      />
      <PaperField v-model="texts.short_mm" name="short_mm" :label="t('match-dialog-shorter-way-across')" />
      <PaperField v-model="texts.inside_mm" name="inside_mm" :label="t('match-dialog-inside-loop-or-ring')" />
    </div>
    <template v-if="found">
      <p v-if="!found.length" class="watch" role="status">
        {{ t('match-dialog-nothing-saved-comes-close-measure') }}
      </p>
      <template v-else-if="!recipes">
        <PaperField v-model="n" name="pieces_n" :label="t('match-dialog-how-many-make')" figures />
        <ul class="found" data-test="singles">
          <li v-for="one in found" :key="`${one.bag} ${one.entry}`">
            <div>
              <strong>{{ one.name }}</strong>{{ ' ' }}
              <span class="quiet">{{
                one.bag ? t('match-dialog-in-finished-stock') : t('match-dialog-saved')
              }}</span>
              <p :class="one.fits ? 'fits' : 'quiet'">
                {{
                  one.fits
                    ? t('match-dialog-matches', { told: one.text })
                    : t('match-dialog-close', { told: one.text })
                }}
              </p>
            </div>
            <v-btn
              :aria-label="t('match-dialog-make-this', { name: one.name })"
              data-test="make-single"
              @click="make(one)"
              >{{ t('match-dialog-make') }}</v-btn
            >
          </li>
        </ul>
      </template>
      <div class="anew">
        <PaperChoice
          v-model="metal"
          :label="t('match-dialog-its-metal')"
          :choices="words?.metals ?? []"
          data-test="its-metal"
        />
        <v-btn :disabled="busy" data-test="work-out-recipe" @click="workOut">{{
          t('match-dialog-work-out-recipe-for-these')
        }}</v-btn>
      </div>
      <p v-if="recipes && !recipes.length" class="watch" role="status">
        {{ t('match-dialog-no-ring-or-finding-has') }}
      </p>
      <ul v-else-if="recipes" class="found" data-test="recipes">
        <li v-for="one in recipes" :key="one.description">
          <PieceSketch class="sketch" :colour="one.colour" :drawing="one.drawing" />
          <div>
            {{ one.description }}
            <p class="quiet">{{ one.text }}</p>
          </div>
          <v-btn
            :aria-label="t('match-dialog-open-drawing', { sentence: one.description })"
            data-test="draw-recipe"
            @click="draw(one)"
            >{{ t('match-dialog-open-drawing-2') }}</v-btn
          >
        </li>
      </ul>
    </template>
  </PaperDialog>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 14px;
  margin-bottom: 12px;
}

.found {
  list-style: none;
  margin: 0;
  padding: 0;
}

.anew {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  margin-top: 10px;
}

.sketch {
  flex: 0 0 88px;
  height: 64px;
}

.found li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding: 8px 0;
}

.found p {
  margin: 0;
}
</style>
