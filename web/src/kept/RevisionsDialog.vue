<script setup lang="ts">
import { momentOf } from '../shared/dates'
import { t } from '../text'
import { useQuery } from '@tanstack/vue-query'
import { useRouter } from 'vue-router'
import {
  api,
  data,
  type ChainRequest,
  type KeptPiece,
  type PatternRequest,
  type RingRequest,
} from '../api/client'
import { useNotice } from '../shared/notice'
import { useOpen } from '../shared/form'
import { recordOf } from '../shared/kept'
import PaperDialog from '../shared/PaperDialog.vue'
import { useChain } from '../chains/chain'
import { usePattern } from '../patterns/pattern'
import { usePlan } from '../rings/plan'

/** A kept piece as it stood at each revision; an earlier one is laid on its desk, to be kept over the last. */
const kept = defineModel<KeptPiece | null>({ required: true })
const open = useOpen(kept)
const plan = usePlan()
const pattern = usePattern()
const chain = useChain()
const router = useRouter()
const notice = useNotice()

interface Revision {
  revision: number
  made_at: string
  description: string
  name: string
  request: RingRequest | PatternRequest | ChainRequest
}

const { data: revisions } = useQuery({
  queryKey: ['kept', 'revisions', () => kept.value?.id, () => kept.value?.revision],
  queryFn: async (): Promise<Revision[]> => {
    const params = { path: { id: kept.value!.id } }
    const found =
      'rings' in kept.value!.piece
        ? await data(api.GET('/api/plans/{id}/revisions', { params }))
        : 'chain' in kept.value!.piece
          ? await data(api.GET('/api/chains/{id}/revisions', { params }))
          : await data(api.GET('/api/findings/{id}/revisions', { params }))
    return found.map(({ record, ...one }) => ({ ...one, name: record.name, request: record.request }))
  },
  enabled: open,
})

async function lay({ revision, request }: Revision) {
  const now = kept.value!
  try {
    if ('rings' in now.piece) {
      await plan.openKept(recordOf(now, now.piece.rings))
      if (revision !== now.revision) await plan.set(request as RingRequest)
      await router.push('/rings')
    } else if ('chain' in now.piece) {
      await chain.openKept(recordOf(now, now.piece.chain))
      if (revision !== now.revision) await chain.set(request as ChainRequest)
      await router.push('/chains')
    } else {
      await pattern.openKept(recordOf(now, now.piece.finding))
      if (revision !== now.revision) await pattern.set(request as PatternRequest)
      await router.push('/findings/piece')
    }
    kept.value = null
  } catch (thrown) {
    notice.fail(thrown)
  }
}
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="t('revisions-dialog-revisions')"
    :name="t('revisions-dialog-revisions-of', { name: kept?.name })"
    :width="680"
  >
    <p class="quiet">
      {{ t('revisions-dialog-earlier-versions-open-one-look', { name: kept?.name }) }}
    </p>
    <ol class="list" data-test="revision-list">
      <li v-for="one in revisions ?? []" :key="one.revision" class="one" data-test="revision">
        <div>
          <b>{{ momentOf(one.made_at) }}</b>
          <span v-if="one.revision === kept?.revision" class="quiet">
            {{ t('revisions-dialog-current') }}</span
          >
          <span v-if="one.name !== kept?.name" class="quiet">
            {{ t('revisions-dialog-called', { name: one.name }) }}</span
          >
          <p>{{ one.description }}</p>
        </div>
        <v-btn
          size="small"
          :aria-label="t('revisions-dialog-open-revision', { revision: one.revision, name: kept?.name })"
          data-test="open-revision"
          @click="lay(one)"
        >
          {{ t('revisions-dialog-open') }}
        </v-btn>
      </li>
    </ol>
    <v-btn class="mt-3" @click="open = false">{{ t('revisions-dialog-close') }}</v-btn>
  </PaperDialog>
</template>

<style scoped>
.list {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 56vh;
  overflow-y: auto;
}

.one {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 16px;
  padding: 8px 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}

.one p {
  margin: 0;
}
</style>
