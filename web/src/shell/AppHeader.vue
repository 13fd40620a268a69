<script setup lang="ts">
import { mdiTuneVariant } from '@mdi/js'
import { useElementSize, useResizeObserver } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { stages } from './router'
import { usePattern } from '../patterns/pattern'
import { usePlan } from '../rings/plan'
import AskLine from './AskLine.vue'
import SettingsMenu from './SettingsMenu.vue'

const route = useRoute()
const plan = usePlan()
const pattern = usePattern()
/** The metal in hand: that of the piece on the desk one stands at. */
const colour = computed(() =>
  route.path.startsWith('/patterns') && pattern.worked ? pattern.colour : plan.colour,
)
const header = useTemplateRef<HTMLElement>('header')
const nav = useTemplateRef<HTMLElement>('nav')
const { width } = useElementSize(header, undefined, { box: 'border-box' })
/** The stage one is in; some views stand elsewhere than their stage. */
const at = computed(() => (route.meta.stage as string | undefined) ?? route.path)
const curlAt = ref(0)
const menu = ref(false)

/** The wire along the head curls once, under the stage one is in. */
function placeCurl() {
  const active = nav.value?.querySelector<HTMLElement>('a[aria-current=page]')
  if (active && header.value) {
    curlAt.value =
      active.getBoundingClientRect().left - header.value.getBoundingClientRect().left + active.offsetWidth / 2
  }
}

const wire = computed(() => {
  const [x, end] = [curlAt.value, width.value]
  if (x === 0) return `M0 24H${end}`
  return `M0 24H${x - 14}C${x + 4} 24 ${x + 11} 19 ${x + 11} 13A11 9.5 0 1 0 ${x - 11} 13C${x - 11} 19 ${x - 4} 24 ${x + 14} 24H${end}`
})

watch([() => route.path, width], () => nextTick(placeCurl), { flush: 'post' })
useResizeObserver(nav, placeCurl)
// The names of the stages change their widths once their type is there.
void document.fonts.ready.then(placeCurl)
</script>

<template>
  <header ref="header" class="head no-print" :style="{ '--metal': colour }">
    <div class="row">
      <router-link to="/today" class="name serif">Lorimant</router-link>
      <nav ref="nav" aria-label="Stages of the work">
        <router-link
          v-for="stage in stages"
          :key="stage.path"
          :to="stage.path"
          :aria-current="at.startsWith(stage.path) ? 'page' : undefined"
          >{{ stage.name }}</router-link
        >
      </nav>
      <AskLine class="ask" />
      <v-btn
        :icon="mdiTuneVariant"
        aria-label="Units, look and screen"
        data-test="settings"
        density="comfortable"
        @click="menu = true"
      />
      <SettingsMenu v-model="menu" />
    </div>
    <svg class="wire" :width="width" height="30" aria-hidden="true">
      <path class="edge" :d="wire" />
      <path class="body" :d="wire" />
      <path class="light" :d="wire" />
    </svg>
  </header>
</template>

<style scoped>
.head {
  position: relative;
  padding: 10px var(--gutter) 12px;
}

.row {
  display: flex;
  align-items: center;
  gap: 10px clamp(14px, 2vw, 26px);
  flex-wrap: wrap;
}

.name {
  font-size: 1.55rem;
  font-weight: 700;
  color: inherit;
  text-decoration: none;
}

nav {
  display: flex;
  gap: 18px;
}

nav a {
  color: rgb(var(--v-theme-quiet));
  text-decoration: none;
  font-size: 1.1rem;
  padding: 6px 2px 14px;
}

nav a:hover {
  color: rgb(var(--v-theme-on-background));
}

nav a[aria-current='page'] {
  color: rgb(var(--v-theme-on-background));
  font-weight: 700;
}

.ask {
  flex: 1 1 170px;
  min-width: 0;
  max-width: 440px;
  margin-left: auto;
}

.wire {
  position: absolute;
  left: 0;
  bottom: 0;
  pointer-events: none;
}

.wire path {
  fill: none;
}

.wire .edge {
  stroke: color-mix(in oklab, var(--metal) 62%, black);
  stroke-width: 4.4;
}

.wire .body {
  stroke: var(--metal);
  stroke-width: 3;
}

.wire .light {
  stroke: color-mix(in oklab, var(--metal) 55%, white);
  stroke-width: 1;
}

@media (max-width: 420px) {
  nav a {
    font-size: 1.02rem;
  }
}

@media (max-width: 1100px) {
  .row {
    gap: 4px 14px;
  }

  nav {
    order: 3;
    width: 100%;
    flex-wrap: wrap;
    gap: 0 clamp(10px, 2.6vw, 26px);
  }

  .ask {
    order: 2;
    flex-basis: 60px;
  }

  .row > .v-btn {
    order: 2;
  }
}
</style>
