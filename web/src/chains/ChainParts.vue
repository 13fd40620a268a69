<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import type { ChainRequest, RingRequest } from '../api/client'
import { usePattern } from '../patterns/pattern'
import { usePlan } from '../rings/plan'
import { useNotice } from '../shared/notice'
import { t } from '../text'
import { useChain } from './chain'

/** What the chain on the desk is made of: its kinds of rings and its clasp, each with the way to its own desk. */
const chain = useChain()
const plan = usePlan()
const pattern = usePattern()
const router = useRouter()
const notice = useNotice()
const parts = computed(() => chain.worked?.parts ?? [])
const hasSecond = computed(() => parts.value.length > 1)
const attempt = (work: Promise<unknown>) => work.catch(notice.fail)
const set = (request: ChainRequest) => attempt(chain.set(request))
const openRings = (ring: RingRequest) => attempt(plan.start(ring).then(() => router.push('/rings')))
const openClasp = () =>
  chain.draft?.clasp && attempt(pattern.start(chain.draft.clasp).then(() => router.push('/findings/piece')))
</script>

<template>
  <p class="more quiet">
    <template v-if="hasSecond && !chain.draft?.second_ring">
      {{ t('chain-view-its-rings-can-be', { name: parts[1]?.name })
      }}<v-btn
        class="link inline"
        data-test="two-kinds"
        @click="set({ ...chain.draft!, second_ring: chain.draft!.ring })"
      >
        {{ t('chain-view-another-metal-or-size') }}</v-btn
      >.
    </template>
    <v-btn
      v-else-if="chain.draft?.second_ring"
      class="link inline"
      data-test="all-alike"
      @click="set({ ...chain.draft!, second_ring: undefined })"
    >
      {{ t('chain-view-all-rings-same-again') }}</v-btn><template v-if="chain.draft?.second_ring"
      >.
    </template>
    <template v-for="(ring, i) in chain.worked?.ring_plans ?? []" :key="i">
      <v-btn class="link inline" :data-test="`ring-plan-${i}`" @click="openRings(ring)">
        {{
          i === 0
            ? t('chain-view-ring-plan-behind')
            : t('chain-view-that-its-rings', { name: parts[i]?.name })
        }}</v-btn>{{ i + 1 < (chain.worked?.ring_plans.length ?? 0) ? ', ' : '. ' }}
    </template>
    <template v-if="chain.draft?.clasp">
      {{ t('chain-view-its-clasp')
      }}<v-btn class="link inline" data-test="clasp-room" @click="openClasp">
        {{ t('chain-view-finding') }}</v-btn
      >.
    </template>
  </p>
</template>

<style scoped>
.more {
  margin: 2px 0 0;
  font-style: italic;
}

.link {
  color: rgb(var(--v-theme-primary));
  text-decoration: underline;
}
</style>
