import { defineStore } from 'pinia'
import { api, data, type PatternRequest, type PatternSheet, type PatternWorked } from '../api/client'
import { desk, type Choice } from '../desk/desk'

/** The finding in the drawing room. */
export const usePattern = defineStore('pattern', () =>
  desk<PatternRequest, PatternWorked, PatternSheet, Choice<PatternRequest>>('pattern', {
    sheet: (body) => data(api.POST('/api/patterns/sheet', { body })),
    change: (request, slot, change, quick) =>
      data(
        api.POST('/api/patterns/change', {
          params: { query: { dragged: quick } },
          body: { request, slot, change },
        }),
      ),
    choices: (request, slot) => data(api.POST('/api/patterns/choices', { body: { request, slot } })),
    /** The first pattern there is. */
    async first() {
      const [kind] = await data(api.GET('/api/pattern-kinds'))
      return kind ? { request: { kind: kind.kind, wire: kind.wire } } : null
    },
    keepNew: (body) => data(api.POST('/api/patterns', { body })),
    keepOver: ({ id, revision }, body) =>
      data(api.PUT('/api/patterns/{id}', { params: { path: { id }, query: { revision } }, body })),
  }),
)
