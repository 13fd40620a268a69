import { shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { api, data, type KeptPiece } from '../api/client'
import { useChain } from '../chains/chain'
import { useShelf, type ShelfEntry } from '../desk/shelf'
import { usePattern } from '../patterns/pattern'
import { usePlan } from '../rings/plan'
import { recordOf } from '../shared/kept'
import { t } from '../text'

/** What is done with a saved piece, be it rings, a finding or a chain. `refresh` asks for the list again. */
export function useSavedActs(refresh: () => Promise<unknown>) {
  const plan = usePlan()
  const pattern = usePattern()
  const chain = useChain()
  const router = useRouter()

  const rings = useShelf({
    add: (body) => data(api.POST('/api/plans', { body })),
    replace: ({ id, revision }, body) =>
      data(api.PUT('/api/plans/{id}', { params: { path: { id }, query: { revision } }, body })),
    archive: (id, body) => data(api.POST('/api/plans/{id}/archive', { params: { path: { id } }, body })),
    count: (record) => record.request.rings_n ?? 1,
    refresh,
    desk: plan,
  })
  const findings = useShelf({
    add: (body) => data(api.POST('/api/findings', { body })),
    replace: ({ id, revision }, body) =>
      data(api.PUT('/api/findings/{id}', { params: { path: { id }, query: { revision } }, body })),
    archive: (id, body) => data(api.POST('/api/findings/{id}/archive', { params: { path: { id } }, body })),
    count: (record) => record.request.pieces_n ?? 1,
    refresh,
    desk: pattern,
  })

  const chains = useShelf({
    add: (body) => data(api.POST('/api/chains', { body })),
    replace: ({ id, revision }, body) =>
      data(api.PUT('/api/chains/{id}', { params: { path: { id }, query: { revision } }, body })),
    archive: (id, body) => data(api.POST('/api/chains/{id}/archive', { params: { path: { id } }, body })),
    count: (record) => record.request.chains_n ?? 1,
    refresh,
    desk: chain,
  })

  const renamingChain = shallowRef<ShelfEntry<Parameters<typeof chains.rename>[1]> | null>(null)
  const renamingRings = shallowRef<ShelfEntry<Parameters<typeof rings.rename>[1]> | null>(null)
  const renamingFinding = shallowRef<ShelfEntry<Parameters<typeof findings.rename>[1]> | null>(null)
  /** The piece whose revisions are looked at. */
  const looking = shallowRef<KeptPiece | null>(null)

  /** The lines of a row's menu. */
  function acts(entry: KeptPiece) {
    const { piece } = entry
    const lines =
      'rings' in piece
        ? rings.acts(recordOf(entry, piece.rings), (row) => (renamingRings.value = row))
        : 'chain' in piece
          ? chains.acts(recordOf(entry, piece.chain), (row) => (renamingChain.value = row))
          : findings.acts(recordOf(entry, piece.finding), (row) => (renamingFinding.value = row))
    const revisions = {
      label: t('kept-view-earlier-revisions'),
      test: 'revisions',
      act: () => (looking.value = entry),
    }
    const after = lines.findIndex((line) => line.test === 'duplicate') + 1
    return entry.revision > 1 ? lines.toSpliced(after, 0, revisions) : lines
  }

  async function open(entry: KeptPiece) {
    const { piece } = entry
    if ('rings' in piece)
      await rings.attempt(async () => {
        await plan.openKept(recordOf(entry, piece.rings))
        await router.push('/rings')
      })
    else if ('chain' in piece)
      await chains.attempt(async () => {
        await chain.openKept(recordOf(entry, piece.chain))
        await router.push('/chains')
      })
    else await findings.attempt(() => router.push({ path: '/findings/piece', query: { saved: entry.id } }))
  }

  /** The rows that are renamed, and how each kind is kept under its new name. */
  const renamed = { rings: rings.rename, finding: findings.rename, chain: chains.rename }
  return { renamingRings, renamingFinding, renamingChain, renamed, looking, acts, open }
}
