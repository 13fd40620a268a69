<script setup lang="ts">
import { t } from '../../text'
import type { PatternKind } from '../../api/client'

/** The page a pattern has to itself. */
defineProps<{ kind: PatternKind }>()
</script>

<template>
  <article class="about" data-test="about">
    <h2 class="serif">{{ kind.name }}</h2>
    <p class="lead serif">{{ kind.page.purpose }}</p>
    <h3>{{ t('pattern-page-wire') }}</h3>
    <p>{{ kind.page.wires }}</p>
    <h3>{{ t('pattern-page-when-goes-wrong') }}</h3>
    <dl>
      <template v-for="fault in kind.page.faults" :key="fault.seen">
        <dt>{{ fault.seen }}</dt>
        <dd>{{ fault.cause }}</dd>
      </template>
    </dl>
    <h3>{{ t('pattern-page-options') }}</h3>
    <dl class="two">
      <template v-for="parameter in kind.parameters" :key="parameter.name">
        <dt>{{ parameter.label }}</dt>
        <dd>{{ parameter.description }}</dd>
      </template>
    </dl>
  </article>
</template>

<style scoped>
.about {
  overflow-y: auto;
  padding: 10px 24px 10px 0;
  max-width: 74ch;
}

h2 {
  font-weight: 400;
  font-size: 1.5rem;
  margin: 0 0 4px;
}

h2::first-letter {
  text-transform: uppercase;
}

h3 {
  font-size: 1.05rem;
  margin: 14px 0 2px;
}

.lead {
  font-size: 1.2rem;
}

p {
  margin: 0;
}

dl {
  margin: 0;
}

dt {
  font-weight: 700;
  margin-top: 6px;
}

dd {
  margin: 0;
}

.two {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 3px 18px;
}

.two dt {
  margin: 0;
  font-weight: 500;
}
</style>
