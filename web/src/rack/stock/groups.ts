import type { Stocked, Wire } from '../../api/client'

/** Lots of one wire. */
export interface LotsOfWire {
  shown: string
  wire: Wire
  lots: Stocked[]
  /** How much of it is left in all, mm. */
  left: number
  /** The longest of them that is no spool, mm, for drawing them to one scale. */
  longest: number
}

/** Lots of one wire stand together, under its name. */
export function groupsOf(lots: Stocked[]): LotsOfWire[] {
  const groups: LotsOfWire[] = []
  for (const lot of lots) {
    let group = groups.at(-1)
    if (!group || group.shown !== lot.wire_label) {
      group = { shown: lot.wire_label, wire: lot.record.wire, lots: [], left: 0, longest: 1 }
      groups.push(group)
    }
    group.lots.push(lot)
    group.left += lot.balance.left_mm
    if (lot.record.kind !== 'spool') group.longest = Math.max(group.longest, lot.balance.left_mm)
  }
  return groups
}
