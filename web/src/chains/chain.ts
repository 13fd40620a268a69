import { t } from '../text'
import { defineStore } from 'pinia'
import {
  api,
  data,
  type ChainRequest,
  type ChainSheet,
  type ChainSlot,
  type ChainWorked,
} from '../api/client'
import { desk } from '../desk/desk'
import type { Choice } from '../desk/types'

/** The chain being worked on. */
export const useChain = defineStore('chain', () =>
  desk<ChainRequest, ChainWorked, ChainSheet, Choice<ChainRequest>>('chain', {
    sheet: (body) => data(api.POST('/api/chains/sheet', { body })),
    change: (request, slot, change) =>
      data(api.POST('/api/chains/change', { body: { request, slot: slot as ChainSlot, change } })),
    choices: (request, slot) =>
      data(api.POST('/api/chains/choices', { body: { request, slot: slot as ChainSlot } })),
    /** The last kept chain, or a first one to start from. */
    async first() {
      const page = await data(api.GET('/api/chains', { params: { query: { most: 1 } } }))
      const last = page.entries[0]
      if (last) return { request: last.record.request, entry: last }
      const text = t('chain-19-cm-byzantine-quarter-hard')
      const { chain } = await data(api.POST('/api/ask', { body: { text } }))
      return chain ? { request: chain } : null
    },
    keepNew: (body) => data(api.POST('/api/chains', { body })),
    keepOver: ({ id, revision }, body) =>
      data(api.PUT('/api/chains/{id}', { params: { path: { id }, query: { revision } }, body })),
  }),
)
