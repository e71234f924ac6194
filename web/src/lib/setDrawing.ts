import type { PlanPoint, SetPlan } from '@/api/types'

/** What a set is drawn of. */
export type Listed = 'walls' | 'openings' | 'furniture' | 'landmarks' | 'restrictions'
export const LISTED: Listed[] = ['walls', 'openings', 'furniture', 'landmarks', 'restrictions']

/** A piece of the drawing: which list it is in, and where in that. */
export interface Chosen {
  list: Listed
  at: number
}

export type Tool = 'choose' | 'wall' | 'window' | 'door' | 'furniture' | 'landmark' | 'restriction' | 'scale'

/** Heights that a new piece starts with, metres; they are shown, and typed over. */
const USUAL = { windowSill: 0.9, windowHead: 2.2, doorHead: 2.05, furniture: 0.8 }

export function listOf<L extends Listed>(plan: SetPlan, list: L): NonNullable<SetPlan[L]> {
  return (plan[list] ?? []) as NonNullable<SetPlan[L]>
}

interface Shape {
  points?: PlanPoint[]
  outline?: PlanPoint[]
  from?: PlanPoint
  to?: PlanPoint
  point?: PlanPoint
}

/** The corners of a piece, in their order. */
export function cornersOf(plan: SetPlan, { list, at }: Chosen): PlanPoint[] {
  const piece = listOf(plan, list)[at] as Shape | undefined
  if (!piece) return []
  const { points, outline, from, to, point } = piece
  return points ?? outline ?? (point ? [point] : from && to ? [from, to] : [])
}

/** What a piece of a list is with these corners. */
export function withCorners(list: Listed, points: PlanPoint[]): Shape {
  switch (list) {
    case 'walls':
      return { points }
    case 'openings':
      return { from: points[0], to: points[1] }
    case 'landmarks':
      return { point: points[0] }
    default:
      return { outline: points }
  }
}

/** Corners without the first again at the end. */
function unclosed(points: PlanPoint[]): PlanPoint[] {
  return points.length > 3 && points[0] === points.at(-1) ? points.slice(0, -1) : points
}

/** The piece that a tool makes of points that were clicked, or undefined when they are too few. */
export function drawn(tool: Tool, points: PlanPoint[], plan: SetPlan): { list: Listed; piece: object } | undefined {
  const [first, second] = points
  const count = (kind: string) => plan.openings.filter((o) => o.kind === kind).length + 1
  if (!first) return undefined
  switch (tool) {
    case 'wall':
      return second && { list: 'walls', piece: { points } }
    case 'window': {
      const heights = { sillM: USUAL.windowSill, headM: USUAL.windowHead }
      const name = `window ${count('WINDOW')}`
      return second && { list: 'openings', piece: { name, kind: 'WINDOW', from: first, to: second, ...heights } }
    }
    case 'door': {
      const heights = { sillM: 0, headM: USUAL.doorHead }
      const name = `door ${count('DOOR')}`
      return second && { list: 'openings', piece: { name, kind: 'DOOR', from: first, to: second, ...heights } }
    }
    case 'furniture': {
      const name = `piece ${plan.furniture.length + 1}`
      const piece = { name, outline: unclosed(points), heightM: USUAL.furniture }
      return points.length > 2 ? { list: 'furniture', piece } : undefined
    }
    case 'landmark':
      return { list: 'landmarks', piece: { name: `landmark ${plan.landmarks.length + 1}`, point: first } }
    case 'restriction': {
      const piece = { kind: 'NO_STANDS', note: 'no stands here', outline: unclosed(points) }
      return points.length > 2 ? { list: 'restrictions', piece } : undefined
    }
    default:
      return undefined
  }
}

export function same(a: PlanPoint, b: PlanPoint): boolean {
  return a.xM === b.xM && a.yM === b.yM
}

/**
 * The piece under a point: the small ones before those that they stand on.
 *
 * @param reachM how far from its line still counts
 */
export function pieceAt(plan: SetPlan, at: PlanPoint, reachM: number): Chosen | undefined {
  const near = (p: PlanPoint) => Math.hypot(p.xM - at.xM, p.yM - at.yM) < 2 * reachM
  const onLine = (a: PlanPoint, b: PlanPoint) => {
    const long = Math.hypot(b.xM - a.xM, b.yM - a.yM) || 1
    const along = ((at.xM - a.xM) * (b.xM - a.xM) + (at.yM - a.yM) * (b.yM - a.yM)) / long
    const off = Math.abs((at.xM - a.xM) * (b.yM - a.yM) - (at.yM - a.yM) * (b.xM - a.xM)) / long
    return along > -reachM && along < long + reachM && off < 1.5 * reachM
  }
  const onWay = (points: PlanPoint[]) => points.slice(1).some((p, i) => onLine(points[i]!, p))
  const round = (points: PlanPoint[]) => points.some((p, i) => onLine(p, points[(i + 1) % points.length]!))
  const find = <L extends Listed>(list: L, hit: (piece: NonNullable<SetPlan[L]>[number]) => boolean) => {
    const i = (listOf(plan, list) as NonNullable<SetPlan[L]>[number][]).findIndex(hit)
    return i < 0 ? undefined : { list, at: i }
  }
  return (
    find('landmarks', (l) => near(l.point)) ??
    find('openings', (o) => onLine(o.from, o.to)) ??
    find('furniture', (f) => round(f.outline)) ??
    find('walls', (w) => onWay(w.points)) ??
    find('restrictions', (r) => round(r.outline))
  )
}
