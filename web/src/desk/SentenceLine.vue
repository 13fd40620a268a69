<script setup lang="ts" generic="R extends object">
import { computed, ref } from 'vue'
import type { Piece } from '../api/client'
import WordEditor from './WordEditor.vue'
import type { Desk, Word } from './desk'

const props = defineProps<{
  desk: Desk<R>
  /** What each word is called and how it is typed. */
  words: (slot: string) => Word
  /** Whether a word carries a fault that is not at its own field. */
  alsoFaulty?: (piece: Piece) => boolean
}>()
defineSlots<{
  /** What else an editor offers for a word. */
  default(more: {
    slotName: string
    from: R
    readMm: number | null
    choose: (request: R) => Promise<void>
  }): unknown
}>()

const editing = ref<{ slot: string; now: string; at: HTMLElement; typed: string; from: R } | null>(null)
const open = ref(false)
const pieces = computed(() => props.desk.sheet?.sentence ?? [])

/** The sentence in words and what stands between them; a comma never begins a line. */
const parts = computed(() => {
  const made: { piece?: Piece; text: string; after: string }[] = []
  for (const piece of pieces.value) {
    const before = made.at(-1)
    const [, mark = '', rest = ''] = /^([,.:;]*)(.*)$/s.exec(piece.slot ? '' : piece.text) ?? []
    if (piece.slot) made.push({ piece, text: piece.text, after: '' })
    else if (before?.piece) {
      before.after = mark
      if (rest) made.push({ text: rest, after: '' })
    } else made.push({ text: piece.text, after: '' })
  }
  return made
})

function edit(slot: string, now: string, at: HTMLElement, typed = '') {
  if (!props.desk.draft) return
  editing.value = { slot, now, at, typed, from: props.desk.draft } as typeof editing.value
  open.value = true
}

/** Whatever was changed while the editor was open is one step of undo. */
function closed() {
  const { from, at } = editing.value!
  if (JSON.stringify(from) !== JSON.stringify(props.desk.draft)) props.desk.remember(from as R)
  at.focus()
}

async function onKey(piece: Piece, event: KeyboardEvent) {
  const slot = piece.slot!
  const step = event.shiftKey ? 10 : 1
  if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
    event.preventDefault()
    // Lists read downward; sizes grow upward.
    const listed = !props.words(slot).hint
    const up = event.key === 'ArrowUp' ? 1 : -1
    await props.desk.nudge(slot, (listed ? -up : up) * (listed ? 1 : step))
  } else if (
    event.key.length === 1 &&
    /[\p{L}\p{N}.]/u.test(event.key) &&
    !event.ctrlKey &&
    !event.metaKey &&
    !event.altKey
  ) {
    event.preventDefault()
    edit(slot, piece.text, event.currentTarget as HTMLElement, event.key)
  }
}

const faulty = (piece: Piece) =>
  props.desk.faults.some((fault) => fault.field === piece.field) || !!props.alsoFaulty?.(piece)

/** Opens a word's editor at another place on the screen, such as its dimension. */
function editAt(slot: string, at: HTMLElement) {
  edit(slot, pieces.value.find((piece) => piece.slot === slot)?.text ?? '', at)
}
defineExpose({ editAt })
</script>

<template>
  <div>
    <p class="sentence serif" data-test="sentence">
      <template v-for="({ piece, text, after }, i) in parts" :key="`${piece?.slot ?? ''}${i}`"
        ><span v-if="piece?.slot" class="whole"
          ><button
            type="button"
            class="plain word"
            :class="{ faulty: faulty(piece), open: open && editing?.slot === piece.slot }"
            :data-slot="piece.slot"
            aria-haspopup="dialog"
            @click="edit(piece.slot, piece.text, $event.currentTarget as HTMLElement)"
            @keydown="onKey(piece, $event)"
          >
            {{ text }}</button
          >{{ after }}</span
        ><template v-else>{{ text }}</template></template
      >
    </p>
    <ul v-if="desk.faults.length" class="stop faults" role="alert" data-test="faults">
      <li v-for="fault in desk.faults" :key="fault.field + fault.sentence">{{ fault.sentence }}</li>
    </ul>
    <WordEditor
      v-if="editing"
      :key="`${editing.slot}-${editing.typed}`"
      v-model="open"
      :desk="desk"
      :slot-name="editing.slot"
      :word="words(editing.slot)"
      :now="editing.now"
      :at="editing.at"
      :typed="editing.typed"
      :from="editing.from as R"
      @closed="closed"
    >
      <template #default="more"><slot v-bind="more" /></template>
    </WordEditor>
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

.whole {
  white-space: nowrap;
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
