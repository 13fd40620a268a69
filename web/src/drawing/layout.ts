import { computed, type Ref } from 'vue'
import type { Dimension, Drawing, DrawnPart, Place } from '../api/client'

/** A place on the screen, in pixels. */
type Spot = readonly [number, number]

/** How wide a character and how high a line is drawn, near enough to keep two texts apart. */
const CHARACTER = 7.3
const LINE = 15

interface Shown {
  drawing: Drawing
  /** Pixels in a millimetre for true size; without it the drawing fills its place. */
  truePixels?: number | null
  /** Millimetres the drawing is kept large enough for, so that it does not jump while one drags. */
  atLeast?: Drawing['frame'] | null
}

/** How a drawing lies in its place on the screen: scale, dimensions with their texts kept apart, notes. */
export function useLayout(shown: Shown, width: Ref<number>, height: Ref<number>) {
  /** Room round the drawing for its dimensions and notes, in pixels. */
  const room = computed(() => {
    const labelled = shown.drawing.dimensions.some((dimension) => dimension.label)
    return labelled
      ? { left: 116, right: 116, top: 22, bottom: 18 }
      : { left: 8, right: 8, top: 26, bottom: 28 }
  })

  const view = computed(() => {
    const frame = shown.atLeast ?? shown.drawing.frame
    const { left_mm: left, top_mm: top, width_mm: w, height_mm: h } = frame
    const { left: west, right: east, top: north, bottom: south } = room.value
    const fit = Math.min((width.value - west - east) / w, (height.value - north - south) / h)
    const scale = shown.truePixels ?? Math.min(Math.max(fit, 0.1), 60)
    const x = west + (width.value - west - east - w * scale) / 2 - left * scale
    const y = north + Math.max(0, (height.value - north - south - h * scale) / 2) - top * scale
    return { scale, x, y }
  })

  const put = (place: Place): Spot => [
    place.x_mm * view.value.scale + view.value.x,
    place.y_mm * view.value.scale + view.value.y,
  ]

  const dimensions = computed(() =>
    keptApart(
      shown.drawing.dimensions.map((dimension) => dimensionAt(dimension, put)),
      height.value,
    ),
  )

  /** A note stands centred under its place, unless it would run off the right edge. */
  function beside(note: Drawing['notes'][number]) {
    const [x, y] = put(note.at)
    const near = x + note.text.length * 3.6 > width.value
    return { x: near ? width.value - 4 : x, y: y + 20, 'text-anchor': near ? 'end' : 'middle' }
  }

  return { view, put, dimensions, beside }
}

/** A dimension as it is drawn. */
export type LaidDimension = ReturnType<typeof dimensionAt>

function dimensionAt(dimension: Dimension, put: (place: Place) => Spot) {
  const [from, to] = [put(dimension.from), put(dimension.to)]
  const length = Math.hypot(to[0] - from[0], to[1] - from[1])
  const lined = length > 0.5
  const along: Spot = lined ? [(to[0] - from[0]) / length, (to[1] - from[1]) / length] : [0, 0]
  const tick = ([x, y]: Spot) => ({
    x1: x - along[1] * 5,
    y1: y + along[0] * 5,
    x2: x + along[1] * 5,
    y2: y - along[0] * 5,
  })
  return {
    ...dimension,
    line: { x1: from[0], y1: from[1], x2: to[0], y2: to[1] },
    along,
    /** Whether there is a line; an angle has none. */
    lined,
    at: textAt(dimension, from, to, put),
    lead: lined ? leadTo(dimension, from, to, put) : null,
    ticks: lined ? [tick(from), tick(to)] : [],
  }
}

/** Where a dimension's text stands: at its label, beside an upright line, over a level one. */
function textAt(dimension: Dimension, [x1, y1]: Spot, [x2, y2]: Spot, put: (place: Place) => Spot) {
  if (dimension.label) {
    const [x, y] = put(dimension.label.at)
    const gap = { start: 8, middle: 0, end: -8 }[dimension.label.anchor]
    return { x: x + gap, y: y + 5, 'text-anchor': dimension.label.anchor }
  }
  const upright = Math.abs(y2 - y1) > Math.abs(x2 - x1)
  return upright
    ? { x: x1 + 9, y: (y1 + y2) / 2 + 5, 'text-anchor': 'start' as const }
    : { x: (x1 + x2) / 2, y: y1 - 8, 'text-anchor': 'middle' as const }
}

/** The line that leads to a label which stands away from its level dimension. */
function leadTo({ label }: Dimension, from: Spot, to: Spot, put: (place: Place) => Spot) {
  if (!label || label.anchor === 'middle' || Math.abs(to[1] - from[1]) >= 0.5) return null
  const [x, y] = put(label.at)
  const near = Math.abs(x - from[0]) < Math.abs(x - to[0]) ? from : to
  return { x1: near[0], y1: near[1], x2: x, y2: y }
}

interface Label {
  text: string
  at: ReturnType<typeof textAt>
}
function across({ text, at }: Label) {
  const wide = text.length * CHARACTER
  const left = at.x - { start: 0, middle: wide / 2, end: wide }[at['text-anchor']]
  return { left, wide }
}
function keptApart<T extends Label>(labels: T[], height: number): T[] {
  const boxes: { left: number; right: number; y: number }[] = []
  for (const label of labels) {
    const { at } = label
    const { left, wide } = across(label)
    const meets = (y: number) =>
      boxes.some((box) => left < box.right && box.left < left + wide && Math.abs(box.y - y) < LINE)
    // Downward, since most labels that meet stand under the piece.
    while (meets(at.y) && at.y < height - 4) at.y += 3
    boxes.push({ left, right: left + wide, y: at.y })
  }
  return labels
}

/** Where a label can be taken hold of: as high as a fingertip wants it. */
export function gripOf(label: Label) {
  const { left, wide } = across(label)
  return { x: left - 4, y: label.at.y - 19, width: wide + 8, height: 28 }
}

/** What each segment has spent, in figures, as far as they do not stand on each other. */
export function tintsOf(parts: DrawnPart[], put: (place: Place) => Spot) {
  const stood: Spot[] = []
  return parts.map((part) => {
    const [x, y] = put(part.middle)
    const free = stood.every(([a, b]) => Math.abs(a - x) > 44 || Math.abs(b - y) > 20)
    if (free) stood.push([x, y])
    const share = Math.min(part.spent_share, 1)
    return {
      part,
      x,
      y: y + 5,
      text: free ? `${Math.round(part.spent_share * 100)} %` : '',
      // Not by colour alone: the more is spent, the closer the dashes.
      dashes: part.strain_level === 'stop' ? 'none' : `${0.25 + 1.2 * share} ${1.4 - 1.2 * share}`,
    }
  })
}
