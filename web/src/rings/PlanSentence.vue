<script setup lang="ts">
import { ref } from 'vue'
import type { Piece, RingRequest, Slot } from '../api/client'
import WordEditor from './WordEditor.vue'
import { usePlan } from './plan'

const plan = usePlan()
const editing = ref<{ piece: Piece; at: HTMLElement; typed: string; from: RingRequest } | null>(null)
const open = ref(false)

function edit(piece: Piece, event: Event, typed = '') {
  const at = event.currentTarget as HTMLElement
  if (!plan.draft) return
  editing.value = { piece, at, typed, from: plan.draft }
  open.value = true
}

/** Whatever was changed while the editor was open is one step of undo. */
function closed() {
  const { from, at } = editing.value!
  if (JSON.stringify(from) !== JSON.stringify(plan.draft)) plan.remember(from)
  at.focus()
}

async function onKey(piece: Piece, event: KeyboardEvent) {
  const slot = piece.slot as Slot
  const step = event.shiftKey ? 10 : 1
  if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
    event.preventDefault()
    // Lists read downward; sizes grow upward.
    const listed = ['temper', 'metal', 'section', 'winding', 'cutting', 'blade'].includes(slot)
    const up = event.key === 'ArrowUp' ? 1 : -1
    await plan.nudge(slot, (listed ? -up : up) * (listed ? 1 : step))
  } else if (
    event.key.length === 1 &&
    /[\p{L}\p{N}.]/u.test(event.key) &&
    !event.ctrlKey &&
    !event.metaKey &&
    !event.altKey
  ) {
    event.preventDefault()
    edit(piece, event, event.key)
  }
}

/** Whether a fault is at this word, or at a part of what it stands for. */
function faulty(piece: Piece): boolean {
  const group = piece.field?.split('.')[0]
  return plan.faults.some(
    (fault) =>
      fault.field === piece.field ||
      (fault.field.startsWith(`${group}.`) &&
        ['mandrel', 'cutting'].includes(group ?? '') &&
        !plan.sheet?.sentence.some((other) => other.field === fault.field) &&
        piece.slot !== 'blade'),
  )
}
</script>

<template>
  <div>
    <p class="sentence serif" data-test="sentence">
      <template v-for="(piece, i) in plan.sheet?.sentence ?? []" :key="`${piece.slot ?? ''}${i}`"
        ><button
          v-if="piece.slot"
          type="button"
          class="plain word"
          :class="{ faulty: faulty(piece), open: open && editing?.piece.slot === piece.slot }"
          :data-slot="piece.slot"
          aria-haspopup="dialog"
          @click="edit(piece, $event)"
          @keydown="onKey(piece, $event)"
        >
          {{ piece.text }}</button
        ><template v-else>{{ piece.text }}</template></template
      >
    </p>
    <ul v-if="plan.faults.length" class="stop faults" role="alert" data-test="faults">
      <li v-for="fault in plan.faults" :key="fault.field + fault.sentence">{{ fault.sentence }}</li>
    </ul>
    <WordEditor
      v-if="editing"
      :key="`${editing.piece.slot}-${editing.typed}`"
      v-model="open"
      :slot-name="editing.piece.slot as Slot"
      :now="editing.piece.text"
      :at="editing.at"
      :typed="editing.typed"
      :from="editing.from"
      @closed="closed"
    />
  </div>
</template>

<style scoped>
.sentence {
  font-size: clamp(1.35rem, 2.25vw, 1.8rem);
  line-height: 1.42;
  margin: 0;
  text-wrap: pretty;
  font-feature-settings: 'onum', 'pnum';
}

.word {
  color: rgb(var(--v-theme-primary));
  border-bottom: 2px solid currentcolor;
  line-height: 1.12;
  white-space: normal;
}

.word:hover,
.word.open {
  background: rgb(var(--v-theme-wash));
}

.word.faulty {
  color: rgb(var(--v-theme-error));
  border-bottom-style: dashed;
}

.faults {
  list-style: none;
  padding: 0;
  margin: 8px 0 0;
  max-width: 62ch;
}
</style>
