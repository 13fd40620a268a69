<script setup lang="ts">
import { t } from '../text'
import { ref } from 'vue'
import PaperField from '../shared/PaperField.vue'
import { api, data, sentenceOf } from '../api/client'

const emit = defineEmits<{ unlocked: [] }>()
const passphrase = ref('')
const wrong = ref('')
const busy = ref(false)

async function unlock() {
  busy.value = true
  wrong.value = ''
  try {
    await data(api.POST('/api/session', { body: { passphrase: passphrase.value } }))
    emit('unlocked')
  } catch (thrown) {
    wrong.value = sentenceOf(thrown)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <main class="page unlock">
    <h1>{{ t('unlock-view-this-workshop-locked') }}</h1>
    <p class="quiet">{{ t('unlock-view-enter-its-passphrase') }}</p>
    <form @submit.prevent="unlock">
      <PaperField
        v-model="passphrase"
        type="password"
        :label="t('unlock-view-passphrase')"
        autocomplete="current-password"
        :wrong="wrong"
        autofocus
      />
      <v-btn type="submit" variant="flat" color="primary" :loading="busy" class="mt-4">{{
        t('unlock-view-unlock')
      }}</v-btn>
    </form>
  </main>
</template>

<style scoped>
.unlock {
  max-width: 460px;
  padding-top: 18vh;
}
</style>
