<script setup lang="ts">
import { t } from '../../text'
import { ref } from 'vue'
import type { WireCandidate } from '../../api/client'
import { useAmounts } from '../../shared/amounts'

/** One wire with its verdict; the rest of its reasons on demand. */
defineProps<{ one: WireCandidate; nth: number; compared: boolean }>()
const emit = defineEmits<{ compare: []; use: [] }>()
const { money } = useAmounts()
const opened = ref(false)
</script>

<template>
  <li :style="{ '--metal': one.colour }">
    <v-checkbox-btn
      class="set"
      :model-value="compared"
      :aria-label="t('choose-view-compare', { wire: one.label })"
      data-test="compare"
      @update:model-value="emit('compare')"
    />
    <span class="rank num">{{ nth }}</span>
    <div>
      <h2>
        <span class="metal" aria-hidden="true" />{{ one.label }}
        <span v-if="one.cost" class="quiet cost">{{ t('choose-view-each', { cost: money(one.cost) }) }}</span>
      </h2>
      <p v-if="one.on_rack" class="there" data-test="on-rack">{{ one.on_rack }}</p>
      <p>{{ one.reasons.slice(0, opened ? undefined : 2).join(' ') }}</p>
      <p v-for="line in opened ? one.cautions : one.cautions.slice(0, 1)" :key="line" class="watch">
        {{ line }}
      </p>
      <p class="acts">
        <v-btn class="act inline" :aria-expanded="opened" data-test="reasons" @click="opened = !opened">
          {{ opened ? t('choose-view-fewer-reasons') : t('choose-view-every-reason') }}
        </v-btn>
        <v-btn class="act inline" data-test="use-candidate" @click="emit('use')">
          {{ t('choose-view-use-this-wire') }}
        </v-btn>
      </p>
    </div>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 26px 26px minmax(0, 1fr);
  gap: 0 6px;
  padding: 9px 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}

h2 {
  display: flex;
  align-items: center;
  gap: 9px;
  margin: 0;
}

p {
  margin: 2px 0 0;
}

.set {
  align-self: start;
}

.rank {
  color: rgb(var(--v-theme-quiet));
}

.metal {
  flex: none;
  width: 26px;
  height: 7px;
  border-radius: 4px;
  background: var(--metal);
  border: 1px solid rgb(var(--v-theme-quiet));
}

.cost {
  margin-left: auto;
  white-space: nowrap;
  font-weight: 400;
  font-size: 1rem;
}

.there {
  color: rgb(var(--v-theme-primary));
}

.acts {
  display: flex;
  gap: 20px;
}

.act {
  color: rgb(var(--v-theme-primary));
  min-height: 30px;
}

.act:hover {
  text-decoration: underline;
}
</style>
