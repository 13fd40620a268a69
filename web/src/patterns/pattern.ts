import { defineStore } from 'pinia'
import { api, data, type PatternRequest, type PatternSheet, type PatternWorked } from '../api/client'
import { desk } from '../desk/desk'
import type { Choice } from '../desk/types'

/** The finding in the drawing room. */
export const usePattern = defineStore('pattern', () =>
  desk<PatternRequest, PatternWorked, PatternSheet, Choice<PatternRequest>>('pattern', {
    sheet: (body) => data(api.POST('/api/findings/sheet', { body })),
    change: (request, slot, change, quick) =>
      data(
        api.POST('/api/findings/change', {
          params: { query: { dragged: quick } },
          body: { request, slot, change },
        }),
      ),
    choices: (request, slot) => data(api.POST('/api/findings/choices', { body: { request, slot } })),
    /** The first pattern there is. */
    async first() {
      const [kind] = await data(api.GET('/api/finding-kinds'))
      return kind ? { request: { kind: kind.kind, wire: kind.wire } } : null
    },
    keepNew: (body) => data(api.POST('/api/findings', { body })),
    keepOver: ({ id, revision }, body) =>
      data(api.PUT('/api/findings/{id}', { params: { path: { id }, query: { revision } }, body })),
  }),
)
