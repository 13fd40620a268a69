<script setup lang="ts">
import { t } from '../text'
import { computed } from 'vue'
import type { OnScale } from '../api/client'

/** Where a ratio stands in every weave at once: from what cannot be to what is floppy. */
const { scale, ratio, brief } = defineProps<{
  scale: OnScale[]
  ratio: number
  /** Only the weave of the plan. */
  brief?: boolean
}>()
const emit = defineEmits<{ choose: [weave: OnScale]; every: [] }>()

const shown = computed(() => {
  const chosen = scale.filter((one) => one.chosen)
  return brief && chosen.length ? chosen : scale
})

const LEAST = 1.8
const most = computed(() => Math.max(9.5, Math.ceil(ratio + 1)))
const at = (value: number) =>
  `${Math.min(100, Math.max(0, ((value - LEAST) / (most.value - LEAST)) * 100)).toFixed(2)}%`
const ticks = computed(() => Array.from({ length: Math.floor(most.value) - 1 }, (_, i) => i + 2))
</script>

<template>
  <section class="scale" :aria-label="t('ratio-scale-ratio-in-every-weave')" data-test="scale">
    <p class="head">
      <span class="quiet">
        {{ t('ratio-scale-aspect-ratio')
        }}<v-btn v-if="brief" class="link inline" data-test="every-weave" @click="emit('every')">
          {{ t('ratio-scale-in-every-weave') }}
        </v-btn>
      </span>
      <span class="key quiet">
        <span class="mark cannot" />{{ t('ratio-scale-not-possible') }}<span class="mark stiff" />{{
          t('ratio-scale-stiff')
        }}<span class="mark usual" />{{ t('ratio-scale-usual') }}<span class="mark loose" />{{
          t('ratio-scale-loose')
        }}<span class="mark floppy" />{{ t('ratio-scale-floppy') }}
      </span>
    </p>
    <ol class="rows">
      <li v-for="one in shown" :key="one.weave">
        <button
          type="button"
          class="plain row"
          :class="{ chosen: one.chosen, cannot: one.suits === 'cannot' }"
          :aria-pressed="one.chosen"
          :title="one.text"
          :data-weave="one.weave"
          @click="emit('choose', one)"
        >
          <span class="name">{{ one.label }}</span>
          <span class="bar" aria-hidden="true">
            <span
              class="span stiff"
              :style="{ left: at(one.smallest_ratio), right: `calc(100% - ${at(one.usual_ratio[0]!)})` }"
            />
            <span
              class="span usual"
              :style="{ left: at(one.usual_ratio[0]!), right: `calc(100% - ${at(one.usual_ratio[1]!)})` }"
            />
            <span
              class="span loose"
              :style="{ left: at(one.usual_ratio[1]!), right: `calc(100% - ${at(one.floppy_ratio)})` }"
            />
            <span class="span floppy" :style="{ left: at(one.floppy_ratio), right: '0' }" />
          </span>
          <span class="says">{{ one.suits }}</span>
          <span class="visually-hidden">{{ one.text }}</span>
        </button>
      </li>
    </ol>
    <div class="axis" aria-hidden="true">
      <span class="here" :style="{ left: at(ratio) }"
        ><b class="num">{{ ratio.toFixed(1) }}</b></span
      >
      <span v-for="tick in ticks" :key="tick" class="tick quiet" :style="{ left: at(tick) }">{{ tick }}</span>
    </div>
  </section>
</template>

<style scoped>
.scale {
  --name: 190px;
  --says: 62px;
  position: relative;
  padding: 6px var(--gutter) 8px;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}

.head {
  display: flex;
  justify-content: space-between;
  gap: 4px 18px;
  flex-wrap: wrap;
  margin: 0 0 2px;
  font-size: 0.95rem;
}

.link {
  color: rgb(var(--v-theme-primary));
  text-decoration: underline;
}

.rows {
  list-style: none;
  margin: 0;
  padding: 0;
}

.row {
  display: grid;
  grid-template-columns: var(--name) 1fr var(--says);
  align-items: center;
  gap: 12px;
  width: 100%;
  min-height: 17px;
  font-size: 0.95rem;
  line-height: 1.1;
}

.row.chosen {
  font-weight: 700;
  color: rgb(var(--v-theme-primary));
}

.row.cannot:not(.chosen) {
  color: rgb(var(--v-theme-quiet));
}

.bar {
  position: relative;
  height: 9px;
  background: repeating-linear-gradient(-55deg, transparent 0 4px, rgb(var(--v-theme-hairline)) 4px 5px);
}

.span,
.mark {
  background: rgb(var(--v-theme-background));
}

.span {
  position: absolute;
  top: 0;
  bottom: 0;
}

.mark {
  display: inline-block;
  width: 18px;
  height: 9px;
  margin-left: 10px;
  vertical-align: baseline;
}

.mark.cannot {
  background: repeating-linear-gradient(-55deg, transparent 0 4px, rgb(var(--v-theme-quiet)) 4px 5px);
}

/* Told apart by their height and pattern too, not by colour alone. */
.stiff {
  background: linear-gradient(rgb(var(--v-theme-warning)), rgb(var(--v-theme-warning))) center / 100% 3px
    no-repeat rgb(var(--v-theme-background));
}

.usual {
  background: rgb(var(--v-theme-primary));
}

.loose {
  background: linear-gradient(rgb(var(--v-theme-primary)), rgb(var(--v-theme-primary))) center / 100% 2px
    no-repeat rgb(var(--v-theme-background));
}

.floppy {
  background: radial-gradient(circle, rgb(var(--v-theme-quiet)) 1px, transparent 1.4px) 0 50% / 7px 9px
    repeat-x rgb(var(--v-theme-background));
}

.axis {
  position: absolute;
  top: 28px;
  bottom: 0;
  left: calc(var(--gutter) + var(--name) + 12px);
  right: calc(var(--gutter) + var(--says) + 12px);
  pointer-events: none;
}

.here {
  position: absolute;
  top: 0;
  bottom: 22px;
  border-left: 2px solid rgb(var(--v-theme-on-background));
}

.here b {
  position: absolute;
  left: 5px;
  top: -22px;
  font-size: 1.05rem;
}

.tick {
  position: absolute;
  bottom: 2px;
  transform: translateX(-50%);
  font-size: 0.85rem;
}

.scale {
  padding-bottom: 24px;
}

@media (max-width: 700px) {
  .scale {
    --name: 112px;
    --says: 48px;
  }

  .key {
    display: none;
  }

  .row {
    min-height: 26px;
    gap: 8px;
  }

  .axis {
    left: calc(var(--gutter) + var(--name) + 8px);
    right: calc(var(--gutter) + var(--says) + 8px);
  }
}
</style>
