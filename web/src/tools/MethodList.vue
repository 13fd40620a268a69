<script setup lang="ts">
import { t } from '../text'
import { useQuery } from '@tanstack/vue-query'
import { api, data, type Settings } from '../api/client'
import { useNotice } from '../shared/notice'
import { useSettings } from '../shared/settings'
import { useDesks } from '../patterns/desks'

/** Where makers differ: the methods of this workshop, each with its trade. */
const settings = useSettings()
const refreshDesks = useDesks()
const notice = useNotice()
type Methods = NonNullable<Settings['methods']>

const { data: questions } = useQuery({
  queryKey: ['method-questions'],
  queryFn: () => data(api.GET('/api/methods')),
})

const now = (field: string) => String(settings.settings.methods?.[field as keyof Methods] ?? '')

async function put(methods: Methods | undefined) {
  await settings.keep({ methods })
  await refreshDesks()
}

async function choose(field: string, question: string, word: string) {
  const before = settings.settings.methods
  try {
    const value = word === 'true' ? true : word === 'false' ? false : word
    await put({ ...before, [field]: value } as Methods)
    notice.say(t('method-list-noted', { question }), () => put(before).catch(notice.fail))
  } catch (thrown) {
    notice.fail(thrown)
    await settings.load()
  }
}
</script>

<template>
  <section data-test="methods">
    <h1>{{ t('method-list-preferred-methods') }}</h1>
    <p class="quiet lead">
      {{ t('method-list-where-makers-differ-every-plan') }}
    </p>
    <v-radio-group
      v-for="one in questions ?? []"
      :key="one.field"
      class="question"
      :model-value="now(one.field)"
      :label="one.question"
      @update:model-value="$event && choose(one.field, one.question, $event)"
    >
      <v-radio
        v-for="answer in one.answers"
        :key="answer.word"
        :value="answer.word"
        :data-test="`method-${one.field}-${answer.word}`"
      >
        <template #label>
          <span>
            <b>{{ answer.label }}</b> <span class="quiet">{{ answer.trade }}</span>
          </span>
        </template>
      </v-radio>
    </v-radio-group>
  </section>
</template>

<style scoped>
.lead {
  margin: 0 0 12px;
}

.question {
  margin-bottom: 12px;
}

.question b {
  font-weight: 500;
}
</style>
