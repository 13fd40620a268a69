import { useMediaQuery, useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { api, data, type Revisioned, type Settings, type Scale } from '../api/client'

/** The workshop's settings, kept by the server; and this screen's size, kept by this browser. */
export const useSettings = defineStore('settings', () => {
  const settings = ref<Settings>({ unit: 'mm', gauge: 'awg', theme: 'device', workshop_name: '' })
  const revision = ref(0)
  /** Whether their dialog is open. */
  const open = ref(false)
  /** The units lengths of wire are read in under these settings, the smallest first. */
  const scales = ref<Scale[]>([])
  const caliper = ref<Scale>({ unit: 'mm', one_mm: 1, from_mm: 0, places_n: 2 })
  const inchMm = ref(Number.NaN)
  /** CSS pixels in a real millimetre on this screen; null until it was matched. */
  const pixelsPerMm = useLocalStorage<number | null>('lorimant.pixels-per-mm', null, {
    serializer: { read: (text) => Number(text) || null, write: String },
  })
  const deviceDark = useMediaQuery('(prefers-color-scheme: dark)')
  const dark = computed(() =>
    settings.value.theme === 'device' ? deviceDark.value : settings.value.theme === 'dark',
  )

  function take(answer: Revisioned) {
    settings.value = answer.settings
    revision.value = answer.revision
    scales.value = answer.scales
    caliper.value = answer.caliper
    inchMm.value = answer.inch_mm
  }

  const load = async () => take(await data(api.GET('/api/settings')))

  async function keep(change: Partial<Settings>) {
    const body = { ...settings.value, ...change }
    const query = { revision: revision.value }
    take(await data(api.PUT('/api/settings', { params: { query }, body })))
  }

  return { settings, open, scales, caliper, inchMm, pixelsPerMm, dark, load, keep }
})
