<script setup lang="ts">
import { t } from '../text'
import { ref, watch } from 'vue'
import { api, data, type ChainRequest, type ChainSheet, type Gives } from '../api/client'
import { countOf } from '../shared/typing'
import { useNotice } from '../shared/notice'
import { useSettings } from '../shared/settings'

/** From what there is, and from what is wanted: rings in a bag, a thickness. */
const { sheet } = defineProps<{ sheet: ChainSheet }>()
const emit = defineEmits<{ set: [request: ChainRequest] }>()
const notice = useNotice()
const settings = useSettings()

const inside = ref('')
const wire = ref('')
const count = ref('300')
const gives = ref<Gives[]>([])
const wrong = ref('')

/** What is typed is read by the core. */
async function read(text: string, of_wire: boolean) {
  const reading = await data(api.POST('/api/lengths/read', { body: { text, of_wire } }))
  return reading.mm
}

async function fromBag() {
  wrong.value = ''
  gives.value = []
  const rings_n = countOf(count.value)
  if (rings_n === null)
    return (wrong.value = t('backwards-panel-not-number-rings-enter-number', { count: count.value }))
  try {
    const body = {
      inside_mm: await read(inside.value, false),
      wire_mm: await read(wire.value, true),
      rings_n,
    }
    gives.value = await data(api.POST('/api/chains/from-rings', { body }))
  } catch (thrown) {
    gives.value = []
    wrong.value = thrown instanceof Error ? thrown.message : String(thrown)
  }
}

const across = ref('')
const wires = ref<NonNullable<ChainSheet['backwards']>['wires']>([])
const looked = ref(false)
async function forLook() {
  wrong.value = ''
  try {
    const across_mm = await read(across.value, false)
    const body = { request: sheet.request, across_mm }
    wires.value = (await data(api.POST('/api/chains/backwards', { body }))).wires
    looked.value = true
  } catch (thrown) {
    wires.value = []
    wrong.value = thrown instanceof Error ? thrown.message : String(thrown)
    notice.fail(thrown)
  }
}
watch(
  () => sheet.request,
  () => ((wires.value = []), (looked.value = false)),
)
</script>

<template>
  <div class="back" data-test="backwards">
    <section>
      <h2>{{ t('backwards-panel-bag-rings') }}</h2>
      <form class="line" @submit.prevent="fromBag">
        <input
          v-model="count"
          class="word short"
          inputmode="numeric"
          :aria-label="t('backwards-panel-how-many-rings')"
          data-test="bag-count"
        />{{ t('backwards-panel-rings')
        }}<input
          v-model="inside"
          class="word"
          :placeholder="t('backwards-panel-5-mm')"
          :aria-label="t('backwards-panel-inside-rings')"
          data-test="bag-inside"
        />{{ t('backwards-panel-inside')
        }}<input
          v-model="wire"
          class="word"
          :placeholder="
            settings.settings.unit === 'inch' ? t('backwards-panel-18-ga') : t('backwards-panel-1-2-mm')
          "
          :aria-label="t('backwards-panel-their-wire')"
          data-test="bag-wire"
        />{{ t('backwards-panel-wire')
        }}<v-btn type="submit" variant="outlined" density="comfortable" data-test="bag-ask">{{
          t('backwards-panel-how-long')
        }}</v-btn>
      </form>
      <ul class="gives" data-test="gives">
        <li v-for="one in gives" :key="one.weave" :class="{ quiet: one.suits === 'cannot' }">
          {{ one.text }}
        </li>
      </ul>
    </section>
    <section>
      <h2>{{ t('backwards-panel-by-thickness') }}</h2>
      <form class="line" @submit.prevent="forLook">
        {{ t('backwards-panel-chain-about')
        }}<input
          v-model="across"
          class="word"
          :placeholder="t('backwards-panel-6-mm')"
          :aria-label="t('backwards-panel-width')"
          data-test="across"
        />{{ t('backwards-panel-wide')
        }}<v-btn type="submit" variant="outlined" density="comfortable" data-test="across-ask">{{
          t('backwards-panel-which-wire')
        }}</v-btn>
      </form>
      <p v-if="looked && !wires.length" class="quiet">{{ t('backwards-panel-none-your-rods-suits-this') }}</p>
      <ul class="gives">
        <li v-for="one in wires" :key="one.text">
          <button type="button" class="plain rod" @click="emit('set', one.request)">{{ one.text }}</button>
        </li>
      </ul>
    </section>
    <p v-if="wrong" class="stop" role="alert">{{ wrong }}</p>
  </div>
</template>

<style scoped>
.back {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(330px, 1fr));
  gap: 10px 40px;
  align-content: start;
  margin-top: 12px;
}

h2 {
  margin: 0 0 4px;
  font-size: 1.05rem;
}

.gives {
  list-style: none;
  margin: 0;
  padding: 0;
}

.rod {
  display: block;
  width: 100%;
  padding: 4px 0 4px 10px;
  border-left: 3px solid transparent;
}

.rod:hover {
  background: rgb(var(--v-theme-surface));
}

.line {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 8px;
}

.line .word {
  width: 5.2em;
}

.line .short {
  width: 4em;
}

.gives li {
  padding: 2px 0;
}
</style>
