<script setup lang="ts">
import { t } from '../text'
import { useEventListener, useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { api, data } from '../api/client'
import { isTyping } from '../shared/typing'

/** Turns on the rod of the coil in hand: counted by the winder, or by key. The place is held by the server. */
const props = defineProps<{
  turned: number
  /** Turns that make the coil. */
  wanted: number
  /** The same as the instruction says it: `40.93 turns`. */
  says: string
}>()
const emit = defineEmits<{ turned: [n: number] }>()
const watching = ref(false)
const fault = ref('')
const simulated = ref(false)
const caution = ref('')
/** What was told last, so that a reading is told once. */
let told = -1

function tell(n: number) {
  if (n === told || n === props.turned) return
  told = n
  emit('turned', n)
}

async function read() {
  try {
    const reading = await data(api.GET('/api/winder'))
    fault.value = ''
    simulated.value = reading.simulated
    caution.value = reading.caution
    tell(reading.turns_n)
    if (simulated.value && reading.turns_n >= whole.value) watching.value = false
  } catch (thrown) {
    fault.value = thrown instanceof Error ? thrown.message : String(thrown)
  }
}
const { pause, resume } = useIntervalFn(() => watching.value && void read(), 600)

/** Turns that are round by then: a counter shows whole ones. */
const whole = computed(() => Math.floor(props.wanted))
async function start() {
  told = -1
  watching.value = true
  resume()
  const body = { run: { from_n: props.turned, to_n: props.wanted } }
  const run = await api.POST('/api/winder/treadle', { body })
  // A real winder has its own treadle: it is only read.
  simulated.value = !!run.data?.simulated
}
async function stop() {
  watching.value = false
  pause()
  await api.POST('/api/winder/treadle', { body: 'stop' })
  await read()
}
const byHand = (by: 1 | -1) => {
  told = -1
  tell(Math.max(0, props.turned + by))
}
useEventListener('keydown', (event) => {
  if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return
  if (event.key === 't') byHand(1)
  else if (event.key === 'T') byHand(-1)
})
</script>

<template>
  <div class="counter" role="group" :aria-label="t('turn-counter-turn-counter')">
    <span class="turns num" data-test="turns"
      >{{ turned }}<small> {{ t('turn-counter-of', { says }) }}</small></span
    >
    <v-btn data-test="one-turn" @click="byHand(1)">{{ t('turn-counter-one-turn-t') }}</v-btn>
    <v-btn variant="text" :disabled="turned === 0" data-test="turn-back" @click="byHand(-1)">{{
      t('turn-counter-one-less')
    }}</v-btn>
    <v-btn v-if="!watching" :disabled="turned >= whole" data-test="winder" @click="start">{{
      t('turn-counter-count-with-winder')
    }}</v-btn>
    <v-btn v-else color="primary" variant="flat" data-test="winder-stop" @click="stop">{{
      t('turn-counter-stop')
    }}</v-btn>
    <p v-if="watching && caution" class="watch">
      {{ caution }}<template v-if="simulated"> {{ t('turn-counter-this-simulated-winder') }}</template>
    </p>
    <p v-if="fault" class="watch" role="alert">{{ fault }}</p>
  </div>
</template>

<style scoped>
.counter {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
  margin-top: 6px;
}

.turns {
  font-size: 2rem;
}

.turns small {
  font-size: 0.55em;
  font-weight: 500;
}

.watch {
  flex-basis: 100%;
  margin: 0;
}
</style>
