<script setup lang="ts">
import { t } from '../../text'
import PiecePicker from '../PiecePicker.vue'
import { useAmounts } from '../../shared/amounts'
import { useWords } from '../../shared/words'
import type { Wish } from './wish'

/** The question as a sentence, each word of which can be changed. */
const wish = defineModel<Wish>({ required: true })
const words = useWords()
const { currency } = useAmounts()
</script>

<template>
  <div>
    <p class="wish serif">
      {{ t('choose-view-wire-for')
      }}<PiecePicker
        v-model="wish.piece"
        :label="t('choose-view-choose-piece')"
        :also="wish.forUses"
        first
      />{{ t('choose-view-worn')
      }}<select v-model="wish.worn" class="word" :aria-label="t('choose-view-where-worn')" data-test="worn">
        <option :value="null">{{ t('choose-view-where-usually') }}</option>
        <option v-for="one in words?.worn ?? []" :key="one.word" :value="one.word">
          {{ one.label }}
        </option></select
      >{{ t('choose-view-that-holds')
      }}<input
        v-model="wish.bears"
        class="word short"
        inputmode="decimal"
        :aria-label="t('choose-view-weight-must-hold-grams')"
        :placeholder="t('choose-view-nothing')"
        data-test="bears"
      />{{ t('choose-view-matters')
      }}<select
        v-model="wish.matters"
        class="word"
        :aria-label="t('choose-view-what-matters')"
        data-test="matters"
      >
        <option :value="null">{{ t('choose-view-nothing-more') }}</option>
        <option v-for="one in words?.matters ?? []" :key="one.word" :value="one.word">
          {{ one.label }}
        </option></select
      >.
      <button
        v-if="!wish.anySet"
        type="button"
        class="plain link more"
        :aria-expanded="wish.conditions"
        data-test="conditions"
        @click="wish.wantsMore = !wish.wantsMore"
      >
        {{ wish.conditions ? t('choose-view-fewer-conditions') : t('choose-view-more-conditions') }}
      </button>
    </p>
    <template v-if="wish.conditions">
      <p class="wish serif">
        {{ t('choose-view-goes-through')
        }}<input
          v-model="wish.hole"
          class="word short"
          :aria-label="t('choose-view-hole')"
          :placeholder="t('choose-view-no-hole')"
          autocomplete="off"
          data-test="hole"
        />{{ t('choose-view-is')
        }}<select
          v-model="wish.finish"
          class="word"
          :aria-label="t('choose-view-how-finished')"
          data-test="finish"
        >
          <option v-for="one in words?.finishes ?? []" :key="one.word" :value="one.word">
            {{ one.label }}
          </option></select
        >,
        <select
          v-model="wish.joined"
          class="word"
          :aria-label="t('choose-view-how-joined')"
          data-test="joined"
        >
          <option v-for="one in words?.joins ?? []" :key="one.word" :value="one.word">
            {{ one.label }}
          </option></select
        >{{ t('choose-view-made')
        }}<select
          v-model="wish.maker"
          class="word"
          :aria-label="t('choose-view-who-makes')"
          data-test="maker"
        >
          <option v-for="one in words?.makers ?? []" :key="one.word" :value="one.word">
            {{ one.label }}
          </option></select
        >{{ t('choose-view-for-at-most')
        }}<input
          v-model="wish.most"
          class="word short"
          inputmode="decimal"
          :aria-label="t('choose-view-what-wire-one-may-cost')"
          :placeholder="t('choose-view-any')"
          data-test="most"
        />{{ t('choose-view-wire-each', { currency }) }}
      </p>
      <div class="needs">
        <v-checkbox-btn
          v-model="wish.sensitive"
          inline
          :label="t('choose-view-sensitive')"
          data-test="sensitive"
        />
        <v-checkbox-btn v-model="wish.springs" inline :label="t('choose-view-springs')" data-test="springs" />
      </div>
    </template>
  </div>
</template>

<style scoped>
.wish {
  font-size: 1.35rem;
  line-height: 1.75;
  max-width: 62ch;
  margin: 0;
}

.wish .more {
  min-height: 30px;
  margin-left: 10px;
  font: 1.05rem var(--sans);
  color: rgb(var(--v-theme-primary));
  text-decoration: underline;
  text-underline-offset: 3px;
}

.needs {
  display: flex;
  flex-wrap: wrap;
  gap: 0 18px;
  margin-top: 6px;
}

.short {
  min-width: 1.8em;
}
</style>
