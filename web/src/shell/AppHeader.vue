<script setup lang="ts">
import { t } from '../text'
import { mdiTuneVariant } from '@mdi/js'
import { useElementSize, useResizeObserver } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { beside, doors, isWithin } from './router'
import { usePattern } from '../patterns/pattern'
import { usePlan } from '../rings/plan'
import { onDemand } from '../shared/onDemand'
import { useSettings } from '../shared/settings'
import AskLine from '../today/AskLine.vue'

// It is fetched when it is opened for the first time.
const SettingsMenu = onDemand(() => import('./SettingsMenu.vue'))

const route = useRoute()
const plan = usePlan()
const pattern = usePattern()
/** The metal in hand: that of the piece on the desk one stands at. */
const colour = computed(() =>
  route.path.startsWith('/findings') && pattern.worked ? pattern.colour : plan.colour,
)
const header = useTemplateRef<HTMLElement>('header')
const nav = useTemplateRef<HTMLElement>('nav')
const { width } = useElementSize(header, undefined, { box: 'border-box' })
const curlAt = ref(0)
/** Up to so many pixels wide it is a phone. */
const PHONE = 600
const settings = useSettings()
const settingsOpened = ref(settings.open)
watch(
  () => settings.open,
  () => (settingsOpened.value = true),
)

/** The wire along the head curls once, under the door one is behind. */
function placeCurl() {
  const active = nav.value?.querySelector<HTMLElement>('a[aria-current=page]')
  if (!active) curlAt.value = 0
  // The doors stand at the foot of a phone: there the curl keeps clear of what is typed, or of the menu beside it.
  else if (width.value <= PHONE) {
    const name = header.value?.querySelector('.name')
    curlAt.value =
      name && route.path === '/today' ? name.getBoundingClientRect().right + 28 : width.value - 30
  } else if (header.value) {
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
// The names of the doors change their widths once their type is there.
void document.fonts.ready.then(placeCurl)
</script>

<template>
  <header ref="header" class="head no-print" :style="{ '--metal': colour }">
    <div class="row">
      <router-link to="/today" class="name serif">{{ t('app-header-lorimant') }}</router-link>
      <nav ref="nav" :aria-label="t('app-header-main')">
        <router-link
          v-for="door in doors"
          :key="door.path"
          :to="door.path"
          :aria-current="isWithin(route.path, door.holds) ? 'page' : undefined"
          >{{ door.name }}</router-link
        >
      </nav>
      <AskLine v-if="route.path !== '/today'" class="ask" />
      <span v-else class="ask" />
      <nav class="beside" :aria-label="t('app-header-tools-reference')">
        <router-link
          v-for="one in beside"
          :key="one.path"
          :to="one.path"
          :aria-current="isWithin(route.path, [one.path]) ? 'page' : undefined"
          >{{ one.name }}</router-link
        >
      </nav>
      <v-btn
        :icon="mdiTuneVariant"
        :aria-label="t('app-header-settings')"
        data-test="settings"
        density="comfortable"
        @click="settings.open = true"
      />
      <SettingsMenu v-if="settingsOpened" v-model="settings.open" />
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
  gap: 26px;
}

.beside {
  gap: 18px;
}

.beside a {
  font-size: 1rem;
  padding: 6px 2px;
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

  .beside,
  .row > .v-btn {
    order: 2;
    width: auto;
  }
}

/* On a phone the doors stand in a bar at the foot, under the thumb. */
@media (max-width: 600px) {
  nav:not(.beside) {
    position: fixed;
    inset: auto 0 0;
    z-index: 1004;
    justify-content: space-around;
    flex-wrap: nowrap;
    gap: 0;
    padding-bottom: env(safe-area-inset-bottom);
    background: rgb(var(--v-theme-surface));
    border-top: 1px solid rgba(var(--v-theme-on-background), 0.2);
  }

  nav:not(.beside) a {
    flex: 1;
    padding: 14px 2px;
    text-align: center;
  }

  .ask {
    order: 3;
    flex-basis: 100%;
    max-width: none;
  }

  .beside {
    margin-left: auto;
  }
}
</style>
