import { useRouter } from 'vue-router'
import type { Piece } from '../api/client'
import { usePattern } from '../patterns/pattern'
import { usePlan } from '../rings/plan'
import { useChain } from './chain'

/** Takes a piece to the desk it is worked at. */
export function useToDesk() {
  const router = useRouter()
  const [plan, pattern, chain] = [usePlan(), usePattern(), useChain()]
  return async (piece: Piece) => {
    if ('finding' in piece) await pattern.start(piece.finding)
    else if ('chain' in piece) await chain.start(piece.chain)
    else await plan.start(piece.rings)
    await router.push('finding' in piece ? '/findings/piece' : 'chain' in piece ? '/chains' : '/rings')
  }
}
