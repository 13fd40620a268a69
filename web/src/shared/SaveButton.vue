<script setup lang="ts">
import { save } from '../api/client'
import { useNotice } from './notice'

/** The one way a file that stands on the server is taken away: what goes wrong is said, a lock is met. */
const props = defineProps<{ path: string }>()
const notice = useNotice()
const take = () => save(props.path).catch(notice.fail)
</script>

<template>
  <v-btn @click="take"><slot /></v-btn>
</template>
