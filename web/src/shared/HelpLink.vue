<script setup lang="ts">
import { t } from '../text'

/** Leads from an empty view to what Help says of its part. */
defineProps<{ about: 'today' | 'plan' | 'wire' | 'orders' | 'bench' | 'measure' }>()
</script>

<template>
  <router-link :to="{ path: '/help', hash: `#${about}` }">{{ t('help-link-how-this-works') }}</router-link>
</template>
