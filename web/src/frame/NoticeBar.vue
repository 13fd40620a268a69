<script setup lang="ts">
import { useNotice } from './notice'

const notice = useNotice()
</script>

<template>
  <v-snackbar
    v-model="notice.shown"
    :timeout="notice.failed ? 12000 : 8000"
    location="bottom start"
    color="on-surface"
    rounded="sm"
    data-test="notice"
  >
    <span :role="notice.failed ? 'alert' : 'status'">{{ notice.text }}</span>
    <template #actions>
      <v-btn v-if="notice.undo" class="undo" data-test="undo-notice" @click="notice.undo">Undo</v-btn>
      <v-btn @click="notice.shown = false">Close</v-btn>
    </template>
  </v-snackbar>
</template>

<style scoped>
.undo {
  text-decoration: underline;
}
</style>
