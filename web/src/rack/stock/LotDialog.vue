<script setup lang="ts">
import { computed } from 'vue'
import { t } from '../../text'
import type { Stocked } from '../../api/client'
import PiecePicker from '../PiecePicker.vue'
import { useAmounts } from '../../shared/amounts'
import { useWords } from '../../shared/words'
import DayPicker from '../../shared/DayPicker.vue'
import { useTypedDay } from '../../shared/day'
import BothVersions from '../../shared/BothVersions.vue'
import PaperDialog from '../../shared/PaperDialog.vue'
import PaperField from '../../shared/PaperField.vue'
import PaperPick from '../../shared/PaperPick.vue'
import PaperWord from '../../shared/PaperWord.vue'
import { useLotForm } from './lotForm'

/** Receiving wire, or changing what is written of a lot. A shop's line fills in what it says. */
const entry = defineModel<Stocked | 'new' | null>({ required: true })
const words = useWords()
const { currency } = useAmounts()
const {
  open,
  isNew,
  restored,
  listing,
  understood,
  prices,
  piece,
  perPiece,
  texts,
  picked,
  skinned,
  current,
  receiving,
  decode,
  keep,
} = useLotForm(entry)

const bought = computed(() => texts.value.bought_on ?? '')
const { told: boughtTold, day: boughtDay } = useTypedDay(bought, true)
/** Which day it is, where its year is not written out. */
const boughtOn = computed(() => (/\d{4}/.test(bought.value) ? '' : boughtTold.value))

/** What is written of a lot, in a line. */
const told = (lot: { name?: string; note?: string; price?: string | null }) =>
  [`“${lot.name}”`, lot.price && `${lot.price} ${currency.value}`, lot.note].filter(Boolean).join(', ')
</script>

<template>
  <PaperDialog
    v-model="open"
    :title="isNew ? t('lot-dialog-add-wire') : t('lot-dialog-edit-lot')"
    :name="isNew ? t('lot-dialog-add-wire') : t('lot-dialog-change-lot')"
    :width="680"
    :unkept="restored"
    :does="isNew ? t('lot-dialog-add-stock') : t('lot-dialog-save')"
    test="keep-lot"
    @submit="keep"
  >
    <template v-if="isNew">
      <PaperField
        v-model="listing"
        name="listing"
        :label="t('lot-dialog-paste-shops-listing')"
        :placeholder="t('lot-dialog-925-hh-sq-20ga-5ft')"
        :hint="t('lot-dialog-metal-size-temper-amount-price')"
        autofocus
        maxlength="300"
        data-test="listing"
        @update:model-value="decode()"
      />
      <ul v-if="understood" class="listing" data-test="listing-says">
        <li v-if="prices">{{ prices }}</li>
        <li v-for="line in understood.doubtful" :key="line" class="watch">{{ line }}</li>
        <li v-for="line in understood.missing" :key="line" class="quiet">{{ line }}</li>
        <li v-if="understood.unclear.length" class="quiet">
          {{ t('lot-dialog-not-understood', { unclear: understood.unclear.join(', ') }) }}
        </li>
      </ul>
      <p v-if="understood" class="quiet priced">
        {{ t('lot-dialog-priced-for') }}<PiecePicker v-model="piece" :label="t('lot-dialog-piece')" />
        <span data-test="per-piece">{{ perPiece }}</span>
      </p>
    </template>
    <p class="serif wish">
      <PaperPick
        v-model="picked.kind"
        name="kind"
        :label="t('lot-dialog-it-is-a')"
        :choices="words?.stock_kinds ?? []"
        class="begins"
        data-test="lot-kind"
      />{{ t('lot-dialog-of')
      }}<PaperPick
        v-model="picked.temper"
        name="temper"
        :label="t('lot-dialog-temper')"
        :choices="words?.tempers ?? []"
        data-test="lot-temper"
      />
      <PaperPick
        v-model="picked.metal"
        name="metal"
        :label="t('lot-dialog-metal')"
        :placeholder="t('lot-dialog-which-metal')"
        :choices="words?.metals ?? []"
        data-test="lot-metal"
      />,
      <PaperPick
        v-model="picked.section"
        name="section"
        :label="t('lot-dialog-section')"
        :choices="words?.sections ?? []"
        data-test="lot-section"
      />
      <PaperWord
        v-model="texts.size"
        name="size"
        :also="['wire.size_mm', 'lot.wire.size_mm']"
        :label="t('lot-dialog-size')"
        :placeholder="t('lot-dialog-18-awg-1-mm')"
        data-test="lot-size"
      />,
      <PaperPick
        v-model="picked.surface"
        name="surface"
        :label="t('lot-dialog-surface')"
        :choices="words?.surfaces ?? []"
        data-test="lot-surface"
      /><template v-if="skinned">
        {{ t('lot-dialog-with-outer-layer')
        }}<PaperWord
          v-model="texts.skin_share"
          name="skin_share"
          :also="['lot.skin_share']"
          :label="t('lot-dialog-outer-layer-weight')"
          placeholder="5"
          figures
        />{{ t('lot-dialog-its-weight') }}</template
      ><template v-if="isNew"
        >:
        <PaperWord
          v-model="texts.amount"
          name="amount"
          :also="['length_mm']"
          :label="t('lot-dialog-length-or-weight')"
          :placeholder="t('lot-dialog-5-m-16-ft-250')"
          data-test="lot-amount"
        />{{ t('lot-dialog-of-it') }}</template
      ><template v-else>{{ t('lot-dialog-bought') }}</template
      >{{ t('lot-dialog-for')
      }}<PaperWord
        v-model="texts.price"
        name="price"
        :also="['lot.price']"
        :label="t('lot-dialog-price')"
        :placeholder="t('lot-dialog-not-said')"
        figures
        data-test="lot-price"
      />{{ t('lot-dialog-bought-on', { currency })
      }}<PaperWord
        v-model="texts.bought_on"
        name="bought_on"
        :also="['lot.bought_on']"
        :label="t('lot-dialog-bought-on-2')"
        :placeholder="t('lot-dialog-not-said')"
        data-test="lot-bought-on"
      /><DayPicker
        :model-value="bought"
        :day="boughtDay"
        @update:model-value="(day) => (texts.bought_on = day)"
      /><span v-if="boughtOn" class="quiet" data-test="bought-told">{{
        t('lot-dialog-bought-told', { day: boughtOn })
      }}</span
      >{{ t('lot-dialog-empty-spool-weighs')
      }}<PaperWord
        v-model="texts.tare_g"
        name="tare_g"
        :also="['lot.tare_g']"
        :label="t('lot-dialog-empty-spool-g')"
        :placeholder="t('lot-dialog-not-weighed')"
        figures
        data-test="lot-tare"
      />{{ t('lot-dialog-g-its-tag-says')
      }}<PaperWord
        v-model="texts.name"
        name="name"
        :also="['lot.name']"
        :label="t('lot-dialog-name-on-its-tag')"
        :placeholder="t('lot-dialog-blue-spool')"
        :most="60"
        data-test="lot-name"
      />.
    </p>
    <PaperField v-model="texts.note" name="note" :label="t('lot-dialog-note')" maxlength="500" />
    <BothVersions
      v-if="current"
      :yours="told(texts)"
      :theirs="`${told(current.record)}: ${current.description}`"
      :at="current.updated_at"
      @mine="keep"
      @theirs="entry = current"
    />
    <p v-if="receiving" class="serif" role="status" data-test="receiving">{{ receiving }}</p>
  </PaperDialog>
</template>

<style scoped>
.wish {
  font-size: 1.35rem;
  line-height: 1.75;
  margin: 4px 0 12px;
}

.begins :deep(select) {
  text-transform: capitalize;
}

.priced {
  margin: 0 0 8px;
}

.listing {
  margin: 8px 0 4px;
  padding-left: 18px;
}
</style>
