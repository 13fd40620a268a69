<script setup lang="ts" generic="R extends object">
import { t } from '../text'
import { ref, shallowRef, watch } from 'vue'
import type { Step } from '../api/client'
import type { Choice, Desk } from '../desk/types'
import { useNotice } from '../shared/notice'
import { vOneStop } from '../shared/oneStop'
import OfferLine from './OfferLine.vue'

/** The steps as instructions, with the numbers of this piece; the one in hand can be changed where it stands. */
const { steps, desk } = defineProps<{ steps: Step[]; desk: Desk<R> }>()
const at = defineModel<number>({ required: true })
const notice = useNotice()
const changing = ref(false)
const offers = shallowRef<Choice<R>[] | null>(null)

watch([at, () => steps], () => (changing.value = false))

async function change(step: Step) {
  changing.value = !changing.value
  if (!changing.value || !desk.draft) return
  offers.value = null
  const all = await desk.choices(desk.draft, 'making').catch((thrown) => {
    notice.fail(thrown)
    return []
  })
  offers.value = all.filter((choice) => choice.step_n === step.step_n)
}

async function choose(choice: Choice<R>) {
  changing.value = false
  await desk.set(choice.request).catch(notice.fail)
}
</script>

<template>
  <section data-test="steps">
    <h2 class="question">{{ t('step-list-steps') }}</h2>
    <ol v-one-stop>
      <li v-for="(step, i) in steps" :key="step.step_n" :class="{ now: at === i }">
        <button
          type="button"
          class="plain step"
          :aria-current="at === i ? 'step' : undefined"
          @click="at = i"
        >
          <span class="number" aria-hidden="true">{{ step.step_n }}</span>
          <span>
            {{ step.text }}
            <span v-if="step.hint && (at === i || step.misfit)" :class="step.misfit ? 'watch' : 'quiet'">{{
              step.hint
            }}</span>{{ ' ' }}
            <span v-if="step.strain_text && at === i" class="quiet" data-test="spent">{{
              step.strain_text
            }}</span>{{ ' ' }}
            <span v-if="step.caution && at === i" class="caution">{{ step.caution }}</span>
          </span>
        </button>
        <div v-if="at === i" class="change">
          <v-btn
            class="link inline"
            :class="{ watch: step.strain_level }"
            :aria-expanded="changing"
            data-test="change-step"
            @click="change(step)"
          >
            {{ step.strain_level ? t('step-list-anneal-before-or-change') : t('step-list-change-this-step') }}
          </v-btn>
          <template v-if="changing">
            <OfferLine v-for="choice in offers ?? []" :key="choice.label" :choice="choice" @choose="choose" />
            <p v-if="!offers" class="quiet" role="status">{{ t('step-list-checking-what-would-change') }}</p>
            <p v-else-if="!offers.length" class="quiet">
              {{ t('step-list-part-piece-change-word-sentence') }}
            </p>
          </template>
        </div>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.question {
  font-size: 0.98rem;
  font-weight: 500;
  color: rgb(var(--v-theme-quiet));
  margin: 0;
  padding: 6px 0 0;
  border-bottom: 1px solid rgb(var(--v-theme-hairline));
}

ol {
  list-style: none;
  margin: 4px 0;
  padding: 0;
}

.step {
  display: grid;
  grid-template-columns: 26px 1fr;
  gap: 8px;
  width: 100%;
  padding: 3px 0;
  line-height: 1.25;
}

.number {
  width: 22px;
  height: 22px;
  border-radius: 50%;
  border: 1.5px solid rgb(var(--v-theme-on-background));
  font-size: 0.85rem;
  font-weight: 700;
  display: grid;
  place-items: center;
}

.now .number {
  background: rgb(var(--v-theme-primary));
  border-color: rgb(var(--v-theme-primary));
  color: rgb(var(--v-theme-on-primary));
}

.step:hover .number {
  border-color: rgb(var(--v-theme-primary));
}

.change {
  padding: 0 0 6px 34px;
}

.link {
  min-height: 24px;
  color: rgb(var(--v-theme-primary));
  text-decoration: underline;
}

.change p {
  margin: 2px 0;
}

.caution {
  display: block;
  margin-top: 3px;
  padding-left: 9px;
  border-left: 3px solid rgb(var(--v-theme-warning));
}
</style>
