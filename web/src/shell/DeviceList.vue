<script setup lang="ts">
import { momentOf } from '../shared/dates'
import { t } from '../text'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, data } from '../api/client'
import { useNotice } from '../shared/notice'

/** The devices that have unlocked the workshop with its passphrase; each can be signed out from here. */
const queries = useQueryClient()
const notice = useNotice()
const { data: session } = useQuery({
  queryKey: ['session'],
  queryFn: () => data(api.GET('/api/session')),
})
const { data: devices } = useQuery({
  queryKey: ['devices'],
  queryFn: () => data(api.GET('/api/devices')),
  enabled: computed(() => session.value?.passphrase === true),
  // Somebody can sign in meanwhile, and when each was last used goes on.
  staleTime: 0,
})
const shown = computed(() =>
  (devices.value ?? []).map((device) => ({
    ...device,
    name: device.name || t('device-list-device-that-signed-in-before'),
    used: device.current
      ? t('device-list-this-device')
      : t('device-list-last-used', { seenat: momentOf(device.last_used_at) }),
  })),
)

async function signOut(device: { id: string; name: string; current: boolean }) {
  try {
    const params = { path: { id: device.id } }
    await data(api.DELETE('/api/devices/{id}', { params }))
    // This one is asked for the passphrase by whatever it asks next.
    if (device.current) return window.location.assign('/')
    notice.say(t('device-list-signed-out', { name: device.name }))
  } catch (thrown) {
    notice.fail(thrown)
  }
  await queries.invalidateQueries({ queryKey: ['devices'] })
}
</script>

<template>
  <section v-if="session" aria-labelledby="devices-title">
    <h3 id="devices-title">{{ t('device-list-signed-in-devices') }}</h3>
    <p v-if="!session.passphrase" class="quiet">
      {{ t('device-list-no-passphrase-set-anyone-who')
      }}<code>{{ t('device-list-lorimant-passphrase') }}</code
      >.
    </p>
    <ul v-else class="devices">
      <li v-for="device in shown" :key="device.id" data-test="device">
        <span
          >{{ device.name }}<br /><span class="quiet">{{ device.used }}</span></span
        >
        <v-btn
          size="small"
          color="primary"
          :aria-label="t('device-list-sign-out', { name: device.name })"
          @click="signOut(device)"
        >
          {{ t('device-list-sign-out-2') }}
        </v-btn>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.devices {
  list-style: none;
  padding: 0;
}
.devices li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 1rem;
  padding-block: 0.35rem;
}
</style>
