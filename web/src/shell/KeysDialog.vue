<script setup lang="ts">
import { t } from '../text'
import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import { isTyping } from '../shared/typing'
import PaperDialog from '../shared/PaperDialog.vue'

const open = ref(false)

const keys = [
  ['/', t('keys-dialog-go-ask-line')],
  [t('keys-dialog-tab'), t('keys-dialog-move-from-word-word-in')],
  ['↑ ↓', t('keys-dialog-on-word-change-by-0')],
  [t('keys-dialog-enter'), t('keys-dialog-on-word-open-its-choices')],
  [t('keys-dialog-letters-digits'), t('keys-dialog-on-word-type-in-its')],
  ['[ ]', t('keys-dialog-rings-coil-on-rod-sprung')],
  [t('keys-dialog-enter'), t('keys-dialog-on-dimension-drawing-type-its')],
  [t('keys-dialog-ctrl-z-ctrl-y'), t('keys-dialog-undo-redo-change-plan-or')],
  [t('keys-dialog-ctrl-s'), t('keys-dialog-save-plan-or-finding')],
  [t('keys-dialog-space-enter'), t('keys-dialog-bench-one-more-piece-done')],
  ['t', t('keys-dialog-bench-winding-one-more-turn')],
  [t('keys-dialog-esc'), t('keys-dialog-close-what-open')],
  ['?', t('keys-dialog-this-list')],
]

useEventListener('keydown', (event) => {
  if (event.key === '?' && !isTyping(event)) {
    event.preventDefault()
    open.value = true
  }
})
</script>

<template>
  <PaperDialog v-model="open" :title="t('keys-dialog-keys')" :width="560">
    <v-table class="ledger">
      <tbody>
        <tr v-for="[key, does] in keys" :key="does">
          <td>
            <kbd>{{ key }}</kbd>
          </td>
          <td>{{ does }}</td>
        </tr>
      </tbody>
    </v-table>
    <v-btn class="mt-3" @click="open = false">{{ t('keys-dialog-close') }}</v-btn>
  </PaperDialog>
</template>

<style scoped>
kbd {
  font-family: inherit;
  font-weight: 700;
  white-space: nowrap;
}
</style>
