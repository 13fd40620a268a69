<script setup lang="ts">
import { mdiRedo, mdiUndo } from '@mdi/js'

/** What can be done with the piece in the room: keep it, take it away, try it otherwise, undo. */
defineProps<{ sound: boolean; mirrored: boolean; canUndo: boolean; canRedo: boolean }>()
const emit = defineEmits<{
  keep: []
  take: [file: string]
  try: [how: 'fit' | 'wire' | 'mate' | 'over' | 'mirror']
  undo: []
  redo: []
}>()

const files = [
  { file: 'card-a5.pdf', says: 'Pattern card A5, PDF', hint: 'true size, with check bars' },
  { file: 'card-a4.pdf', says: 'Pattern card A4, PDF', hint: 'the same, larger' },
  { file: 'card.svg', says: 'Pattern card, SVG', hint: 'millimetres, to draw on' },
  { file: 'drawing.dxf', says: 'Drawing, DXF', hint: 'centreline and outline, mm' },
  { file: 'bends.csv', says: 'Bend table, CSV', hint: 'one line a mark' },
  { file: 'label.pdf', says: 'Label for the bag, PDF', hint: '80 × 45 mm' },
  { file: 'pattern.json', says: 'Pattern, JSON', hint: 'can be brought back in' },
]
</script>

<template>
  <v-btn variant="flat" color="primary" :disabled="!sound" data-test="keep" @click="emit('keep')">
    Keep
  </v-btn>
  <v-menu location="bottom start" :offset="6">
    <template #activator="{ props: activator }">
      <v-btn v-bind="activator" :disabled="!sound" data-test="take-away">Take away</v-btn>
    </template>
    <div class="popover">
      <button
        v-for="{ file, says, hint } in files"
        :key="file"
        type="button"
        class="plain menu-line"
        :data-file="file"
        @click="emit('take', file)"
      >
        {{ says }} <span class="quiet">{{ hint }}</span>
      </button>
    </div>
  </v-menu>
  <v-menu location="bottom start" :offset="6">
    <template #activator="{ props: activator }">
      <v-btn v-bind="activator" data-test="try">Try it</v-btn>
    </template>
    <div class="popover">
      <button type="button" class="plain menu-line" data-test="open-fit" @click="emit('try', 'fit')">
        At a size it must come out as
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
        Against a revision or another piece
      </button>
    </div>
  </v-menu>
  <v-btn
    :icon="mdiUndo"
    density="comfortable"
    aria-label="Undo"
    :disabled="!canUndo"
    data-test="undo"
    @click="emit('undo')"
  />
  <v-btn
    :icon="mdiRedo"
    density="comfortable"
    aria-label="Redo"
    :disabled="!canRedo"
    data-test="redo"
    @click="emit('redo')"
  />
</template>
