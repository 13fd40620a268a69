<script setup lang="ts">
/** A small drawing beside what Help says of a figure: wire in its own colour, what is measured in ink. */
defineProps<{ of: 'cut-length' | 'ring-size' | 'spool' | 'strength' | 'cracks' | 'time' }>()
</script>

<template>
  <svg class="picture" viewBox="0 0 120 72" aria-hidden="true">
    <g v-if="of === 'cut-length'">
      <path class="wire" d="M14 34 V24 A14 14 0 0 1 42 24 V34" />
      <path class="middle" d="M14 34 V24 A14 14 0 0 1 42 24 V34" />
      <path class="ink" d="M52 26 H64 M60 22 L64 26 L60 30" />
      <path class="wire" d="M16 56 H106" />
      <path class="middle" d="M16 56 H106" />
      <path class="ink" d="M16 66 H106 M16 63 V69 M106 63 V69" />
    </g>
    <g v-else-if="of === 'ring-size'">
      <circle class="rod" cx="34" cy="36" r="15" />
      <circle class="wire" cx="34" cy="36" r="18" />
      <path class="ink" d="M58 36 H68 M64 32 L68 36 L64 40" />
      <path class="wire" d="M100 18 A19 19 0 1 1 95 17" />
      <path class="ink" d="M80 36 H110 M83 33 L80 36 L83 39 M107 33 L110 36 L107 39" />
    </g>
    <g v-else-if="of === 'spool'">
      <path class="rod" d="M14 16 H20 V56 H14 Z M52 16 H58 V56 H52 Z" />
      <path class="wire" d="M23 20 V52 M29 20 V52 M35 20 V52 M41 20 V52 M47 20 V52" />
      <path class="ink" d="M72 58 C82 58 84 24 91 24 C98 24 100 58 110 58" />
      <path class="middle" d="M84 58 C88 58 89 12 91 12 C93 12 94 58 98 58" />
    </g>
    <g v-else-if="of === 'strength'">
      <path class="wire" d="M26 8 V20 A15 15 0 0 0 56 20" />
      <path class="middle" d="M56 20 A17 17 0 0 0 58 12" />
      <path class="ink" d="M41 38 V48" />
      <path class="rod" d="M32 50 H50 L54 66 H28 Z" />
      <path class="ink" d="M72 62 H108 M72 62 V14 M72 58 L88 40 L106 34" />
    </g>
    <g v-else-if="of === 'cracks'">
      <path class="wire" d="M14 50 A22 22 0 0 1 58 50" />
      <path class="ink" d="M33 24 L35 30 L32 33 M38 24 L37 31 L40 34" />
      <rect class="frame" x="72" y="30" width="36" height="10" />
      <rect class="used" x="72" y="30" width="26" height="10" />
      <path class="ink" d="M100 26 V44" />
    </g>
    <g v-else>
      <circle class="frame" cx="34" cy="36" r="22" />
      <path class="ink" d="M34 36 V22 M34 36 L44 42" />
      <rect class="used" x="68" y="18" width="18" height="8" />
      <rect class="used" x="68" y="32" width="30" height="8" />
      <rect class="used" x="68" y="46" width="12" height="8" />
    </g>
  </svg>
</template>

<style scoped>
.picture {
  width: 120px;
  height: 72px;
  flex: none;
}

.picture * {
  fill: none;
}

.wire {
  stroke: #b87333;
  stroke-width: 5;
  stroke-linecap: round;
}

.middle {
  stroke: rgb(var(--v-theme-on-surface));
  stroke-dasharray: 3 2.4;
}

.ink,
.frame {
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 1.2;
}

.picture .rod {
  fill: rgba(var(--v-theme-on-surface), 0.22);
}

.picture .used {
  fill: rgba(var(--v-theme-primary), 0.55);
}
</style>
