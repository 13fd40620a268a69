<script setup lang="ts" generic="R extends object">
import { t } from '../text'
import { useDebounceFn } from '@vueuse/core'
import { nextTick, onMounted, ref, shallowRef, useTemplateRef, watch } from 'vue'
import PaperField from '../shared/PaperField.vue'
import { api, data, faultsOf, type Fault } from '../api/client'
import type { Choice, Desk, MoreOfWord, Word } from './types'
import { focusWhenSeen } from '../shared/focus'
import WordChoices from './WordChoices.vue'

const props = defineProps<{
  desk: Desk<R>
  slotName: string
  word: Word
  now: string
  /** Where it opens, px from the left and the top of the window. */
  at: [number, number]
  typed: string
  /** The request as it stood when the editor was opened: one step of undo. */
  from: R
}>()
const open = defineModel<boolean>({ required: true })
/** Left with Escape, the word is to be as it was. */
const emit = defineEmits<{ closed: [escaped: boolean] }>()
defineSlots<{
  default(more: MoreOfWord<R>): unknown
}>()

const text = ref(props.typed)
const reading = ref('')
const readMm = ref<number | null>(null)
const faults = ref<Fault[]>([])
const choices = shallowRef<Choice<R>[]>([])
const body = useTemplateRef<HTMLElement>('body')
const list = useTemplateRef<{ showChosen: () => void }>('list')

/** Whether the focus is in the editor already. */
const holdsFocus = () => !!body.value?.contains(document.activeElement)

/** A word that is typed has the focus at once, behind what was typed already; its choices come after. */
function focusField() {
  if (!props.word.hint || holdsFocus()) return
  focusWhenSeen(
    () => body.value?.querySelector('input'),
    () => open.value && !!body.value && !holdsFocus(),
    (field) => {
      const { length } = (field as HTMLInputElement).value
      ;(field as HTMLInputElement).setSelectionRange(length, length)
    },
  )
}

async function load() {
  choices.value = await props.desk.choices(props.from, props.slotName)
  await nextTick()
  list.value?.showChosen()
  if (props.word.hint) return
  focusWhenSeen(
    () => body.value?.querySelector<HTMLElement>('.chosen') ?? body.value?.querySelector('button'),
    () => open.value && !holdsFocus(),
  )
}

let done = props.typed ? '' : text.value
/** What was typed last, until it is answered. */
let changing = Promise.resolve()
const change = () => (changing = readTyped())
async function readTyped() {
  reading.value = ''
  const typedNow = (done = text.value)
  if (!typedNow.trim()) {
    faults.value = []
    return
  }
  if (props.word.length) {
    try {
      const read = await data(
        api.POST('/api/lengths/read', {
          body: { text: typedNow, of_wire: props.word.length === 'of-wire' },
        }),
      )
      reading.value = [read.text, read.note].filter(Boolean).join('. ')
      readMm.value = read.mm
    } catch {
      // The change below says what is wrong, at this word's field.
    }
    if (settled) return
  }
  faults.value = await props.desk.type(props.slotName, typedNow, props.from)
}
const changeSoon = useDebounceFn(async () => {
  if (open.value && text.value !== done) await change()
}, 140)

/** What was typed a moment ago counts as well. */
async function finish() {
  await (text.value === done ? changing : change())
  // Left in the meantime, it stays so.
  if (open.value) open.value = faults.value.length > 0
}

/** One step less or more, for hands without arrow keys: part of the one step of undo the editor is. */
async function nudge(steps: number) {
  text.value = done = ''
  faults.value = []
  await props.desk.nudge(props.slotName, steps, false)
}

let escaped = false
/** Left with Escape or with a choice: what was typed and not answered yet no longer counts. */
let settled = false
function leave() {
  escaped = settled = true
  open.value = false
}

async function choose(request: R) {
  settled = true
  try {
    await props.desk.set(request, false)
    open.value = false
  } finally {
    settled = !open.value
  }
}

/** From the field to the list and back; within the list it walks by itself. */
function walk(event: KeyboardEvent) {
  if (event.defaultPrevented || (event.key !== 'ArrowDown' && event.key !== 'ArrowUp')) return
  const stops = [...(body.value?.querySelectorAll<HTMLElement>('.choice, input') ?? [])]
  const at = stops.indexOf(document.activeElement as HTMLElement)
  const next = stops[at + (event.key === 'ArrowDown' ? 1 : -1)]
  if (!next) return
  event.preventDefault()
  next.focus()
}

watch(open, async (now) => {
  if (now) return
  if (!settled) await (text.value === done ? changing : change())
  emit('closed', escaped)
})
// The menu builds its body a moment after it opens.
watch(body, focusField, { flush: 'post' })
// Keys that came before the field had the focus.
watch(
  () => props.typed,
  (now, before) => {
    text.value = now.startsWith(before) ? text.value + now.slice(before.length) : now
    void changeSoon()
  },
)
onMounted(async () => {
  try {
    focusField()
    if (props.typed) void changeSoon()
    await load()
  } catch (thrown) {
    faults.value = faultsOf(thrown)
  }
})
</script>

<template>
  <v-menu
    v-model="open"
    :target="at"
    location="bottom start"
    :close-on-content-click="false"
    :offset="6"
    max-width="460"
  >
    <div
      ref="body"
      class="popover editor"
      role="dialog"
      :aria-label="word.title"
      data-test="editor"
      @keydown="walk"
      @keydown.esc.stop="leave"
    >
      <p class="title">{{ word.title }}</p>
      <p v-if="word.says" class="quiet says">{{ word.says }}</p>
      <form v-if="word.hint" class="by-hand" @submit.prevent="finish">
        <button
          type="button"
          class="plain nudge"
          :aria-label="t('word-editor-less', { title: word.title })"
          data-test="less"
          @click="nudge(-1)"
        >
          −
        </button>
        <PaperField
          v-model="text"
          :placeholder="now"
          :hint="reading || t('word-editor-type', { hint: word.hint })"
          persistent-placeholder
          :aria-label="word.title"
          :wrong="faults.map((fault) => fault.message)"
          spellcheck="false"
          data-test="typed"
          @update:model-value="changeSoon"
        />
        <button
          type="button"
          class="plain nudge"
          :aria-label="t('word-editor-more', { title: word.title })"
          data-test="more-of-it"
          @click="nudge(1)"
        >
          +
        </button>
      </form>
      <slot :slot-name="slotName" :from="from" :read-mm="readMm" :choose="choose" />
      <WordChoices
        ref="list"
        :choices="choices"
        :typed="word.hint ? text : null"
        @choose="choose($event.request)"
      />
    </div>
  </v-menu>
</template>

<style scoped>
.editor {
  min-width: min(400px, 86vw);
  max-height: min(62vh, 560px);
  overflow: auto;
}

.title {
  font-weight: 700;
  margin: 0 0 4px;
}

.says {
  margin: 0 0 4px;
}

.by-hand {
  display: grid;
  grid-template-columns: 44px minmax(0, 1fr) 44px;
  align-items: start;
  gap: 4px;
}

/* Room for two lines of what was understood, so that the choices stay where they are. */
.by-hand :deep(.v-input__details) {
  min-height: 3.6em;
}

.nudge {
  height: 44px;
  font-size: 1.5rem;
  text-align: center;
  color: rgb(var(--v-theme-primary));
}

.nudge:hover {
  background: rgb(var(--v-theme-background));
}
</style>
