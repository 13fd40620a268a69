<script setup lang="ts">
import PaperMenu from '../../shared/PaperMenu.vue'

/** Trying the piece in the room otherwise. */
defineProps<{ mirrored: boolean }>()
const emit = defineEmits<{ try: [how: 'fit' | 'wire' | 'mate' | 'over' | 'mirror'] }>()
</script>

<template>
  <PaperMenu says="Try it" test="try">
    <button type="button" class="plain menu-line" data-test="open-fit" @click="emit('try', 'fit')">
      Fit to a size or to your tools
    </button>
    <button type="button" class="plain menu-line" data-test="open-wire" @click="emit('try', 'wire')">
      In another wire
    </button>
    <button type="button" class="plain menu-line" data-test="mirror" @click="emit('try', 'mirror')">
      {{ mirrored ? 'For the hand it was drawn for' : 'For the other hand, mirrored' }}
    </button>
    <button type="button" class="plain menu-line" data-test="open-mate" @click="emit('try', 'mate')">
      With a ring or another piece
    </button>
    <button type="button" class="plain menu-line" data-test="open-over" @click="emit('try', 'over')">
      Compare with a revision or another piece
    </button>
  </PaperMenu>
</template>
