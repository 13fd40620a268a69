<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import { isTyping } from '../shared/typing'
import PaperDialog from '../shared/PaperDialog.vue'

const open = ref(false)

const keys = [
  ['/', 'Go to the ask line'],
  ['Tab', 'Move from word to word in the sentence'],
  ['↑ ↓', 'On a word: change it by 0.1 mm or 1/64 in, one gauge, one piece, or the next choice'],
  ['Enter', 'On a word: open its choices'],
  ['letters, digits', 'On a word: type in its place'],
  ['[ ]', 'Rings: coil on the rod, sprung open, plot by temper. Findings: one step back or on'],
  ['Enter', 'On a dimension of a drawing: type its length'],
  ['Ctrl Z, Ctrl Y', 'Undo, redo a change to the plan or finding'],
  ['Ctrl S', 'Save the plan or finding'],
  ['Space, Enter', 'Bench: one more piece done; Backspace takes one back, x scraps one'],
  ['t', 'Bench, winding: one more turn; with Shift one less'],
  ['Esc', 'Close what is open'],
  ['?', 'This list'],
]

useEventListener('keydown', (event) => {
  if (event.key === '?' && !isTyping(event)) {
    event.preventDefault()
    open.value = true
  }
})
</script>

<template>
  <PaperDialog v-model="open" title="Keys" :width="560">
    <table class="ledger">
      <tbody>
        <tr v-for="[key, does] in keys" :key="does">
          <td>
            <kbd>{{ key }}</kbd>
          </td>
          <td>{{ does }}</td>
        </tr>
      </tbody>
    </table>
    <v-btn class="mt-3" @click="open = false">Close</v-btn>
  </PaperDialog>
</template>

<style scoped>
kbd {
  font-family: inherit;
  font-weight: 700;
  white-space: nowrap;
}
</style>
