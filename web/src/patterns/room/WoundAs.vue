<script setup lang="ts">
import { useRouter } from 'vue-router'
import type { RingRequest } from '../../api/client'
import { usePlan } from '../../rings/plan'
import { useNotice } from '../../shared/notice'
import { t } from '../../text'

/** What is wound as a coil, several at a time, is planned where coils are. */
const { coil } = defineProps<{ coil: RingRequest }>()
const rings = usePlan()
const router = useRouter()
const notice = useNotice()
async function toRings() {
  await rings.start(coil).catch(notice.fail)
  await router.push('/rings')
}
</script>

<template>
  <p data-test="wound-as">
    {{ t('room-view-several-these-wound-as-coil')
    }}<v-btn class="link inline" @click="toRings">
      {{ t('room-view-plan-coil-under-rings') }}
    </v-btn>
  </p>
</template>

<style scoped>
.link {
  color: rgb(var(--v-theme-primary));
  text-decoration: underline;
  text-underline-offset: 3px;
  padding: 2px 4px;
}
</style>
