import type { PlanPoint } from '@/api/types'

/** A point on the screen, px, y down. */
export interface Px {
  x: number
  y: number
}

/** How the plan lies on the screen. */
export interface View {
  /** px per metre */
  scale: number
  /** px of the plan's origin */
  x: number
  y: number
}

export function toPx(view: View, p: PlanPoint): Px {
  return { x: view.x + p.xM * view.scale, y: view.y - p.yM * view.scale }
}

export function toPlan(view: View, p: Px): PlanPoint {
  return { xM: (p.x - view.x) / view.scale, yM: (view.y - p.y) / view.scale }
}

/** The screen's unit vector along a plan bearing. */
export function along(bearingDeg: number): Px {
  const r = (bearingDeg * Math.PI) / 180
  return { x: Math.sin(r), y: -Math.cos(r) }
}

export function move(p: Px, way: Px, px: number): Px {
  return { x: p.x + way.x * px, y: p.y + way.y * px }
}

export function bearingBetween(from: Px, to: Px): number {
  return ((Math.atan2(to.x - from.x, from.y - to.y) * 180) / Math.PI + 360) % 360
}

export function gap(a: Px, b: Px): number {
  return Math.hypot(a.x - b.x, a.y - b.y)
}

export function path(points: Px[], close = true): string {
  return points.map((p, i) => `${i ? 'L' : 'M'}${p.x.toFixed(1)},${p.y.toFixed(1)}`).join('') + (close ? 'Z' : '')
}

/** To the centimetre: nobody sets a stand finer than a tape reads. */
export function toCentimetre(p: PlanPoint): PlanPoint {
  return { xM: Math.round(p.xM * 100) / 100, yM: Math.round(p.yM * 100) / 100 }
}

/** Bounds of what is on the plan, metres. */
export function bounds(points: PlanPoint[]) {
  const xs = points.map((p) => p.xM)
  const ys = points.map((p) => p.yM)
  return { left: Math.min(...xs), right: Math.max(...xs), bottom: Math.min(...ys), top: Math.max(...ys) }
}
