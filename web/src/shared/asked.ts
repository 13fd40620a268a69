import { createGlobalState } from '@vueuse/core'
import { shallowRef } from 'vue'
import type { Piece } from '../api/client'

/** A kept plan or finding, a finding as it is usually made, or what was asked for. */
export interface ChosenPiece {
  key: string
  name: string
  purpose: Piece
  /** The number it is kept under. */
  entry?: number
  /** The batch it is or was made in, where it is chosen as that. */
  batch?: number
  pieces_n: number
}

/** The piece the ask line was last asked about, for the views that weigh and reckon pieces. */
export const useAsked = createGlobalState(() => ({ asked: shallowRef<ChosenPiece | null>(null) }))
