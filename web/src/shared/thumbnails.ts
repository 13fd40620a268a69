import { api, data, type Piece, type Thumbnail } from '../api/client'

/** Pieces drawn small, each by its own text; one that cannot be made has no drawing. */
export async function thumbnailsOf(pieces: Piece[]): Promise<Map<string, Thumbnail | null>> {
  const drawn = await data(api.POST('/api/thumbnails', { body: { pieces } }))
  return new Map(pieces.map((piece, i) => [JSON.stringify(piece), drawn[i] ?? null]))
}
