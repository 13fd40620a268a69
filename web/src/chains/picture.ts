import { t } from '../text'
import type { RingDrawn } from '../api/client'

/** How the rings are turned before they are seen: about the way up, then about the way across. */
export interface Turn {
  yaw: number
  pitch: number
}

/** From where a chain is seen. */
export const sides = [
  { key: 'front', says: t('picture-front'), turn: { yaw: 0, pitch: 0 } },
  { key: 'above', says: t('picture-above'), turn: { yaw: 0, pitch: Math.PI / 2 } },
  { key: 'along', says: t('picture-along'), turn: { yaw: Math.PI / 2, pitch: 0 } },
] as const

/** What a ring looks like. */
export interface Look {
  body: string
  edge: string
  light: string
  /** Ticks along the ring, so that it is told apart without its colour. */
  ticked: boolean
  /** Thicker edge, so that it stands out. */
  bold: boolean
}

/** Arcs a ring is drawn in, each at its own depth: at rest, and while it is turned. */
export const FINE = 44
export const QUICK = 13

type Arc = { ring: number; depth: number; from: number }

/** Rings prepared for drawing: points of their middle lines in the world, mm. */
export interface Prepared {
  points: Float64Array
  rings: RingDrawn[]
  /** Arcs of a ring. */
  arcs: number
  /** What they cover when seen from anywhere: from their middle to the farthest wire. */
  middle: [number, number, number]
  reach: number
}

/** Works out the points once; turning only multiplies them. */
export function prepare(rings: RingDrawn[], n = FINE): Prepared {
  const points = new Float64Array(rings.length * n * 3)
  const low = [Infinity, Infinity, Infinity]
  const high = [-Infinity, -Infinity, -Infinity]
  rings.forEach((ring, i) => {
    const [ax, ay, az] = ring.axis as [number, number, number]
    // Two directions in its plane.
    const flat = Math.abs(az) < 0.9 ? [ay, -ax, 0] : [0, az, -ay]
    const length = Math.hypot(flat[0]!, flat[1]!, flat[2]!)
    const [ux, uy, uz] = flat.map((one) => one / length) as [number, number, number]
    const [vx, vy, vz] = [ay * uz - az * uy, az * ux - ax * uz, ax * uy - ay * ux]
    for (let k = 0; k < n; k++) {
      const [c, s] = [Math.cos((2 * Math.PI * k) / n), Math.sin((2 * Math.PI * k) / n)]
      const at = (i * n + k) * 3
      const [x, y, z] = ring.center_mm as [number, number, number]
      points[at] = x + ring.radius_mm * (c * ux + s * vx)
      points[at + 1] = y + ring.radius_mm * (c * uy + s * vy)
      points[at + 2] = z + ring.radius_mm * (c * uz + s * vz)
      for (let d = 0; d < 3; d++) {
        low[d] = Math.min(low[d]!, points[at + d]! - ring.wire_mm / 2)
        high[d] = Math.max(high[d]!, points[at + d]! + ring.wire_mm / 2)
      }
    }
  })
  const middle = low.map((one, d) => (one + high[d]!) / 2) as [number, number, number]
  const reach = Math.hypot(...low.map((one, d) => (high[d]! - one) / 2))
  return { points, rings, arcs: n, middle, reach }
}

/** What a view covers to either side of its middle, mm. */
export function covers({ points, rings, arcs, middle }: Prepared, turn: Turn): [number, number] {
  const seen = turned(points, middle, turn)
  let [wide, high] = [0, 0]
  for (let i = 0; i < seen.length; i += 3) {
    const half = rings[Math.floor(i / 3 / arcs)]!.wire_mm / 2
    wide = Math.max(wide, Math.abs(seen[i]!) + half)
    high = Math.max(high, Math.abs(seen[i + 1]!) + half)
  }
  return [wide, high]
}

function turned(points: Float64Array, middle: [number, number, number], { yaw, pitch }: Turn): Float64Array {
  const [cy, sy, cp, sp] = [Math.cos(yaw), Math.sin(yaw), Math.cos(pitch), Math.sin(pitch)]
  const seen = new Float64Array(points.length)
  for (let i = 0; i < points.length; i += 3) {
    const [x, y, z] = [points[i]! - middle[0], points[i + 1]! - middle[1], points[i + 2]! - middle[2]]
    const [x1, z1] = [cy * x + sy * z, -sy * x + cy * z]
    seen[i] = x1
    seen[i + 1] = cp * y - sp * z1
    seen[i + 2] = sp * y + cp * z1
  }
  return seen
}

/**
 * Draws rings as wire: arcs from the farthest to the nearest, each with its edge, its body and its light, so that what
 * lies over and what under is right from any side.
 */
export function draw(
  into: CanvasRenderingContext2D,
  prepared: Prepared,
  turn: Turn,
  scale: number,
  look: (ring: RingDrawn) => Look,
  letters: string | null,
) {
  const { points, rings, middle, arcs: each } = prepared
  const quick = each < FINE
  const { width, height } = into.canvas
  const seen = turned(points, middle, turn)
  const arcs: Arc[] = []
  for (let ring = 0; ring < rings.length; ring++) {
    const gap = rings[ring]!.gap_mm
    for (let k = 0; k < each; k++) {
      const from = (ring * each + k) * 3
      const to = (ring * each + ((k + 1) % each)) * 3
      if (gap) {
        const off = Math.hypot(...[0, 1, 2].map((d) => points[to + d]! - gap[d]!))
        if (off < rings[ring]!.wire_mm * 0.9) continue
      }
      arcs.push({ ring, depth: seen[from + 2]! + seen[to + 2]!, from: ring * each + k })
    }
  }
  arcs.sort((a, b) => a.depth - b.depth)
  const looks = rings.map(look)
  into.clearRect(0, 0, width, height)
  into.lineCap = 'butt'
  into.lineJoin = quick ? 'bevel' : 'round'
  const place = (point: number): [number, number] => [
    width / 2 + seen[point * 3]! * scale,
    height / 2 - seen[point * 3 + 1]! * scale,
  ]
  for (const { ring, from } of arcs) {
    const first = ring * each
    const k = from - first
    const [x0, y0] = place(from)
    const [x1, y1] = place(first + ((k + 1) % each))
    const [x2, y2] = place(first + ((k + 2) % each))
    const thick = rings[ring]!.wire_mm * scale
    const { body, edge, light, ticked, bold } = looks[ring]!
    // Longer than its share, so that no gap shows between two where wire turns towards the eye.
    into.beginPath()
    into.moveTo(x0, y0)
    into.lineTo(x1, y1)
    into.lineTo(x2, y2)
    const rim = Math.max(1, Math.min(thick * 0.12, 3)) * (bold ? 1.7 : 1)
    into.lineWidth = thick + rim
    into.strokeStyle = edge
    into.stroke()
    // The body reaches a little beyond its edge, so that no seam shows where the next arc begins.
    into.beginPath()
    into.moveTo(x0 - (x1 - x0) * 0.15, y0 - (y1 - y0) * 0.15)
    into.lineTo(x1, y1)
    into.lineTo(x2 + (x2 - x1) * 0.15, y2 + (y2 - y1) * 0.15)
    into.lineWidth = Math.max(thick - rim, 1)
    into.strokeStyle = body
    into.stroke()
    if (ticked && k % 4 < 2) {
      into.lineWidth = thick * 0.2
      into.strokeStyle = edge
      into.stroke()
    } else if (thick > 5 && !quick) {
      const length = Math.hypot(x1 - x0, y1 - y0) || 1
      // Light from above left.
      const side = ((y1 - y0) * -0.6 + (x1 - x0) * -0.8 > 0 ? 1 : -1) * thick * 0.17
      const [nx, ny] = [(-(y1 - y0) / length) * side, ((x1 - x0) / length) * side]
      into.beginPath()
      into.moveTo(x0 - (x1 - x0) * 0.15 + nx, y0 - (y1 - y0) * 0.15 + ny)
      into.lineTo(x1 + nx, y1 + ny)
      into.lineTo(x2 + (x2 - x1) * 0.15 + nx, y2 + (y2 - y1) * 0.15 + ny)
      into.lineWidth = thick * 0.22
      into.strokeStyle = light
      into.stroke()
    }
  }
  if (!letters) return
  // Where the new ring is hidden it still shows, as a dotted line over what hides it.
  rings.forEach((ring, i) => {
    if (ring.role !== 'new') return
    into.beginPath()
    for (let k = 0; k <= each; k++) {
      const gap = ring.gap_mm
      const at = (i * each + (k % each)) * 3
      const off = gap ? Math.hypot(...[0, 1, 2].map((d) => points[at + d]! - gap[d]!)) : Infinity
      const [x, y] = place(i * each + (k % each))
      if (k === 0 || off < ring.wire_mm * 0.9) into.moveTo(x, y)
      else into.lineTo(x, y)
    }
    into.setLineDash([3 * devicePixelRatio, 5 * devicePixelRatio])
    into.lineWidth = 2 * devicePixelRatio
    into.strokeStyle = looks[i]!.edge
    into.stroke()
    into.setLineDash([])
  })
  into.font = `700 ${Math.round(13 * devicePixelRatio)}px 'Alegreya Sans', sans-serif`
  into.textAlign = 'center'
  into.textBaseline = 'middle'
  rings.forEach((ring, i) => {
    if (ring.role === 'there') return
    // At the ring's nearest point, where nothing hides it.
    let best = i * each
    for (let k = 0; k < each; k++) {
      if (seen[(i * each + k) * 3 + 2]! > seen[best * 3 + 2]!) best = i * each + k
    }
    const [x, y] = place(best)
    const r = 10 * devicePixelRatio
    into.beginPath()
    into.arc(x, y, r, 0, 2 * Math.PI)
    into.fillStyle = looks[i]!.body
    into.fill()
    into.lineWidth = 1.5 * devicePixelRatio
    into.strokeStyle = looks[i]!.edge
    into.stroke()
    into.fillStyle = letters
    into.fillText(ring.name, x, y + 1)
  })
}

/** A colour with so much of another mixed in. */
export function mixed(colour: string, other: string, share: number): string {
  const read = (text: string) => [1, 3, 5].map((at) => parseInt(text.slice(at, at + 2), 16))
  const [a, b] = [read(colour), read(other)]
  return `rgb(${a.map((one, i) => Math.round(one + (b[i]! - one) * share)).join(' ')})`
}
