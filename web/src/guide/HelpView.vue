<script setup lang="ts">
import { t } from '../text'
import HelpPicture from './HelpPicture.vue'

/** Help: what each door is for, how the figures are made, the words of the trade. */
const doors = [
  {
    id: 'today',
    path: '/today',
    name: t('router-today'),
    what: t('help-view-today'),
    first: t('help-view-today-first'),
    keys: t('help-view-today-keys'),
  },
  {
    id: 'plan',
    path: '/findings',
    name: t('router-plan'),
    what: t('help-view-plan'),
    first: t('help-view-plan-first'),
    keys: t('help-view-plan-keys'),
  },
  {
    id: 'wire',
    path: '/wire',
    name: t('router-wire'),
    what: t('help-view-wire'),
    first: t('help-view-wire-first'),
    keys: t('help-view-wire-keys'),
  },
  {
    id: 'orders',
    path: '/orders',
    name: t('router-orders'),
    what: t('help-view-orders'),
    first: t('help-view-orders-first'),
    keys: t('help-view-orders-keys'),
  },
  {
    id: 'bench',
    path: '/bench',
    name: t('router-bench'),
    what: t('help-view-bench'),
    first: t('help-view-bench-first'),
    keys: t('help-view-bench-keys'),
  },
  {
    id: 'measure',
    path: '/measure',
    name: t('router-measure'),
    what: t('help-view-measure'),
    first: t('help-view-measure-first'),
    keys: t('help-view-measure-keys'),
  },
]
const figures = [
  { of: 'cut-length', name: t('help-view-cut-length'), text: t('help-view-cut-length-text') },
  { of: 'ring-size', name: t('help-view-ring-size'), text: t('help-view-ring-size-text') },
  { of: 'spool', name: t('help-view-your-spool'), text: t('help-view-your-spool-text') },
  { of: 'strength', name: t('help-view-strength'), text: t('help-view-strength-text') },
  { of: 'cracks', name: t('help-view-cracks'), text: t('help-view-cracks-text') },
  { of: 'time', name: t('help-view-time'), text: t('help-view-time-text') },
] as const
const words = [
  { term: t('help-view-term-anneal'), also: '', means: t('help-view-term-anneal-means') },
  {
    term: t('help-view-term-aspect-ratio'),
    also: t('help-view-term-aspect-ratio-also'),
    means: t('help-view-term-aspect-ratio-means'),
  },
  { term: t('help-view-term-blank'), also: '', means: t('help-view-term-blank-means') },
  {
    term: t('help-view-term-ear-wire'),
    also: t('help-view-term-ear-wire-also'),
    means: t('help-view-term-ear-wire-means'),
  },
  { term: t('help-view-term-eye-pin-head-pin'), also: '', means: t('help-view-term-eye-pin-head-pin-means') },
  { term: t('help-view-term-finding'), also: '', means: t('help-view-term-finding-means') },
  { term: t('help-view-term-flush-cut'), also: '', means: t('help-view-term-flush-cut-means') },
  {
    term: t('help-view-term-gauge'),
    also: t('help-view-term-gauge-also'),
    means: t('help-view-term-gauge-means'),
  },
  {
    term: t('help-view-term-jump-ring'),
    also: t('help-view-term-jump-ring-also'),
    means: t('help-view-term-jump-ring-means'),
  },
  { term: t('help-view-term-kerf'), also: '', means: t('help-view-term-kerf-means') },
  { term: t('help-view-term-lot'), also: t('help-view-term-lot-also'), means: t('help-view-term-lot-means') },
  {
    term: t('help-view-term-mandrel'),
    also: t('help-view-term-mandrel-also'),
    means: t('help-view-term-mandrel-means'),
  },
  { term: t('help-view-term-pre-closed-ring'), also: '', means: t('help-view-term-pre-closed-ring-means') },
  { term: t('help-view-term-pull-test'), also: '', means: t('help-view-term-pull-test-means') },
  { term: t('help-view-term-repeat'), also: '', means: t('help-view-term-repeat-means') },
  { term: t('help-view-term-scrap'), also: '', means: t('help-view-term-scrap-means') },
  { term: t('help-view-term-springback'), also: '', means: t('help-view-term-springback-means') },
  { term: t('help-view-term-tail'), also: '', means: t('help-view-term-tail-means') },
  {
    term: t('help-view-term-temper'),
    also: t('help-view-term-temper-also'),
    means: t('help-view-term-temper-means'),
  },
  {
    term: t('help-view-term-tumbler'),
    also: t('help-view-term-tumbler-also'),
    means: t('help-view-term-tumbler-means'),
  },
  {
    term: t('help-view-term-weave'),
    also: t('help-view-term-weave-also'),
    means: t('help-view-term-weave-means'),
  },
  { term: t('help-view-term-work-harden'), also: '', means: t('help-view-term-work-harden-means') },
  { term: t('help-view-term-wrap'), also: '', means: t('help-view-term-wrap-means') },
]
</script>

<template>
  <div class="page" data-test="help">
    <h1>{{ t('help-view-help') }}</h1>
    <p class="quiet">{{ t('help-view-lead') }}</p>
    <div class="doors">
      <section v-for="door in doors" :id="door.id" :key="door.id">
        <h2>
          <router-link :to="door.path">{{ door.name }}</router-link>
        </h2>
        <p>{{ door.what }}</p>
        <p>
          <b>{{ t('help-view-first') }}</b>{{ door.first }}
        </p>
        <p class="quiet">
          <b>{{ t('help-view-keys') }}</b>{{ door.keys }}
        </p>
      </section>
    </div>
    <div class="two">
      <section>
        <h2>{{ t('help-view-figures') }}</h2>
        <p class="quiet">
          {{ t('help-view-figures-lead')
          }}<router-link to="/reference">{{ t('help-view-reference') }}</router-link
          >. {{ t('help-view-differ') }}
        </p>
        <dl>
          <div v-for="figure in figures" :key="figure.of" class="figure">
            <dt>{{ figure.name }}</dt>
            <dd><HelpPicture :of="figure.of" /></dd>
            <dd>{{ figure.text }}</dd>
          </div>
        </dl>
      </section>
      <section>
        <h2>{{ t('help-view-words') }}</h2>
        <p class="quiet">{{ t('help-view-words-lead') }}</p>
        <dl>
          <template v-for="word in words" :key="word.term">
            <dt>
              {{ word.term
              }}<span v-if="word.also" class="quiet">{{ t('help-view-also', { names: word.also }) }}</span>
            </dt>
            <dd>{{ word.means }}</dd>
          </template>
        </dl>
      </section>
    </div>
  </div>
</template>

<style scoped>
.doors {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
  gap: 18px 48px;
  margin-top: 22px;
}

h2 {
  margin: 0;
}

.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
  gap: 8px 56px;
  margin-top: 24px;
}

.figure {
  display: grid;
  grid-template-columns: auto 1fr;
  column-gap: 16px;
  margin-top: 14px;
}

.figure dt {
  grid-column: 2;
  align-self: end;
  margin-top: 0;
}

.figure dd:first-of-type {
  grid-row: 1 / 3;
  grid-column: 1;
}

.figure dd:last-of-type {
  grid-column: 2;
}

dt {
  font-weight: 700;
  margin-top: 12px;
}

dt .quiet {
  font-weight: 400;
}

dd {
  margin: 0;
}

p {
  margin: 4px 0;
}
</style>
