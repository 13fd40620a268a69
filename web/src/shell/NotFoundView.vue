<script setup lang="ts">
import { useRoute } from 'vue-router'

/** An address that leads nowhere. */
const route = useRoute()
</script>

<template>
  <div class="page" data-test="not-found">
    <h1>Page not found</h1>
    <p>There is nothing at {{ route.path }}. It may have been deleted, or the address is mistyped.</p>
    <v-btn color="primary" variant="flat" to="/today">Go to Today</v-btn>
  </div>
</template>
