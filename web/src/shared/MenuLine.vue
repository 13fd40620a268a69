<script setup lang="ts">
/** One line of a menu or a popover: a button as wide as its menu. */
</script>

<template>
  <v-list-item tag="button" type="button" class="menu-line"><slot /></v-list-item>
</template>
