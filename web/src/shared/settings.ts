import { useMediaQuery, useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { api, data, type Settings } from '../api/client'

/** The workshop's settings, kept by the server; and this screen's size, kept by this browser. */
export const useSettings = defineStore('settings', () => {
  const settings = ref<Settings>({ unit: 'mm', gauge: 'awg', theme: 'device', workshop_name: '' })
  const revision = ref(0)
  /** CSS pixels in a real millimetre on this screen; null until it was matched. */
  const pixelsPerMm = useLocalStorage<number | null>('lorimant.pixels-per-mm', null, {
    serializer: { read: (text) => Number(text) || null, write: String },
  })
  const deviceDark = useMediaQuery('(prefers-color-scheme: dark)')
  const dark = computed(() =>
    settings.value.theme === 'device' ? deviceDark.value : settings.value.theme === 'dark',
  )

  async function load() {
    const answer = await data(api.GET('/api/settings'))
    settings.value = answer.settings
    revision.value = answer.revision
  }

  async function keep(change: Partial<Settings>) {
    const body = { ...settings.value, ...change }
    const query = { revision: revision.value }
    const answer = await data(api.PUT('/api/settings', { params: { query }, body }))
    settings.value = answer.settings
    revision.value = answer.revision
  }

  return { settings, pixelsPerMm, dark, load, keep }
})
