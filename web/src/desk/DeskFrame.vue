<script setup lang="ts" generic="R extends object, V extends string">
import { t } from '../text'
import { useNotice } from '../shared/notice'
import { useSettings } from '../shared/settings'
import type { Desk } from './types'
import DeskTools from './DeskTools.vue'

/** How every desk is laid: sentence, tools and drawing at the left, figures at the right, the strip at the foot. */
const { desk } = defineProps<{
  desk: Desk<R>
  title: string
  /** What can be drawn. */
  views: readonly { key: V; says: string; test: string }[]
  /** What it can be taken away as. */
  files: readonly { file: string; says: string; hint: string }[]
  /** What stands at the right. */
  beside: string
  /** The figures one needs at the bench: where the others stand below, these stand under the sentence. */
  bench: readonly { label: string; value: string }[]
}>()
const shown = defineModel<V>('shown', { required: true })
const trueSize = defineModel<boolean>('trueSize', { required: true })
const emit = defineEmits<{ keep: []; take: [file: string] }>()
const settings = useSettings()
const notice = useNotice()

const attempt = (work: Promise<unknown>) => work.catch(notice.fail)
</script>

<template>
  <div class="frame" :style="{ '--metal': desk.colour }">
    <h1 class="visually-hidden">{{ title }}</h1>
    <div class="table">
      <div class="left">
        <slot name="sentence" />
        <dl v-if="bench.length" class="bench" :aria-label="t('desk-frame-tools-needed')" data-test="bench">
          <div v-for="one in bench" :key="one.label">
            <dt>{{ one.label }}</dt>
            <dd class="num">{{ one.value }}</dd>
          </div>
        </dl>
        <div class="tools no-print">
          <DeskTools
            :sound="desk.sound"
            :can-undo="desk.past.length > 0"
            :can-redo="desk.future.length > 0"
            :files="files"
            @keep="emit('keep')"
            @take="(file) => emit('take', file)"
            @undo="attempt(desk.undo())"
            @redo="attempt(desk.redo())"
          >
            <slot name="tools" />
          </DeskTools>
          <span v-if="desk.kept" class="quiet of" data-test="kept-as">
            {{ desk.kept.name
            }}<template v-if="desk.changed">{{ t('desk-frame-changed-since-saved') }}</template>
          </span>
          <span class="states" role="group" :aria-label="t('desk-frame-what-shown')">
            <v-btn
              v-for="{ key, says, test } in views"
              :key="key"
              class="toggle"
              :aria-pressed="shown === key"
              :data-test="test"
              @click="shown = key"
            >
              {{ says }}
            </v-btn>
            <v-btn
              v-if="settings.pixelsPerMm"
              class="toggle"
              :aria-pressed="trueSize"
              data-test="true-size"
              @click="trueSize = !trueSize"
            >
              {{ t('desk-frame-true-size') }}
            </v-btn>
          </span>
        </div>
        <slot />
      </div>
      <aside v-if="$slots.figures" class="right" :class="{ stale: !desk.sound }" :aria-label="beside">
        <slot name="figures" />
      </aside>
    </div>
    <slot name="foot" />
  </div>
</template>

<style scoped>
.frame {
  display: flex;
  flex-direction: column;
  min-height: calc(100dvh - 138px);
}

.table {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(0, 1fr) var(--beside, 346px);
  gap: 0 44px;
  padding: 16px var(--gutter) 8px;
}

.left {
  display: flex;
  flex-direction: column;
  min-width: 0;
}

.tools {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
  margin-top: 8px;
}

.of {
  margin-left: 4px;
  font-style: italic;
}

.states {
  margin-left: auto;
  display: flex;
  gap: 18px;
}

.left :deep(.drawing) {
  flex: 1 1 200px;
  min-height: 200px;
}

@media (min-width: 901px) and (min-height: 700px) {
  .frame {
    height: calc(100dvh - 138px);
  }

  .table {
    min-height: 0;
  }

  .left,
  .right {
    overflow-y: auto;
    scrollbar-width: thin;
    contain: strict;
  }

  /* What goes on below fades rather than being cut. */
  .right::after {
    content: '';
    position: sticky;
    bottom: 0;
    display: block;
    height: 24px;
    background: linear-gradient(to bottom, transparent, rgb(var(--v-theme-background)));
    pointer-events: none;
  }
}

.bench {
  display: none;
}

@media (max-width: 900px) {
  .bench {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 22px;
    margin: 10px 0 2px;
  }

  .bench dt {
    color: rgb(var(--v-theme-quiet));
    font-size: 0.93rem;
    line-height: 1.1;
  }

  .bench dd {
    margin: 0;
    font-size: 1.5rem;
    line-height: 1.15;
  }

  .table {
    grid-template-columns: minmax(0, 1fr);
  }

  .left :deep(.drawing) {
    flex-basis: 300px;
  }

  .right {
    margin-top: 18px;
  }
}
</style>
