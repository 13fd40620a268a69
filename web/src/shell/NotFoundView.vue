<script setup lang="ts">
import { t } from '../text'
import { useRoute } from 'vue-router'

/** An address that leads nowhere. */
const route = useRoute()
</script>

<template>
  <div class="page" data-test="not-found">
    <h1>{{ t('not-found-view-page-not-found') }}</h1>
    <p>{{ t('not-found-view-there-nothing-at-may-have', { path: route.path }) }}</p>
    <v-btn color="primary" variant="flat" to="/today">{{ t('not-found-view-go-today') }}</v-btn>
  </div>
</template>
