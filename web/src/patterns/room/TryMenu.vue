<script setup lang="ts">
import { t } from '../../text'
import PaperMenu from '../../shared/PaperMenu.vue'
import MenuLine from '../../shared/MenuLine.vue'

/** Trying the piece in the room otherwise. */
defineProps<{ mirrored: boolean }>()
const emit = defineEmits<{ try: [how: 'fit' | 'wire' | 'mate' | 'over' | 'mirror'] }>()
</script>

<template>
  <PaperMenu :says="t('try-menu-try')" test="try">
    <MenuLine data-test="open-fit" @click="emit('try', 'fit')">
      {{ t('try-menu-fit-size-or-your-tools') }}
    </MenuLine>
    <MenuLine data-test="open-wire" @click="emit('try', 'wire')">
      {{ t('try-menu-in-another-wire') }}
    </MenuLine>
    <MenuLine data-test="mirror" @click="emit('try', 'mirror')">
      {{ mirrored ? t('try-menu-for-hand-was-drawn-for') : t('try-menu-for-other-hand-mirrored') }}
    </MenuLine>
    <MenuLine data-test="open-mate" @click="emit('try', 'mate')">
      {{ t('try-menu-with-ring-or-another-piece') }}
    </MenuLine>
    <MenuLine data-test="open-over" @click="emit('try', 'over')">
      {{ t('try-menu-compare-with-revision-or-another') }}
    </MenuLine>
  </PaperMenu>
</template>
