<script setup lang="ts">
import WordSelect from '../../shared/WordSelect.vue'
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
      }}<WordSelect
        v-model="wish.worn"
        :aria-label="t('choose-view-where-worn')"
        data-test="worn"
        :choices="[{ word: null, label: t('choose-view-where-usually') }, ...(words?.worn ?? [])]"
      />{{ t('choose-view-that-holds')
      }}<input
        v-model="wish.bears"
        class="word short"
        inputmode="decimal"
        :aria-label="t('choose-view-weight-must-hold-grams')"
        :placeholder="t('choose-view-nothing')"
        data-test="bears"
      />{{ t('choose-view-matters')
      }}<WordSelect
        v-model="wish.matters"
        :aria-label="t('choose-view-what-matters')"
        data-test="matters"
        :choices="[{ word: null, label: t('choose-view-nothing-more') }, ...(words?.matters ?? [])]"
      />.
      <v-btn
        v-if="!wish.anySet"
        class="link more inline"
        :aria-expanded="wish.conditions"
        data-test="conditions"
        @click="wish.wantsMore = !wish.wantsMore"
      >
        {{ wish.conditions ? t('choose-view-fewer-conditions') : t('choose-view-more-conditions') }}
      </v-btn>
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
        }}<WordSelect
          v-model="wish.finish"
          :aria-label="t('choose-view-how-finished')"
          data-test="finish"
          :choices="words?.finishes ?? []"
        />,
        <WordSelect
          v-model="wish.joined"
          :aria-label="t('choose-view-how-joined')"
          data-test="joined"
          :choices="words?.joins ?? []"
        />{{ t('choose-view-made')
        }}<WordSelect
          v-model="wish.maker"
          :aria-label="t('choose-view-who-makes')"
          data-test="maker"
          :choices="words?.makers ?? []"
        />{{ t('choose-view-for-at-most')
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
