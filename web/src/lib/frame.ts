import type { PlanPoint } from '@/api/types'

/** A camera for drawing what it frames. Angles in degrees, heights in metres. */
export interface Lens {
  at: PlanPoint
  heightM: number
  bearingDeg: number
  tiltDeg: number
  /** horizontal angle of view */
  viewDeg: number
}

export interface Point3 extends PlanPoint {
  zM: number
}

export const FRAME_ASPECT = 9 / 16
const NEAREST_M = 0.1

interface InLens {
  right: number
  up: number
  depth: number
}

function inLens(lens: Lens, p: Point3): InLens {
  const b = (lens.bearingDeg * Math.PI) / 180
  const t = (lens.tiltDeg * Math.PI) / 180
  const [dx, dy, dz] = [p.xM - lens.at.xM, p.yM - lens.at.yM, p.zM - lens.heightM]
  const forward = dx * Math.sin(b) + dy * Math.cos(b)
  return {
    right: dx * Math.cos(b) - dy * Math.sin(b),
    up: dz * Math.cos(t) - forward * Math.sin(t),
    depth: forward * Math.cos(t) + dz * Math.sin(t),
  }
}

function flat(lens: Lens, p: InLens): { x: number; y: number } {
  const tan = Math.tan(((lens.viewDeg / 2) * Math.PI) / 180)
  return { x: p.right / (p.depth * tan), y: p.up / (p.depth * tan * FRAME_ASPECT) }
}

/** Where a point is drawn: −1 to 1 across and up the frame; undefined behind the lens. */
export function seen(lens: Lens, p: Point3) {
  const q = inLens(lens, p)
  return q.depth < NEAREST_M ? undefined : { ...flat(lens, q), depth: q.depth }
}
