<script setup lang="ts">
import { ref, shallowRef } from 'vue'
import { api, data } from '../api/client'
import PiecePicker from '../rack/PiecePicker.vue'
import type { ChosenPiece } from '../shared/asked'
import { useNotice } from '../shared/notice'
import { countOf } from '../shared/typing'
import { t } from '../text'

/** A bag that was filled before this program knew of it is entered as a sentence. */
const emit = defineEmits<{
  added: []
  /** A lost piece is to be matched. */
  match: []
}>()
const notice = useNotice()
const piece = shallowRef<ChosenPiece | null>(null)
const count = ref('')
const place = ref('')
const fault = ref('')
async function add() {
  const pieces_n = countOf(count.value)
  fault.value = !piece.value?.entry
    ? t('shelf-view-choose-saved-piece-in')
    : pieces_n
      ? ''
      : t('shelf-view-not-number-pieces-enter-1', { count: count.value })
  if (fault.value) return
  try {
    const body = { entry: piece.value!.entry!, pieces_n: pieces_n!, place: place.value.trim() }
    const { entry, undo } = await data(api.POST('/api/bags', { body }))
    notice.did(t('shelf-view-added-finished-stock', { name: entry.name }), undo, () => emit('added'))
    count.value = place.value = ''
    emit('added')
  } catch (thrown) {
    fault.value = thrown instanceof Error ? thrown.message : String(thrown)
  }
}
</script>

<template>
  <form class="typed-sentence" data-test="lay-bag" @submit.prevent="add">
    {{ t('shelf-view-there')
    }}<input
      v-model="count"
      class="word short"
      inputmode="numeric"
      :placeholder="t('shelf-view-how-many')"
      :aria-label="t('shelf-view-how-many-2')"
      data-test="bag-count"
    />{{ t('shelf-view-of') }}<PiecePicker v-model="piece" :label="t('shelf-view-saved-piece')" kept-only />{{
      t('shelf-view-in')
    }}<input
      v-model="place"
      class="word short"
      :placeholder="t('shelf-view-which-drawer')"
      :aria-label="t('shelf-view-where')"
      maxlength="80"
      data-test="bag-place"
    />.
    <v-btn type="submit" variant="flat" color="primary" :disabled="!piece" data-test="add-bag">{{
      t('shelf-view-add-finished-stock')
    }}</v-btn>
    <v-btn variant="text" class="match" data-test="match-lost" @click="emit('match')">{{
      t('shelf-view-match-lost-piece')
    }}</v-btn>
    <span v-if="fault" class="stop under" role="alert">{{ fault }}</span>
  </form>
</template>
