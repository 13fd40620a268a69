<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { computed, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue'
import {
  api,
  data,
  faultsOf,
  type Candidate,
  type Choice,
  type Fault,
  type RingRequest,
  type Slot,
} from '../api/client'
import { usePlan } from './plan'

const props = defineProps<{
  slotName: Slot
  now: string
  at: HTMLElement
  typed: string
  /** The request as it stood when the editor was opened: one step of undo. */
  from: RingRequest
}>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ closed: [] }>()

const plan = usePlan()
const text = ref(props.typed)
const supply = ref('')
const supplySaid = ref('')
const reading = ref('')
const faults = ref<Fault[]>([])
const choices = ref<Choice[]>([])
const candidates = ref<Candidate[]>([])
const ideal = ref<number | null>(null)
const find = ref('')
const body = useTemplateRef<HTMLElement>('body')

const titles: Record<Slot, string> = {
  rings: 'How many rings',
  temper: 'Temper of the wire',
  metal: 'Metal',
  section: 'Section of the wire',
  size: 'Size of the wire',
  winding: 'How it is wound',
  mandrel: 'The rod it is wound on',
  cutting: 'How the coil is cut',
  blade: 'Saw blade',
  inside: 'The ring wanted in the hand',
}
const hints: Partial<Record<Slot, string>> = {
  rings: 'a count',
  size: '1 mm, 18 awg, 18 swg, .040"',
  mandrel: '5 mm, 3/16 in dowel, 6 mm hexagonal rod',
  inside: '5 mm, 3/16"',
}
const isTyped = computed(() => props.slotName in hints)

/** Rods can be many: those that contain what is being looked for. */
const listed = computed(() => {
  const words = find.value.toLowerCase().split(/\s+/).filter(Boolean)
  return choices.value.filter((choice) => words.every((word) => choice.label.toLowerCase().includes(word)))
})

async function load() {
  const { slotName: slot, from: request } = props
  choices.value = await data(api.POST('/api/rings/choices', { body: { request, slot } }))
  if (slot === 'inside') await rank()
  await nextTick()
  const first = isTyped.value
    ? body.value?.querySelector('input')
    : body.value?.querySelector<HTMLElement>('.chosen')
  ;(first ?? body.value?.querySelector('button'))?.focus()
}

/** Ranks the workshop's rods for the ring wanted. */
async function rank(mm?: number) {
  const wanted = mm ?? plan.worked?.plan.ring_inside_diameter_mm
  if (!wanted) return
  const { wire, rings_n, winding, cutting, ends, mandrel } = props.from
  const body = {
    target_inside_diameter_mm: wanted,
    shape: mandrel.shape ?? 'round',
    wire,
    rings_n,
    winding,
    cutting,
    ends,
  } as const
  const answer = await data(api.POST('/api/rings/mandrel', { body }))
  ideal.value = answer.mandrel_diameter_mm
  candidates.value = answer.candidates.slice(0, 8)
}

const typed = useDebounceFn(async () => {
  if (!text.value.trim()) {
    faults.value = []
    reading.value = ''
    return
  }
  reading.value = ''
  const typedNow = text.value
  if (props.slotName === 'inside' || props.slotName === 'size') {
    try {
      const read = await data(api.POST('/api/lengths/read', { body: { text: typedNow } }))
      reading.value = [read.text, read.note].filter(Boolean).join('. ')
      if (props.slotName === 'inside') await rank(read.mm)
    } catch (thrown) {
      faults.value = faultsOf(thrown)
      return
    }
  }
  faults.value = await plan.type(props.slotName, typedNow, props.from)
}, 140)

const supplied = useDebounceFn(async () => {
  supplySaid.value = ''
  const said = supply.value.trim()
  if (!said) return
  try {
    const many = await data(api.POST('/api/rings/how-many', { body: { request: props.from, typed: said } }))
    supplySaid.value = many.sentence
    if (many.rings_n > 0) await plan.set({ ...props.from, rings_n: many.rings_n }, false)
  } catch (thrown) {
    supplySaid.value = faultsOf(thrown)
      .map((fault) => fault.sentence)
      .join(' ')
  }
}, 160)

async function choose(request: RingRequest) {
  await plan.set(request, false)
  open.value = false
}

function walk(event: KeyboardEvent) {
  if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return
  const buttons = [...(body.value?.querySelectorAll<HTMLElement>('.choice, input') ?? [])]
  const at = buttons.indexOf(document.activeElement as HTMLElement)
  const next = buttons[at + (event.key === 'ArrowDown' ? 1 : -1)]
  if (next) {
    event.preventDefault()
    next.focus()
  }
}

watch(open, (now) => {
  if (!now) emit('closed')
})
onMounted(async () => {
  try {
    await load()
    if (props.typed) await typed()
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
      :aria-label="titles[slotName]"
      data-test="editor"
      @keydown="walk"
      @keydown.esc.stop="open = false"
    >
      <p class="title">{{ titles[slotName] }}</p>
      <form v-if="isTyped" @submit.prevent="open = faults.length > 0">
        <v-text-field
          v-model="text"
          :placeholder="now"
          :hint="reading || `Type ${hints[slotName]}`"
          persistent-hint
          persistent-placeholder
          :aria-label="titles[slotName]"
          :error-messages="faults.map((fault) => fault.sentence)"
          autocomplete="off"
          spellcheck="false"
          data-test="typed"
          @update:model-value="typed"
        />
      </form>
      <form v-if="slotName === 'rings'" class="supply" @submit.prevent="open = false">
        <v-text-field
          v-model="supply"
          label="Or: I have this much wire"
          placeholder="3 m, 10 ft, 50 g"
          persistent-placeholder
          :hint="supplySaid || 'A length or a weight; the count follows'"
          persistent-hint
          autocomplete="off"
          data-test="supply"
          @update:model-value="supplied"
        />
      </form>
      <template v-if="slotName === 'inside' && ideal">
        <p class="ideal">
          The ideal rod is <b>{{ ideal.toFixed(3) }} mm</b>. Of yours, nearest first:
        </p>
        <button
          v-for="candidate in candidates"
          :key="candidate.shown"
          type="button"
          class="plain menu-line choice"
          data-test="candidate"
          @click="choose({ ...from, mandrel: candidate.mandrel })"
        >
          <span>{{ candidate.shown }}</span>
          <span class="effect">
            gives {{ candidate.ring_inside_diameter_mm.toFixed(2) }} mm, {{ candidate.off_mm >= 0 ? '+' : '−'
            }}{{ Math.abs(candidate.off_mm).toFixed(2) }}
          </span>
        </button>
        <p v-if="!candidates.length" class="quiet">
          You own no rod of this outline yet. Add one under <router-link to="/tools">Tools</router-link>.
        </p>
      </template>
      <input
        v-if="slotName === 'mandrel' && choices.length > 10"
        v-model="find"
        class="find"
        type="search"
        placeholder="Find among your rods"
        aria-label="Find among your rods"
      />
      <div class="choices">
        <button
          v-for="choice in listed"
          :key="choice.label"
          type="button"
          class="plain menu-line choice"
          :class="{ chosen: choice.chosen, impossible: !choice.possible }"
          :aria-current="choice.chosen"
          data-test="choice"
          @click="choose(choice.request)"
        >
          <span>{{ choice.label }}</span>
          <span class="effect">{{ choice.effect }}</span>
        </button>
      </div>
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

.supply,
.ideal {
  margin: 14px 0 6px;
}

.choice {
  display: grid;
}

.chosen {
  box-shadow: inset 3px 0 0 rgb(var(--v-theme-primary));
  font-weight: 700;
}

.effect {
  font-weight: 400;
  font-size: 0.95rem;
  color: rgb(var(--v-theme-quiet));
}

.impossible .effect {
  color: rgb(var(--v-theme-error));
}

.find {
  width: 100%;
  min-height: 40px;
  margin-top: 12px;
  padding: 4px 8px;
  font: inherit;
  color: inherit;
  background: rgb(var(--v-theme-background));
  border: 1px solid rgb(var(--v-theme-hairline));
  border-radius: 3px;
}

.choices {
  margin-top: 6px;
}
</style>
