import { api, data, type Changes, type LedBatch, type PatternRequest, type RingRequest } from '../api/client'
import type { Choice } from '../desk/types'

/** A route that is as its plan and the workshop have it. */
const UNCHANGED = {} as Changes

/** What the menu of the making needs of a desk, for the piece of a batch: a choice is kept for this batch alone. */
export function makingOf(led: LedBatch, kept: () => Promise<unknown>) {
  const { piece } = led.entry.record
  const keep = async (route: Changes | undefined) => {
    const { id, revision } = led.entry
    const params = { path: { id }, query: { revision } }
    await data(api.PUT('/api/batches/{id}/making', { params, body: route ?? UNCHANGED }))
    await kept()
  }
  if ('finding' in piece)
    return {
      draft: piece.finding,
      sound: true,
      choices: (request: PatternRequest, slot: string) =>
        data(api.POST('/api/findings/choices', { body: { request, slot } })) as Promise<
          Choice<PatternRequest>[]
        >,
      set: (request: PatternRequest) => keep(request.route),
    }
  // How a chain's rings are made is planned with the chain.
  if ('chain' in piece) return null
  return {
    draft: piece.rings,
    sound: true,
    choices: (request: RingRequest) =>
      data(api.POST('/api/rings/choices', { body: { request, slot: 'making' } })) as Promise<
        Choice<RingRequest>[]
      >,
    set: (request: RingRequest) => keep(request.route),
  }
}
