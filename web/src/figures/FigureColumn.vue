<script setup lang="ts">
import { t } from '../text'
import { computed, ref } from 'vue'
import type { Figure } from '../api/client'
import { useWritten } from './written'
import { vOneStop } from '../shared/oneStop'

const props = defineProps<{
  figures: Figure[]
  /** The questions shown, in this order; all if left out. */
  only?: Figure['question'][]
  /** Whether its first figure is the main one of the view. */
  lead?: boolean
}>()

const opened = ref<string | null>(null)

const titles: Record<Figure['question'], string> = {
  cut: t('figure-column-cut'),
  'in-your-hand': t('figure-column-in-your-hand'),
  'on-the-rod': t('figure-column-on-rod'),
  'off-the-spool': t('figure-column-off-spool'),
  'will-it-hold': t('figure-column-will-hold'),
}

const groups = computed(() =>
  (props.only ?? (Object.keys(titles) as Figure['question'][]))
    .map((question) => ({
      title: titles[question],
      figures: props.figures.filter((figure) => figure.question === question),
    }))
    .filter((group) => group.figures.length),
)

const { written } = useWritten()

/** What stands small beside the value: the other unit, or a remark. */
const beside = (figure: Figure) => [figure.more, written(figure).other].filter(Boolean).join(' · ')
</script>

<template>
  <div v-one-stop="'.figure'" class="figures" data-test="figures">
    <section v-for="(group, g) in groups" :key="group.title">
      <h2 class="question">{{ group.title }}</h2>
      <div v-for="(figure, i) in group.figures" :key="figure.key" class="figure" :class="figure.level">
        <button
          type="button"
          class="plain face"
          :class="{ main: lead && g === 0 && i === 0 }"
          :aria-expanded="opened === figure.key"
          :data-figure="figure.key"
          @click="opened = opened === figure.key ? null : figure.key"
        >
          <span class="label">{{ figure.label }}</span>
          <span class="beside">{{ beside(figure) }}</span>
          <span class="num">{{ written(figure).value }}</span>
          <span class="unit">{{ written(figure).unit }}</span>
        </button>
        <dl v-if="opened === figure.key" class="working" data-test="working">
          <dd class="says">{{ figure.working.text }}</dd>
          <dd class="formula">{{ figure.working.formula }}</dd>
          <dd class="formula">{{ figure.working.numbers }}</dd>
          <dt>{{ t('figure-column-assumed') }}</dt>
          <dd>{{ figure.working.assumption }}</dd>
          <dt>{{ t('figure-column-spread') }}</dt>
          <dd>{{ figure.working.spread }}</dd>
          <dt>{{ t('figure-column-source') }}</dt>
          <dd>{{ figure.working.source }}</dd>
        </dl>
      </div>
    </section>
  </div>
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

section:first-child .question {
  padding-top: 0;
}

.face {
  display: grid;
  grid-template-columns: auto 1fr auto 24px;
  gap: 0 8px;
  align-items: baseline;
  width: 100%;
  padding: 1px 0;
  min-height: 25px;
}

.face:hover .label {
  text-decoration: underline;
  text-decoration-style: dotted;
  text-underline-offset: 4px;
}

.num {
  font-size: 1.14rem;
  line-height: 1.2;
  text-align: right;
}

.unit,
.beside {
  color: rgb(var(--v-theme-quiet));
  font-size: 0.93rem;
}

.beside {
  text-align: right;
  line-height: 1.15;
}

.main .num {
  font-size: 3rem;
  line-height: 1;
}

.main .label {
  font-size: 1.15rem;
}

.watch .num,
.watch .label {
  color: rgb(var(--v-theme-warning));
}

.stop .num,
.stop .label {
  color: rgb(var(--v-theme-error));
}

.working {
  margin: 2px 0 12px;
  padding: 8px 0 2px 12px;
  border-left: 3px solid rgb(var(--v-theme-primary));
}

.working dt {
  color: rgb(var(--v-theme-quiet));
  font-size: 0.92rem;
}

.working dd {
  margin: 0 0 5px;
}

.says {
  font-size: 1.05rem;
}

.formula {
  font-weight: 700;
  overflow-wrap: anywhere;
}
</style>
