<script setup lang="ts">
import { t } from '../text'

/** Help: what each door is for, how the figures are made, the words of the trade. */
const doors = [
  {
    id: 'today',
    path: '/today',
    name: t('router-today'),
    what: t('help-view-today'),
    first: t('help-view-today-first'),
  },
  {
    id: 'plan',
    path: '/findings',
    name: t('router-plan'),
    what: t('help-view-plan'),
    first: t('help-view-plan-first'),
  },
  {
    id: 'wire',
    path: '/wire',
    name: t('router-wire'),
    what: t('help-view-wire'),
    first: t('help-view-wire-first'),
  },
  {
    id: 'orders',
    path: '/orders',
    name: t('router-orders'),
    what: t('help-view-orders'),
    first: t('help-view-orders-first'),
  },
  {
    id: 'bench',
    path: '/bench',
    name: t('router-bench'),
    what: t('help-view-bench'),
    first: t('help-view-bench-first'),
  },
  {
    id: 'measure',
    path: '/measure',
    name: t('router-measure'),
    what: t('help-view-measure'),
    first: t('help-view-measure-first'),
  },
]
const figures = [
  [t('help-view-cut-length'), t('help-view-cut-length-text')],
  [t('help-view-ring-size'), t('help-view-ring-size-text')],
  [t('help-view-your-spool'), t('help-view-your-spool-text')],
  [t('help-view-strength'), t('help-view-strength-text')],
  [t('help-view-cracks'), t('help-view-cracks-text')],
  [t('help-view-time'), t('help-view-time-text')],
]
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
          <template v-for="[figure, text] in figures" :key="figure">
            <dt>{{ figure }}</dt>
            <dd>{{ text }}</dd>
          </template>
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
