<script setup lang="ts">
import { momentOf } from '../../shared/dates'
import { t } from '../../text'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, data, type PatternRequest } from '../../api/client'
import { useKept } from '../../shared/kept'
import { usePattern } from '../pattern'
import PaperDialog from '../../shared/PaperDialog.vue'
import MenuLine from '../../shared/MenuLine.vue'

/** Choosing what to lay over the piece: an earlier revision, another kept pattern. */
const emit = defineEmits<{ lay: [name: string, request: PatternRequest] }>()
const open = defineModel<boolean>({ required: true })
const pattern = usePattern()
const id = computed(() => pattern.kept?.id ?? 0)

const { data: revisions } = useQuery({
  queryKey: ['kept', 'revisions', id, () => pattern.kept?.revision],
  queryFn: () => data(api.GET('/api/findings/{id}/revisions', { params: { path: { id: id.value } } })),
  enabled: () => open.value && id.value > 0,
})
const { data: kept } = useKept(open)
const others = computed(() =>
  (kept.value?.entries ?? []).flatMap((entry) =>
    'finding' in entry.piece ? [{ ...entry, finding: entry.piece.finding }] : [],
  ),
)

function lay(name: string, request: PatternRequest) {
  emit('lay', name, request)
  open.value = false
}

async function bringBack(request: PatternRequest) {
  await pattern.set(request)
  open.value = false
}
</script>

<template>
  <PaperDialog v-model="open" :title="t('over-dialog-compare')" :width="640">
    <p class="quiet">{{ t('over-dialog-other-piece-drawn-over-this') }}</p>
    <div class="list">
      <template v-if="pattern.kept && revisions?.length">
        <h3>{{ t('over-dialog-earlier-revisions', { name: pattern.kept.name }) }}</h3>
        <div v-for="one in revisions" :key="one.revision" class="one" data-test="revision">
          <MenuLine @click="lay(t('over-dialog-revision', { revision: one.revision }), one.record.request)">
            {{ t('over-dialog-revision-2', { revision: one.revision, madeat: momentOf(one.made_at) })
            }}<span class="quiet">{{ one.description }}</span>
          </MenuLine>
          <v-btn size="small" data-test="bring-back" @click="bringBack(one.record.request)">{{
            t('over-dialog-restore')
          }}</v-btn>
        </div>
      </template>
      <h3>{{ t('over-dialog-saved-findings') }}</h3>
      <p v-if="!others.length" class="quiet">{{ t('over-dialog-none-saved-yet') }}</p>
      <MenuLine
        v-for="entry in others"
        :key="entry.id"
        data-test="lay-over"
        @click="lay(`“${entry.name}”`, entry.finding)"
      >
        {{ entry.name }} <span class="quiet">{{ entry.description }}</span>
      </MenuLine>
    </div>
    <v-btn class="mt-3" @click="open = false">{{ t('over-dialog-close') }}</v-btn>
  </PaperDialog>
</template>

<style scoped>
h3 {
  font-size: 1.02rem;
  margin: 10px 0 2px;
}

.list {
  max-height: 56vh;
  overflow-y: auto;
}

.one {
  display: flex;
  align-items: center;
  gap: 10px;
}

.menu-line {
  display: grid;
  flex: 1;
  margin: 0;
  width: 100%;
}
</style>
