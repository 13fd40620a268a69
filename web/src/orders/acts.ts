import { useRouter } from 'vue-router'
import { api, data, type OrderRow } from '../api/client'
import { useNotice } from '../shared/notice'
import { countIn } from '../shared/piece'
import { t } from '../text'

/** What is done about an order. `refresh` asks for all lists again. */
export function useOrderActs(refresh: () => Promise<unknown>) {
  const router = useRouter()
  const notice = useNotice()

  async function attempt(work: () => Promise<unknown>) {
    try {
      await work()
    } catch (thrown) {
      notice.fail(thrown)
    }
    await refresh()
  }

  let beginning = false
  /** Starts the batch of a line, once however often it is pressed. */
  async function begin(order: OrderRow, line: number) {
    if (beginning) return
    beginning = true
    await attempt(async () => {
      const { entry, undo } = await data(
        api.POST('/api/orders/{id}/lines/{line}/begin', {
          params: { path: { id: order.id, line } },
          body: {},
        }),
      )
      notice.did(t('orders-view-started', { name: entry.name }), undo, refresh)
      await router.push(`/bench/${entry.id}`)
    })
    beginning = false
  }

  /** Hands over so many of a line; what is set aside for another order only when told to. */
  async function handOver(order: OrderRow, line: number, n: number, even_if_set_aside: boolean) {
    const body = { revision: order.revision, line, n, even_if_set_aside }
    const path = { id: order.id }
    const { undo } = await data(api.POST('/api/orders/{id}/hand-over', { params: { path }, body }))
    notice.did(t('orders-view-handed-over', { n, name: order.record.lines[line]!.name }), undo, refresh)
    await refresh()
  }

  /** All of an order at once; one line has its own button. */
  const handOverAll = (order: OrderRow) =>
    attempt(async () => {
      const params = { path: { id: order.id }, query: { revision: order.revision } }
      const { undo } = await data(api.POST('/api/orders/{id}/hand-over-all', { params }))
      notice.did(t('orders-view-handed-over-all', { forwhom: order.for_whom }), undo, refresh)
    })
  const putAway = (
    { id, revision, name }: { id: number; revision: number; name: string },
    archived: boolean,
  ) =>
    attempt(async () => {
      const body = { revision, archived }
      const { undo } = await data(api.POST('/api/orders/{id}/archive', { params: { path: { id } }, body }))
      notice.did(
        archived ? t('orders-view-closed-it', { name }) : t('orders-view-reopened-it', { name }),
        undo,
        refresh,
      )
    })

  /** The same once more: a new order for the same, due no day. */
  const again = (order: OrderRow) =>
    attempt(async () => {
      const lines = order.record.lines.map(({ name, piece, spares_percent }) => ({
        name,
        piece,
        spares_percent,
        pieces_n: countIn(piece),
      }))
      const body = { customer: order.record.customer, note: order.record.note, lines }
      const { undo } = await data(api.POST('/api/orders', { body }))
      notice.did(t('orders-view-ordered-again-for', { forwhom: order.for_whom }), undo, refresh)
    })

  return { begin, handOver, handOverAll, putAway, again }
}
