<script setup lang="ts">
import { t } from '../text'
const cautions = [
  [t('caution-list-eyes'), t('caution-list-every-cut-wire-end-hammer')],
  [t('caution-list-rotation'), t('caution-list-drill-or-powered-winder-pulls')],
  [t('caution-list-fire-fumes'), t('caution-list-fireproof-surface-fresh-air-extinguisher')],
  [t('caution-list-pickle'), t('caution-list-acid-into-water-lid-on')],
  [t('caution-list-skin-ears'), t('caution-list-nickel-for-some-people-copper')],
  [t('caution-list-small-parts'), t('caution-list-rings-can-be-swallowed-keep')],
  [t('caution-list-dust-noise'), t('caution-list-dont-breathe-in-filing-sanding')],
  [t('caution-list-hands'), t('caution-list-straight-wrists-rests-short-sessions')],
]
const methods = [
  [
    t('caution-list-starting-temper'),
    t('caution-list-dead-soft-hardened-afterwards'),
    t('caution-list-half-hard-used-as'),
  ],
  [t('caution-list-cutting-rings'), t('caution-list-square-faces'), t('caution-list-cut-twice')],
  [
    t('caution-list-sawing-from'),
    t('caution-list-outside-on-pin'),
    t('caution-list-inside-blade-threaded-through-or'),
  ],
  [t('caution-list-winding'), t('caution-list-by-hand'), t('caution-list-slow-drill')],
  [
    t('caution-list-straightening'),
    t('caution-list-on-spool-before-cutting'),
    t('caution-list-after-cutting-piece-by-piece'),
  ],
]
</script>

<template>
  <div class="two">
    <section aria-labelledby="cautions">
      <h1 id="cautions">{{ t('caution-list-safety') }}</h1>
      <p class="quiet">
        {{ t('caution-list-short-reminders-never-law-tool') }}
      </p>
      <dl>
        <template v-for="[what, text] in cautions" :key="what">
          <dt>{{ what }}</dt>
          <dd>{{ text }}</dd>
        </template>
      </dl>
    </section>
    <section aria-labelledby="methods">
      <h1 id="methods">{{ t('caution-list-where-makers-differ') }}</h1>
      <p class="quiet">{{ t('caution-list-both-ways-work-what-each') }}</p>
      <dl>
        <template v-for="[what, one, other] in methods" :key="what">
          <dt>{{ what }}</dt>
          <dd>
            {{ one }}<span class="quiet"> {{ t('caution-list-or') }} </span>{{ other }}
          </dd>
        </template>
      </dl>
    </section>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
  gap: 24px 56px;
  margin-top: 48px;
}

dt {
  font-weight: 700;
}

dd {
  margin: 0 0 10px;
}
</style>
