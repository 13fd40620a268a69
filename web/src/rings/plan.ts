import { t } from '../text'
import { defineStore } from 'pinia'
import { api, data, type RingRequest, type Sheet, type Slot, type Worked } from '../api/client'
import { desk } from '../desk/desk'
import type { Choice } from '../desk/types'

/** The ring plan being worked on. */
export const usePlan = defineStore('plan', () =>
  desk<RingRequest, Worked, Sheet, Choice<RingRequest>>('draft', {
    sheet: (body) => data(api.POST('/api/rings/sheet', { body })),
    change: (request, slot, change) =>
      data(api.POST('/api/rings/change', { body: { request, slot: slot as Slot, change } })),
    choices: (request, slot) =>
      data(api.POST('/api/rings/choices', { body: { request, slot: slot as Slot } })),
    /** The last kept plan, or a first one to start from. */
    async first() {
      const page = await data(api.GET('/api/plans', { params: { query: { most: 1 } } }))
      const last = page.entries[0]
      if (last) return { request: last.record.request, entry: last }
      const text = t('plan-120-rings-5-mm-inside')
      const { request } = await data(api.POST('/api/ask', { body: { text } }))
      return request ? { request } : null
    },
    keepNew: (body) => data(api.POST('/api/plans', { body })),
    keepOver: ({ id, revision }, body) =>
      data(api.PUT('/api/plans/{id}', { params: { path: { id }, query: { revision } }, body })),
  }),
)
