<script setup lang="ts">
import { ref } from 'vue'
import { save } from '../api/client'
import { useNotice } from './notice'

/** The one way a file that stands on the server is taken away: what goes wrong is said, a lock is met. */
const props = defineProps<{
  path: string
  /** Whether it is a line of a menu. */
  line?: boolean
}>()
const notice = useNotice()
/** Bytes that have come so far; nothing while none is asked for. */
const come = ref<number | null>(null)

async function take() {
  come.value = 0
  await save(props.path, undefined, (bytes) => (come.value = bytes)).catch(notice.fail)
  come.value = null
}

/** Said once it is worth a word. */
const soFar = () => (come.value ?? 0) > 1e6 && `, ${Math.floor((come.value ?? 0) / 1e6)} MB so far`
</script>

<template>
  <button v-if="line" type="button" class="plain menu-line" @click="take"><slot /></button>
  <v-btn v-else :disabled="come !== null" @click="take"><slot />{{ soFar() || '' }}</v-btn>
</template>
