<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { ref, watch } from 'vue'
import { api, data, faultsOf, type LotKnown } from '../api/client'
import { readFields, useForm } from '../shared/form'
import { useNotice } from '../shared/notice'
import PaperDialog from '../shared/PaperDialog.vue'
import PaperField from '../shared/PaperField.vue'
import { t } from '../text'

/** A pull test of a lot: how it is made, and what came of it. */
const props = defineProps<{ known: LotKnown }>()
const open = defineModel<boolean>({ required: true })
const queries = useQueryClient()
const notice = useNotice()
const { attempt } = useForm()
const texts = ref<Record<string, string>>({})
const broke = ref(false)
const busy = ref(false)
/** What can hardly be so: it is kept once the maker says that it is right. */
const doubt = ref<{ text: string; meant_g?: number | null } | null>(null)

watch(open, (now) => {
  if (!now) return
  texts.value = {}
  broke.value = props.known.pull_how.breaks
  doubt.value = null
})
watch([texts, broke], () => (doubt.value = null), { deep: true })

async function keep(sure?: { weight_g?: number | null }) {
  if (busy.value) return
  busy.value = true
  await attempt(async () => {
    const { stretched_mm, ...others } = texts.value
    const needed = {
      weight_g: ['mass', 'needed'],
      length_mm: ['length', 'needed'],
      used_mm: 'length',
    } as const
    const read = broke.value
      ? await readFields(others, needed)
      : await readFields({ ...others, stretched_mm }, { ...needed, stretched_mm: ['length', 'needed'] })
    const body = { ...read, weight_g: sure?.weight_g ?? read.weight_g, sure: !!sure }
    const params = { path: { id: props.known.lot_n } }
    try {
      const { text, undo } = await data(api.POST('/api/lots/{id}/pulls', { params, body }))
      notice.did(text, undo, () => queries.invalidateQueries())
      open.value = false
      await queries.invalidateQueries()
    } catch (thrown) {
      const doubted = faultsOf(thrown).find((fault) => fault.field === 'doubt')
      if (!doubted) throw thrown
      doubt.value = { text: doubted.message, meant_g: doubted.suggested }
    }
  })
  busy.value = false
}
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="t('pull-dialog-pull-test', { lotn: known.lot_n })"
    :width="560"
    :does="t('pull-dialog-save')"
    :busy="busy"
    :disabled="!!doubt"
    test="keep-pull"
    @submit="keep()"
  >
    <p v-if="known.pull_how.too_heavy" class="watch" data-test="pull-too-heavy">
      {{ known.pull_how.too_heavy }}
    </p>
    <ol v-else class="steps" data-test="pull-how">
      <li v-for="step in known.pull_how.steps" :key="step">{{ step }}</li>
    </ol>
    <p class="caution" role="note">{{ known.pull_how.caution }}</p>
    <PaperField
      v-model="texts.weight_g"
      name="weight_g"
      autofocus
      figures
      :label="t('pull-dialog-most-weight')"
      :hint="t('pull-dialog-weight-hint')"
      data-test="pull-weight"
    />
    <PaperField
      v-model="texts.length_mm"
      name="length_mm"
      class="apart"
      figures
      :label="t('pull-dialog-length-before')"
      data-test="pull-length"
    />
    <v-checkbox-btn v-model="broke" class="broke" :label="t('pull-dialog-it-broke')" data-test="pull-broke" />
    <PaperField
      v-if="!broke"
      v-model="texts.stretched_mm"
      name="stretched_mm"
      figures
      :label="t('pull-dialog-length-after')"
      data-test="pull-stretched"
    />
    <PaperField
      v-model="texts.used_mm"
      name="used_mm"
      class="apart"
      figures
      :label="t('pull-dialog-wire-used')"
      :hint="t('pull-dialog-wire-used-hint')"
      data-test="pull-used"
    />
    <template #said>
      <div v-if="doubt" class="doubt" role="alert" data-test="pull-doubt">
        <p class="watch">{{ doubt.text }}</p>
        <v-btn
          v-if="doubt.meant_g != null"
          color="primary"
          variant="flat"
          data-test="pull-meant"
          @click="keep({ weight_g: doubt.meant_g })"
          >{{ t('pull-dialog-yes-save-that') }}</v-btn
        >
        <v-btn data-test="pull-sure" @click="keep({})">{{ t('pull-dialog-right-save') }}</v-btn>
      </div>
    </template>
  </PaperDialog>
</template>

<style scoped>
.steps {
  padding-left: 1.4em;
  margin: 0 0 8px;
}

.caution {
  margin: 0 0 16px;
  padding-left: 12px;
  border-left: 3px solid rgb(var(--v-theme-warning));
}

.broke {
  margin: 6px 0 6px -8px;
}

.apart {
  margin-top: 10px;
}

.doubt {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 12px;
}

.doubt p {
  flex-basis: 100%;
  margin: 0;
}
</style>
