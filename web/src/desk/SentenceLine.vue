<script setup lang="ts" generic="R extends object">
import { t } from '../text'
import { computed, ref, useTemplateRef } from 'vue'
import type { Phrase } from '../api/client'
import { useNotice } from '../shared/notice'
import WordEditor from './WordEditor.vue'
import type { Desk, MoreOfWord, Word } from './types'

const props = defineProps<{
  desk: Desk<R>
  /** What each word is called and how it is typed. */
  words: (slot: string) => Word
  /** Whether a word carries a fault that is not at its own field. */
  alsoFaulty?: (phrase: Phrase) => boolean
}>()
defineSlots<{
  /** What else an editor offers for a word. */
  default(more: MoreOfWord<R>): unknown
}>()

const notice = useNotice()
const editing = ref<{
  slot: string
  now: string
  at: HTMLElement
  /** Where it stood when its editor was opened, px: the editor stays there however the sentence runs. */
  place: [number, number]
  typed: string
  from: R
  /** Whether that could be made. */
  sound: boolean
} | null>(null)
const open = ref(false)
const line = useTemplateRef<HTMLElement>('line')
/** How high the sentence was when its word's editor was opened: it gets no lower meanwhile. */
const held = ref(0)
const pieces = computed(() => props.desk.sheet?.sentence ?? [])

/** The sentence in words and what stands between them; a comma never begins a line. */
const parts = computed(() => {
  const made: { phrase?: Phrase; text: string; after: string }[] = []
  for (const phrase of pieces.value) {
    const before = made.at(-1)
    const [, mark = '', rest = ''] = /^([,.:;]*)(.*)$/s.exec(phrase.slot ? '' : phrase.text) ?? []
    if (phrase.slot) made.push({ phrase, text: phrase.text, after: '' })
    else if (before?.phrase) {
      before.after = mark
      if (rest) made.push({ text: rest, after: '' })
    } else made.push({ text: phrase.text, after: '' })
  }
  return made
})

function edit(slot: string, now: string, at: HTMLElement, typed = '') {
  // A second press while its editor is opening belongs to that editor.
  if (!props.desk.draft || (open.value && editing.value?.slot === slot)) return
  const { left, bottom } = at.getBoundingClientRect()
  held.value = line.value?.offsetHeight ?? 0
  editing.value = {
    slot,
    now,
    at,
    place: [left, bottom],
    typed,
    from: props.desk.draft,
    sound: props.desk.sound,
  } as typeof editing.value
  open.value = true
}

/**
 * Whatever was changed while the editor was open is one step of undo. Left with Escape, or with what cannot be made,
 * the word is as it was.
 */
async function closed(escaped: boolean) {
  const { from, at, sound } = editing.value!
  at.focus()
  if (escaped) props.desk.forget()
  if (JSON.stringify(from) === JSON.stringify(props.desk.draft)) return
  const why = sound && !props.desk.sound ? props.desk.faults[0]?.message : undefined
  if (!escaped && why === undefined) return props.desk.remember(from as R)
  try {
    await props.desk.set(from as R, false)
    if (!escaped) notice.say(t('sentence-line-not-changed', { why }))
  } catch (thrown) {
    notice.fail(thrown)
  }
}

async function onKey(phrase: Phrase, event: KeyboardEvent) {
  const slot = phrase.slot!
  if (open.value && editing.value?.slot === slot) return early(event)
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
    edit(slot, phrase.text, event.currentTarget as HTMLElement, event.key)
  }
}

/** Keys that come before the editor has the focus are typed into it all the same. */
function early(event: KeyboardEvent) {
  if (!editing.value || event.ctrlKey || event.metaKey || event.altKey) return
  if (event.key === 'Escape' || event.key === 'Tab') return
  event.preventDefault()
  if (event.key.length === 1) editing.value.typed += event.key
  else if (event.key === 'Backspace') editing.value.typed = editing.value.typed.slice(0, -1)
}

const faulty = (phrase: Phrase) =>
  props.desk.faults.some((fault) => fault.field === phrase.field) || !!props.alsoFaulty?.(phrase)

/** Opens a word's editor at another place on the screen, such as its dimension. */
function editAt(slot: string, at: HTMLElement) {
  edit(slot, pieces.value.find((phrase) => phrase.slot === slot)?.text ?? '', at)
}
defineExpose({ editAt })
</script>

<template>
  <div>
    <p
      ref="line"
      class="sentence serif"
      :style="{ minHeight: open ? `${held}px` : undefined }"
      data-test="sentence"
    >
      <template v-for="({ phrase, text, after }, i) in parts" :key="`${phrase?.slot ?? ''}${i}`"
        ><span v-if="phrase?.slot" class="whole"
          ><button
            type="button"
            class="plain word"
            :class="{ faulty: faulty(phrase), open: open && editing?.slot === phrase.slot }"
            :data-slot="phrase.slot"
            :aria-label="`${words(phrase.slot).title}: ${text}`"
            aria-haspopup="dialog"
            @click="edit(phrase.slot, phrase.text, $event.currentTarget as HTMLElement)"
            @keydown="onKey(phrase, $event)"
          >
            {{ text }}</button
          >{{ after }}</span
        ><template v-else>{{ text }}</template></template
      >
    </p>
    <!-- While a word is edited, what is wrong is said in its editor: nothing moves under the hand. -->
    <ul v-if="desk.faults.length && !open" class="stop faults" role="alert" data-test="faults">
      <li v-for="fault in desk.faults" :key="fault.field + fault.message">{{ fault.message }}</li>
    </ul>
    <WordEditor
      v-if="editing"
      :key="editing.slot"
      v-model="open"
      :desk="desk"
      :slot-name="editing.slot"
      :word="words(editing.slot)"
      :now="editing.now"
      :at="editing.place"
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
  padding-block: 1px;
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
