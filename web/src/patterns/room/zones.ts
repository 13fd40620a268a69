import type { Mark } from '../../api/client'
import { t } from '../../text'

/** How wide a figure and a letter are drawn, near enough to keep two texts apart. */
const FIGURE = 8
const LETTER = 7.2

interface On {
  /** Where a place on the wire is drawn, in pixels. */
  x: (mm: number) => number
  /** How wide the strip is, in pixels. */
  wide: number
  /** Where the wire ends for now, mm: what lies beyond is the other half of a doubled wire. */
  end?: number
  /** The segments that are lit. */
  lit: number[]
  /** Forming steps that are done. */
  done: number
}

/** Marks with their zones; a mark's texts stand on the first of two lines where nothing else does. */
export function zonesOf(marks: Mark[], { x, wide, end = Infinity, lit, done }: On) {
  const ends: [number, number] = [-Infinity, -Infinity]
  return marks
    .filter((mark) => mark.to_mm <= end + 0.01)
    .map((mark) => {
      const from = x(mark.at_mm)
      const to = Math.max(x(mark.to_mm), from + 3)
      // A bend rolled from the right end is marked where it begins from there.
      const far = mark.from === 'far-end'
      const place = far ? to : from
      const number = mark.from_end
        ? t('blank-strip-end')
        : `${mark.ruler}${far ? t('blank-strip-from-right') : ''}`
      const needs = number.length * FIGURE + mark.what.length * LETTER + 14
      const right = place + needs > wide
      const starts = right ? place - needs : place
      const line = starts > ends[0] ? 0 : starts > ends[1] ? 1 : 0
      ends[line] = right ? place + 6 : place + needs
      return {
        mark,
        from,
        to,
        place,
        number,
        line,
        right,
        lit: lit.includes(mark.segment_n),
        done: mark.forming_n <= done,
      }
    })
}
