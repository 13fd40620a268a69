import { t } from '../text'
import { useQueryClient } from '@tanstack/vue-query'
import { useRouter } from 'vue-router'
import { api, data, type Piece } from '../api/client'
import { useKeptRefresh } from './kept'
import { useNotice } from './notice'

/** What comes after a piece is planned: it is saved, a batch of it is started, it is put on an order. */
export function useMakeNext() {
  const [router, notice, queries] = [useRouter(), useNotice(), useQueryClient()]
  const refreshKept = useKeptRefresh()

  /** Saves a piece under a name; gives its number and what undoes it. */
  async function save(piece: Piece, name: string): Promise<{ id: number; undo: number }> {
    const written =
      'rings' in piece
        ? await data(api.POST('/api/plans', { body: { name, request: piece.rings } }))
        : 'chain' in piece
          ? await data(api.POST('/api/chains', { body: { name, request: piece.chain } }))
          : await data(api.POST('/api/findings', { body: { name, request: piece.finding } }))
    await refreshKept()
    return { id: written.entry.id, undo: written.undo }
  }

  /** Says that a piece was saved, where it is all that was wanted; `undone` once that is taken back. */
  function toldSaved(name: string, undo: number, undone: () => void) {
    notice.did(t('make-next-saved-as', { name }), undo, () => {
      undone()
      void refreshKept()
    })
  }

  /** Starts a batch of a saved piece and goes to it. */
  async function startBatch(entry: number, pieces_n: number) {
    const written = await data(api.POST('/api/batches', { body: { entry, pieces_n } }))
    const refresh = () => queries.invalidateQueries({ queryKey: ['batches'] })
    notice.did(t('make-next-started', { name: written.entry.name }), written.undo, refresh)
    await refresh()
    await router.push(`/bench/${written.entry.id}`)
  }

  /** Takes a saved piece to the order that is being typed. */
  const order = (piece: number, count: number) => router.push({ path: '/orders', query: { piece, count } })

  return { save, toldSaved, startBatch, order }
}
