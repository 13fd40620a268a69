import { t } from '../text'
import {
  Refused,
  refusedBy,
  unreachable,
  type KeptChain,
  type KeptPattern,
  type KeptPlan,
  type PlanSheet,
  type Schemas,
} from '../api/client'
import { useUnderWay } from './underWay'

type Exported = KeptPlan | KeptPattern | KeptChain | PlanSheet | Schemas['LabelWish']

/** Has a file made of something and hands it to the browser to save. */
export const exportFile = (path: string, of: Exported) =>
  download(path, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(of),
  })

/** Fetches a file and hands it to the browser to save. What takes long is shown with how far it is, and can be cancelled. */
export async function download(path: string, how: RequestInit = {}): Promise<void> {
  const title = decodeURIComponent(path.slice(path.lastIndexOf('/') + 1)).replace(/\?.*/, '')
  await useUnderWay().follow(t('download-making', { title }), async ({ headers: name, signal, come }) => {
    const headers = { ...(how.headers as Record<string, string>), ...name }
    try {
      const response = await fetch(path, { ...how, headers, signal })
      if (!response.ok) throw await refusedBy(response)
      handOver(await new Response(counted(response, come)).blob(), nameOf(response))
    } catch (thrown) {
      throw thrown instanceof Refused ? thrown : unreachable()
    }
  })
}

/** The body of an answer; tells how many bytes of it have come. */
function counted(response: Response, come: (bytes: number) => void): ReadableStream<Uint8Array> | null {
  let bytes = 0
  const counting = new TransformStream<Uint8Array, Uint8Array>({
    transform(piece, out) {
      bytes += piece.byteLength
      come(bytes)
      out.enqueue(piece)
    },
  })
  return response.body?.pipeThrough(counting) ?? null
}

const nameOf = (response: Response) =>
  /filename="([^"]+)"/.exec(response.headers.get('content-disposition') ?? '')?.[1] ?? 'lorimant'

function handOver(file: Blob, name: string) {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(file)
  link.download = name
  link.click()
  URL.revokeObjectURL(link.href)
}
