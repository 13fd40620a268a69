<script setup lang="ts">
import { t } from '../text'
import { computed, ref } from 'vue'
import type { ChainRequest, ChainSheet } from '../api/client'

/** The ring a weave is at its best with, and which of the workshop's rods gives it, the best suited first. */
const { backwards } = defineProps<{ backwards: NonNullable<ChainSheet['backwards']> }>()
const emit = defineEmits<{ set: [request: ChainRequest] }>()
const showAll = ref(false)
const shownRods = computed(() => (showAll.value ? backwards.rods : backwards.rods.slice(0, 9)))
</script>

<template>
  <section>
    <h2>{{ t('best-rods-best-for-this-weave') }}</h2>
    <p class="best serif">{{ backwards.best_text }}</p>
    <p v-if="!backwards.rods.length" class="quiet">
      {{ t('best-rods-you-have-no-round-rods')
      }}<router-link to="/tools">{{ t('best-rods-add-your-rods') }}</router-link
      >{{ t('best-rods-rank-them-here') }}
    </p>
    <ol class="rods">
      <li v-for="rod in shownRods" :key="rod.label">
        <button
          type="button"
          class="plain rod"
          :class="[rod.suits, { chosen: rod.chosen }]"
          :aria-pressed="rod.chosen"
          :data-rod="rod.label"
          @click="emit('set', rod.request)"
        >
          <b>{{ rod.label }}</b> <span>{{ rod.text }}</span>
        </button>
      </li>
    </ol>
    <v-btn v-if="backwards.rods.length > 9" class="link inline" @click="showAll = !showAll">
      {{ showAll ? t('best-rods-fewer') : t('best-rods-all-rods', { rods: backwards.rods.length }) }}
    </v-btn>
  </section>
</template>

<style scoped>
h2 {
  margin: 0 0 4px;
  font-size: 1.05rem;
}

.best {
  margin: 0 0 8px;
  font-size: 1.25rem;
  line-height: 1.2;
}

.rods {
  list-style: none;
  margin: 0;
  padding: 0;
}

.rod {
  display: block;
  width: 100%;
  padding: 4px 0 4px 10px;
  border-left: 3px solid transparent;
  line-height: 1.2;
}

.rod:hover {
  background: rgb(var(--v-theme-surface));
}

.rod b {
  display: block;
}

.rod.usual {
  border-color: rgb(var(--v-theme-primary));
}

.rod.stiff,
.rod.loose {
  border-color: rgb(var(--v-theme-warning));
}

.rod.cannot {
  color: rgb(var(--v-theme-quiet));
}

.rod.chosen {
  background: rgb(var(--v-theme-wash));
}

.link {
  color: rgb(var(--v-theme-primary));
  text-decoration: underline;
}
</style>
