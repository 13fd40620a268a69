import type { Piece } from '../api/client'

/** How many of a piece are asked for: rings, pieces or pairs of a finding, chains. */
export function countIn(piece: Piece): number {
  if ('finding' in piece) return piece.finding.pieces_n ?? 1
  if ('chain' in piece) return piece.chain.chains_n ?? 1
  return piece.rings.rings_n ?? 1
}
