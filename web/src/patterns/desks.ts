import { usePattern } from './pattern'
import { usePlan } from '../rings/plan'

/** What lies on both desks, worked out again: the workshop's tools, units or habits were changed. */
export function useDesks() {
  const desks = [usePlan(), usePattern()]
  return async () => {
    await Promise.all(desks.map((desk) => desk.sheet && desk.refresh()))
  }
}
