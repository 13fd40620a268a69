import { t } from '../text'
import { useMakeNext } from '../shared/makeNext'
import type { Act } from '../shared/MoreMenu.vue'
import { useNotice } from '../shared/notice'
import { usePick } from '../shared/picking'

/** An entry of a shelf of named records, as far as its row needs it. */
export interface ShelfEntry<T extends { name: string; note?: string }> {
  id: number
  revision: number
  archived: boolean
  record: T
}

interface Shelf<T extends { name: string; note?: string }> {
  add: (record: T) => Promise<{ undo: number }>
  replace: (
    entry: { id: number; revision: number },
    record: T,
  ) => Promise<{ undo: number; entry: { revision: number } }>
  archive: (id: number, body: { revision: number; archived: boolean }) => Promise<{ undo: number }>
  /** How many of it are picked at once. */
  count: (record: T) => number
  refresh: () => unknown
  /** What the desk has open, whose revision follows a renaming. */
  desk: { updateKept: (entry: { id: number; revision: number; record: T }) => void }
}

/** What kept plans and kept findings have done to them, written once. */
export function useShelf<T extends { name: string; note?: string }>(shelf: Shelf<T>) {
  const notice = useNotice()
  const pickToCut = usePick()
  const { startBatch, order } = useMakeNext()

  async function attempt(work: () => Promise<unknown>) {
    try {
      await work()
    } catch (thrown) {
      notice.fail(thrown)
      await shelf.refresh()
    }
  }

  const duplicate = ({ record }: ShelfEntry<T>) =>
    attempt(async () => {
      const name = t('shelf-copy', { slice: record.name.slice(0, 73) })
      const { undo } = await shelf.add({ ...record, name })
      await shelf.refresh()
      notice.did(t('shelf-duplicated-as', { name }), undo, shelf.refresh)
    })

  const archive = ({ id, revision, record, archived }: ShelfEntry<T>) =>
    attempt(async () => {
      const { undo } = await shelf.archive(id, { revision, archived: !archived })
      await shelf.refresh()
      notice.did(
        t('shelf-was', {
          name: record.name,
          archived: archived ? t('shelf-restored-from-archive') : t('shelf-archived'),
        }),
        undo,
        shelf.refresh,
      )
    })

  const pick = ({ id, record }: ShelfEntry<T>) =>
    attempt(() => pickToCut(id, record.name, shelf.count(record)))

  async function rename(entry: { id: number; revision: number }, body: T) {
    const written = await shelf.replace(entry, body)
    shelf.desk.updateKept({ id: entry.id, revision: written.entry.revision, record: body })
    return written
  }

  /** The lines of a row's menu. */
  function acts<E extends ShelfEntry<T>>(entry: E, renaming: (entry: E) => void): Act[] {
    const n = shelf.count(entry.record)
    const making: Act[] = [
      {
        label: t('shelf-start-batch', { n }),
        test: 'start-batch',
        act: () => attempt(() => startBatch(entry.id, n)),
      },
      { label: t('make-it-add-order'), test: 'add-to-order', act: () => attempt(() => order(entry.id, n)) },
    ]
    const lines: Act[] = [
      ...(entry.archived ? [] : making),
      { label: t('shelf-rename-or-change-note'), test: 'rename', act: () => renaming(entry) },
      { label: t('shelf-duplicate'), test: 'duplicate', act: () => duplicate(entry) },
    ]
    if (!entry.archived)
      lines.push({ label: t('shelf-add-cutting-plan'), test: 'pick', act: () => pick(entry) })
    const away = entry.archived ? t('shelf-restore') : t('shelf-archive')
    return [...lines, { label: away, test: 'archive', act: () => archive(entry) }]
  }

  return { attempt, rename, acts }
}
