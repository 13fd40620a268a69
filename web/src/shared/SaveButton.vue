<script setup lang="ts">
import { ref } from 'vue'
import { download } from './download'
import { useNotice } from './notice'
import MenuLine from './MenuLine.vue'

/** A button, or a line of a menu, that saves a file of the server. */
const props = defineProps<{
  path: string
  /** Whether it is a line of a menu. */
  line?: boolean
}>()
const notice = useNotice()
const busy = ref(false)

async function take() {
  busy.value = true
  await download(props.path).catch(notice.fail)
  busy.value = false
}
</script>

<template>
  <MenuLine v-if="line" @click="take"><slot /></MenuLine>
  <v-btn v-else :disabled="busy" @click="take"><slot /></v-btn>
</template>
