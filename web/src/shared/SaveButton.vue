<script setup lang="ts">
import { save } from '../api/client'
import { useNotice } from './notice'

/** The one way a file that stands on the server is taken away: what goes wrong is said, a lock is met. */
const props = defineProps<{
  path: string
  /** Whether it is a line of a menu. */
  line?: boolean
}>()
const notice = useNotice()
const take = () => save(props.path).catch(notice.fail)
</script>

<template>
  <button v-if="line" type="button" class="plain menu-line" @click="take"><slot /></button>
  <v-btn v-else @click="take"><slot /></v-btn>
</template>
