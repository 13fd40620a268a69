<script setup lang="ts">
import { t } from '../text'
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import type { PlacedRod } from '../api/client'
import { useAmounts } from '../shared/amounts'
import { vOneStop } from '../shared/oneStop'
import { useSettings } from '../shared/settings'

const props = defineProps<{ rods: PlacedRod[]; ring: number }>()
const emit = defineEmits<{ choose: [rod: PlacedRod] }>()
const { acrossNumber } = useAmounts()
const settings = useSettings()
/** A rod is chosen by the ring it gives to a tenth of a millimetre, or a hundredth of an inch. */
const ringOf = (mm: number) => acrossNumber(mm, settings.caliper.places_n - 1)

const place = useTemplateRef<HTMLElement>('place')
const { width } = useElementSize(place)
const edge = 64

/** The rods round the present ring, as many as have room, spread along a line by what they give. */
const shown = computed(() => {
  const most = Math.max(3, Math.min(9, Math.floor(width.value / 92)))
  const nearest = [...props.rods]
    .sort(
      (a, b) =>
        Math.abs(a.ring_inside_diameter_mm - props.ring) - Math.abs(b.ring_inside_diameter_mm - props.ring),
    )
    .slice(0, most)
    .sort((a, b) => a.ring_inside_diameter_mm - b.ring_inside_diameter_mm)
  const first = nearest[0]?.ring_inside_diameter_mm ?? 0
  const last = nearest.at(-1)?.ring_inside_diameter_mm ?? 1
  const span = Math.max(last - first, 1e-6)
  const free = [-1e9, -1e9]
  return nearest.map((rod) => {
    const at = edge + ((rod.ring_inside_diameter_mm - first) / span) * (width.value - 2 * edge)
    // Each label goes where there is room, above before below.
    const side = at - free[0]! >= 112 ? 0 : 1
    const clear = at - free[side]! >= 112
    if (clear) free[side] = at
    return {
      rod,
      at: nearest.length === 1 ? width.value / 2 : at,
      above: side === 0,
      labelled: clear || rod.chosen,
    }
  })
})
</script>

<template>
  <section :aria-label="t('rods-line-your-rods-placed-by-ring')">
    <p class="title">
      <b>{{ t('rods-line-your-rods-placed-by-ring') }}</b>
    </p>
    <div ref="place" v-one-stop="'.rod'" class="line" :class="{ empty: !rods.length }">
      <span v-if="rods.length" class="axis" aria-hidden="true" />
      <button
        v-for="{ rod, at, above, labelled } in shown"
        :key="rod.label"
        type="button"
        class="plain rod"
        :class="{ chosen: rod.chosen, above, bare: !labelled }"
        :style="{ left: `${at}px` }"
        :aria-pressed="rod.chosen"
        :title="rod.label"
        data-test="rod"
        @click="emit('choose', rod)"
      >
        <span class="dot" aria-hidden="true" />
        <span :class="labelled ? 'says' : 'visually-hidden'">
          <b>{{ ringOf(rod.ring_inside_diameter_mm) }}</b>
          {{ ' ' }}<span class="name">{{ rod.label }}</span>
        </span>
      </button>
      <p v-if="!rods.length" class="quiet">
        {{ t('rods-line-you-have-no-rod-this')
        }}<router-link to="/tools">{{ t('rods-line-add-rods-under-tools') }}</router-link
        >{{ t('rods-line-see-ring-each-one-gives') }}
      </p>
    </div>
  </section>
</template>

<style scoped>
.title {
  margin: 0;
}

.line {
  position: relative;
  height: 104px;
}

.axis {
  position: absolute;
  left: 0;
  right: 0;
  top: 52px;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}

.rod {
  position: absolute;
  top: 40px;
  width: 24px;
  height: 24px;
  margin-left: -12px;
  display: grid;
  place-items: center;
}

.dot {
  width: 13px;
  height: 13px;
  border-radius: 50%;
  border: 2px solid rgb(var(--v-theme-primary));
  background: rgb(var(--v-theme-background));
}

.chosen .dot {
  width: 21px;
  height: 21px;
  background: rgb(var(--v-theme-primary));
}

.says {
  position: absolute;
  top: 24px;
  left: 50%;
  translate: -50% 0;
  text-align: center;
  line-height: 1.1;
  width: 116px;
}

.above .says {
  top: auto;
  bottom: 24px;
  display: flex;
  flex-direction: column;
}

.name {
  display: block;
  color: rgb(var(--v-theme-quiet));
  font-size: 0.92rem;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.chosen .name {
  color: rgb(var(--v-theme-primary));
  font-weight: 700;
}

.line.empty {
  height: auto;
}
</style>
