<script setup lang="ts">
import { t } from '../text'
import { useDebounceFn, useEventListener } from '@vueuse/core'
import { ref, useTemplateRef } from 'vue'
import { useRoute } from 'vue-router'
import { api, data, type Answer } from '../api/client'
import { isTyping } from '../shared/typing'
import AskAnswer from './AskAnswer.vue'

defineProps<{
  /** Whether it is what its page is for, not a line in the head. */
  large?: boolean
}>()
const route = useRoute()
const text = ref('')
const answer = ref<Answer | null>(null)
const open = ref(false)
const field = useTemplateRef<HTMLInputElement>('field')
const box = useTemplateRef<HTMLElement>('box')
/** Why there is no answer: the server is away, or refuses. */
const silent = ref('')
let latest = 0
/** Letters typed closer together than this are asked about once, ms. */
const WAIT_MS = 40

const ask = useDebounceFn(async () => {
  const mine = ++latest
  silent.value = ''
  if (!text.value.trim()) {
    answer.value = null
    return
  }
  try {
    const reply = await data(api.POST('/api/ask', { body: { text: text.value } }))
    if (mine === latest) answer.value = reply
  } catch (thrown) {
    if (mine !== latest) return
    // The answer to another line is none to this one.
    answer.value = null
    silent.value = thrown instanceof Error ? thrown.message : String(thrown)
  }
}, WAIT_MS)
let asking: Promise<unknown> = Promise.resolve()

const shown = useTemplateRef<{ use: () => unknown }>('shown')

/** Three things to ask, to be pressed. */
const examples = [
  t('ask-line-24-pairs-ear-wires-20'),
  t('ask-line-how-many-turns-for-200'),
  t('ask-line-what-can-i-make-with'),
]
/** Opens what was asked for; what was typed last is asked first. */
async function enter() {
  await asking
  shown.value?.use()
}

function typed() {
  open.value = true
  asking = ask()
}

async function tryOut(example: string) {
  text.value = example
  open.value = true
  field.value?.focus()
  await ask()
}

function leave() {
  open.value = false
  field.value?.blur()
  text.value = ''
  answer.value = null
}

/** Puts a word that was meant in the place of the one that was typed, and asks again. */
async function instead(word: { from: number; to: number }, meant: string) {
  const letters = [...text.value]
  text.value = [...letters.slice(0, word.from), meant, ...letters.slice(word.to)].join('')
  field.value?.focus()
  await ask()
}

useEventListener('keydown', (event) => {
  if (event.key === '/' && !isTyping(event)) {
    event.preventDefault()
    field.value?.focus()
    field.value?.select()
  }
})
useEventListener('pointerdown', (event) => {
  if (event.target instanceof Node && !box.value?.contains(event.target)) open.value = false
})
</script>

<template>
  <div ref="box" class="ask-line" :class="{ large }">
    <label class="line">
      <span class="slash" aria-hidden="true">/</span>
      <input
        id="ask"
        ref="field"
        v-model="text"
        type="text"
        :aria-label="t('ask-line-ask-rings-findings-sizes-lengths')"
        :placeholder="
          large
            ? t('ask-line-type-what-you-want-make')
            : route.path.startsWith('/findings')
              ? t('ask-line-24-pairs-hooks-20-ga')
              : route.path === '/chains'
                ? t('ask-line-42-cm-byzantine-1-2')
                : t('ask-line-120-rings-5-mm-inside')
        "
        autocomplete="off"
        spellcheck="false"
        maxlength="400"
        data-test="ask"
        @focus="open = true"
        @input="typed"
        @keydown.enter.prevent="enter"
        @keydown.esc="((open = false), field?.blur())"
      />
    </label>
    <p v-if="silent" class="stop silent" role="alert" data-test="ask-silent">{{ silent }}</p>
    <section v-if="(open || large) && answer" class="popover reply" aria-live="polite" data-test="answer">
      <AskAnswer ref="shown" :answer="answer" :text="text" @leave="leave" @instead="instead" />
    </section>
    <p v-if="large" class="try">
      {{ t('ask-line-try')
      }}<button v-for="one in examples" :key="one" type="button" class="plain" @click="tryOut(one)">
        {{ one }}
      </button>
    </p>
  </div>
</template>

<style scoped>
.ask-line {
  position: relative;
}

.line {
  display: flex;
  align-items: center;
  gap: 10px;
  border-bottom: 1.5px solid rgb(var(--v-theme-on-background));
  padding: 3px 2px;
}

.line:focus-within {
  border-color: rgb(var(--v-theme-primary));
  box-shadow: 0 1.5px 0 rgb(var(--v-theme-primary));
}

.slash {
  border: 1px solid rgb(var(--v-theme-quiet));
  border-radius: 3px;
  padding: 0 7px;
  font-size: 0.95rem;
}

input {
  flex: 1;
  min-width: 0;
  min-height: 32px;
  font: inherit;
  color: inherit;
  background: none;
  border: 0;
  outline: none;
}

input::placeholder {
  color: rgb(var(--v-theme-quiet));
  opacity: 1;
}

.reply {
  position: absolute;
  z-index: 20;
  top: calc(100% + 8px);
  right: 0;
  width: min(520px, calc(100vw - 2 * var(--gutter)));
  max-height: 70vh;
  overflow: auto;
}

.large .line {
  padding: 6px 2px;
}

.large input {
  min-height: 48px;
  font: clamp(1.4rem, 2.8vw, 2.2rem) var(--serif);
}

.large .reply {
  position: static;
  width: auto;
  max-height: none;
  margin-top: 14px;
}

.try {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 20px;
  margin: 10px 0 0;
  color: rgb(var(--v-theme-quiet));
}

.try button {
  min-height: 28px;
  color: rgb(var(--v-theme-primary));
  text-align: left;
}

.silent {
  margin: 6px 0 0;
}

/* On a phone the answer stands under the line it answers, as wide as the page. */
@media (max-width: 560px) {
  .ask-line:not(.large) .reply {
    position: fixed;
    top: 104px;
    left: var(--gutter);
    right: var(--gutter);
    width: auto;
    max-height: calc(100dvh - 190px);
  }
}
</style>
