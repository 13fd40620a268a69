<script setup lang="ts">
import { t } from '../text'
import { useDebounceFn, useEventListener } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, data, type Answer, type Piece } from '../api/client'
import { useToDesk } from '../chains/toDesk'
import { useAsked } from '../shared/asked'
import { useNotice } from '../shared/notice'
import { isTyping } from '../shared/typing'

defineProps<{
  /** Whether it is what its page is for, not a line in the head. */
  large?: boolean
}>()
const desk = useToDesk()
const { asked } = useAsked()
const notice = useNotice()
const router = useRouter()
const route = useRoute()
const text = ref('')
const answer = ref<Answer | null>(null)
const open = ref(false)
const field = useTemplateRef<HTMLInputElement>('field')
const box = useTemplateRef<HTMLElement>('box')
let latest = 0

const ask = useDebounceFn(async () => {
  const mine = ++latest
  if (!text.value.trim()) {
    answer.value = null
    return
  }
  try {
    const reply = await data(api.POST('/api/ask', { body: { text: text.value } }))
    if (mine === latest) answer.value = reply
  } catch (thrown) {
    notice.fail(thrown)
  }
}, 120)

/** The typed line cut where words were not understood. */
const marked = computed(() => {
  const letters = [...text.value]
  const parts: { text: string; unclear: boolean }[] = []
  let at = 0
  for (const word of [...(answer.value?.unclear ?? [])].sort((a, b) => a.from - b.from)) {
    parts.push({ text: letters.slice(at, word.from).join(''), unclear: false })
    parts.push({ text: letters.slice(word.from, word.to).join(''), unclear: true })
    at = word.to
  }
  parts.push({ text: letters.slice(at).join(''), unclear: false })
  return parts
})

const usable = computed(
  () =>
    !!answer.value &&
    !answer.value.faults.length &&
    !!(answer.value.request || answer.value.pattern || answer.value.chain),
)
const opens = {
  rings: t('ask-line-open-plan'),
  room: t('ask-line-open-drawing'),
  chain: t('ask-line-open-chain'),
  'which-wire': t('ask-line-choose-wire'),
  cost: t('ask-line-see-cost'),
  fix: t('ask-line-fix-problem'),
  match: t('ask-line-match-lost-piece'),
}
/** Views that need no piece. */
const helps: Partial<Record<string, string>> = { fix: '/measure/fix', match: '/orders/stock' }

/** Three things to ask, to be pressed. */
const examples = [
  t('ask-line-24-pairs-ear-wires-20'),
  t('ask-line-how-many-turns-for-200'),
  t('ask-line-what-can-i-make-with'),
]
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

/** Leaves the line, with the piece on its desk. */
async function toDesk(piece: Piece) {
  leave()
  await desk(piece)
}

/** Goes where the answer is, and leaves the line. */
async function go(path: string) {
  leave()
  await router.push(path)
}

/** Puts a word that was meant in the place of the one that was typed, and asks again. */
async function instead(word: { from: number; to: number }, meant: string) {
  const letters = [...text.value]
  text.value = [...letters.slice(0, word.from), meant, ...letters.slice(word.to)].join('')
  field.value?.focus()
  await ask()
}

async function use() {
  const help = helps[answer.value?.opens ?? '']
  if (help) return go(help)
  if (answer.value?.found?.length) return go(answer.value.found[0]!.path)
  const { request, pattern: finding, chain: asked_chain, opens: view } = answer.value ?? {}
  // Several rings of a finding are a coil: its plan is what opens.
  const piece: Piece | null = request
    ? { rings: request }
    : asked_chain
      ? { chain: asked_chain }
      : finding
        ? { finding }
        : null
  if (!piece || !usable.value) return
  if (view !== 'which-wire' && view !== 'cost') return toDesk(piece)
  const name = answer
    .value!.sentence.map((phrase) => phrase.text)
    .join('')
    .split(/[,:]/)[0]!
  const pieces_n = finding?.pieces_n ?? request?.rings_n ?? 1
  asked.value = { key: 'asked', name, purpose: piece, pieces_n }
  leave()
  await router.push(view === 'cost' ? '/wire/cost' : '/wire/choose')
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
        @input="((open = true), ask())"
        @keydown.enter.prevent="use"
        @keydown.esc="((open = false), field?.blur())"
      />
    </label>
    <section v-if="(open || large) && answer" class="popover reply" aria-live="polite" data-test="answer">
      <p v-if="answer.unclear.length" class="typed">
        <template v-for="(part, i) in marked" :key="i"
          ><mark v-if="part.unclear">{{ part.text }}</mark
          ><template v-else>{{ part.text }}</template></template
        >
      </p>
      <ul v-if="answer.unclear.length" class="stop">
        <li v-for="word in answer.unclear" :key="word.from">
          {{ word.why }}
          <v-btn
            v-for="meant in word.instead ?? []"
            :key="meant"
            size="small"
            variant="outlined"
            color="primary"
            class="meant"
            data-test="ask-instead"
            @click="instead(word, meant)"
            >{{ meant }}</v-btn
          >
        </li>
      </ul>
      <p v-for="fault in answer.faults" :key="fault.sentence" class="stop">{{ fault.sentence }}</p>
      <p v-if="answer.headline" class="headline">{{ answer.headline }}</p>
      <p v-if="answer.missing.length">
        {{ t('ask-line-please-add', { missing: answer.missing.join('; ') }) }}
      </p>
      <p v-if="answer.sentence.length" class="serif sentence">
        {{ answer.sentence.map((phrase) => phrase.text).join('') }}
      </p>
      <p v-if="answer.understood.length" class="quiet small">
        {{ t('ask-line-understood', { understood: answer.understood.join(' · ') }) }}
      </p>
      <p v-for="said in answer.assumed" :key="said" class="quiet small">{{ said }}</p>
      <ul v-if="answer.makes.length" class="makes" data-test="makes">
        <li v-for="one in answer.makes" :key="`${one.kept} ${one.name}`">
          <button type="button" class="plain" @click="toDesk(one.piece)">
            <span>{{ one.name }}</span> <span class="quiet">{{ one.text }}</span>
          </button>
        </li>
      </ul>
      <p v-if="answer.found?.length">
        <v-btn
          v-for="one in answer.found"
          :key="one.path"
          variant="flat"
          color="primary"
          data-test="ask-found"
          @click="go(one.path)"
          >{{ t('ask-line-open', { label: one.label }) }}</v-btn
        >
      </p>
      <v-btn
        v-if="helps[answer.opens ?? '']"
        variant="flat"
        color="primary"
        data-test="ask-help"
        @click="use"
        >{{ opens[answer.opens!] }}</v-btn
      >
      <v-btn v-if="usable" variant="flat" color="primary" data-test="use-answer" @click="use">
        {{ opens[answer.opens ?? 'rings'] }}
      </v-btn>
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

.meant {
  margin: 0 4px;
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

.reply p {
  margin: 0 0 8px;
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

.large .headline {
  font: clamp(1.3rem, 2.2vw, 1.8rem) / 1.25 var(--serif);
}

.try {
  display: flex;
  flex-wrap: wrap;
  gap: 0 20px;
  margin: 10px 0 0;
  color: rgb(var(--v-theme-quiet));
}

.try button {
  min-height: 28px;
  color: rgb(var(--v-theme-primary));
  text-align: left;
}

.reply ul {
  margin: 0 0 8px;
  padding-left: 18px;
}

.makes {
  list-style: none;
}

.reply .makes {
  padding: 0;
}

.makes button {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  width: 100%;
  min-height: 36px;
  padding: 4px 6px;
  text-align: left;
  border-bottom: 1px solid rgb(var(--v-theme-hairline));
}

.makes button:hover,
.makes button:focus-visible {
  color: rgb(var(--v-theme-primary));
}

.headline {
  font-weight: 700;
  font-size: 1.12rem;
}

.sentence {
  font-size: 1.1rem;
}

.small {
  font-size: 0.95rem;
}

@media (max-width: 560px) {
  .reply {
    position: fixed;
    top: 60px;
    left: var(--gutter);
    right: var(--gutter);
    width: auto;
  }
}

mark {
  background: none;
  color: rgb(var(--v-theme-error));
  text-decoration: underline wavy;
}
</style>
