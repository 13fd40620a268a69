<script setup lang="ts">
import { t } from '../text'
import { computed, ref } from 'vue'
import type { Weave } from '../api/client'

/** Which ring goes through which, by tapping one and then the other: the cell, and the cells beside it. */
const links = defineModel<Weave['links']>({ required: true })
const props = defineProps<{
  /** The rings of the cell, each by its part. */
  rings: string[]
  sheet: boolean
}>()
const letter = (ring: number) => String.fromCharCode(65 + ring)

/** Cells that are shown: the one before, this one, the next; of a sheet those to the right too. */
const cells = computed(() =>
  props.sheet
    ? [
        [-1, 0],
        [0, 0],
        [1, 0],
        [-1, 1],
        [0, 1],
        [1, 1],
      ]
    : [
        [-1, 0],
        [0, 0],
        [1, 0],
      ],
)
type Tap = { ring: number; on: number; aside: number }
const place = ({ ring, on, aside }: Tap) => {
  const n = props.rings.length
  return {
    x: 150 + on * 140 + ((n > 1 ? ring / (n - 1) : 0.5) - 0.5) * 78,
    y: 48 + (ring % 2) * 46 + aside * 118,
  }
}
const chosen = ref<Tap | null>(null)
const same = (a: Tap | null, b: Tap) => !!a && a.ring === b.ring && a.on === b.on && a.aside === b.aside

/** A second ring tapped makes a link of the two, or takes it out. */
function tap(at: Tap) {
  if (!chosen.value) return void (chosen.value = at)
  if (same(chosen.value, at)) return void (chosen.value = null)
  const from = chosen.value
  chosen.value = null
  const link = {
    ring: from.ring,
    through: at.ring,
    cells_along: at.on - from.on,
    cells_across: at.aside - from.aside,
  }
  const is = (one: Weave['links'][number]) =>
    (one.ring === link.ring &&
      one.through === link.through &&
      (one.cells_along ?? 0) === link.cells_along &&
      (one.cells_across ?? 0) === link.cells_across) ||
    (one.ring === link.through &&
      one.through === link.ring &&
      (one.cells_along ?? 0) === -link.cells_along &&
      (one.cells_across ?? 0) === -link.cells_across)
  links.value = links.value.some(is) ? links.value.filter((one) => !is(one)) : [...links.value, link]
}

/** Every link as a line, where both its rings are shown. */
const lines = computed(() =>
  cells.value.flatMap(([on, aside]) =>
    links.value.flatMap((link) => {
      const to = {
        ring: link.through,
        on: on! + (link.cells_along ?? 0),
        aside: aside! + (link.cells_across ?? 0),
      }
      if (!cells.value.some(([a, b]) => a === to.on && b === to.aside)) return []
      const [a, b] = [place({ ring: link.ring, on: on!, aside: aside! }), place(to)]
      return [{ x1: a.x, y1: a.y, x2: b.x, y2: b.y }]
    }),
  ),
)
const drawn = computed(() =>
  cells.value.flatMap(([on, aside]) =>
    props.rings.map((part, ring) => {
      const at = { ring, on: on!, aside: aside! }
      const where = on === 0 ? '' : on! < 0 ? t('link-diagram-cell-before') : t('link-diagram-next-cell')
      return {
        at,
        ...place(at),
        says: `${letter(ring)}${where}${aside ? t('link-diagram-right') : ''}`,
        part,
        here: on === 0 && !aside,
      }
    }),
  ),
)
</script>

<template>
  <svg
    class="links"
    :viewBox="`0 0 300 ${sheet ? 250 : 140}`"
    role="group"
    :aria-label="t('link-diagram-which-ring-goes-through-which')"
  >
    <line v-for="(line, i) in lines" :key="i" v-bind="line" class="link" />
    <g
      v-for="one in drawn"
      :key="one.says"
      class="ring"
      :class="{ here: one.here, chosen: same(chosen, one.at) }"
      role="button"
      tabindex="0"
      :aria-label="one.says"
      :aria-pressed="same(chosen, one.at)"
      :data-ring="one.says"
      @click="tap(one.at)"
      @keydown.enter.prevent="tap(one.at)"
      @keydown.space.prevent="tap(one.at)"
    >
      <circle :cx="one.x" :cy="one.y" r="13" />
      <text :x="one.x" :y="one.y + 4.5">{{ letter(one.at.ring) }}</text>
    </g>
  </svg>
</template>

<style scoped>
.links {
  width: 100%;
  max-height: 300px;
}

.link {
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 3;
}

.ring {
  cursor: pointer;
}

.ring circle {
  fill: rgb(var(--v-theme-surface));
  stroke: rgb(var(--v-theme-quiet));
  stroke-width: 1.5;
}

.ring text {
  text-anchor: middle;
  font-size: 13px;
  font-weight: 700;
  fill: rgb(var(--v-theme-quiet));
}

.ring.here circle {
  stroke: rgb(var(--v-theme-on-background));
  stroke-width: 3;
}

.ring.here text {
  fill: rgb(var(--v-theme-on-background));
}

.ring.chosen circle {
  fill: rgb(var(--v-theme-primary));
}

.ring.chosen text {
  fill: rgb(var(--v-theme-on-primary));
}
</style>
