import type { PlanPoint, SetPlan } from '@/api/types'
import { bearingBetween, gap, toPlan, toPx, type Px, type View } from './screen'
import { wallPoints } from './set'

/** How near the pointer comes to something before it is taken for it, px. */
export const SNAP_PX = 11
const SQUARE_DEG = 5
const GRID_M = 0.05

/**
 * Where a point that is clicked is meant to be: on a corner that is near, on a wall that is near, square to the last point, or on the next
 * 5 cm.
 *
 * @param drawn points of the shape that is being drawn, the last of them last
 */
export function snapped(plan: SetPlan, drawn: PlanPoint[], view: View, at: Px): PlanPoint {
  const anchors = [
    ...wallPoints(plan),
    ...plan.openings.flatMap((o) => [o.from, o.to]),
    ...plan.landmarks.map((l) => l.point),
    ...drawn,
  ]
  const corner = anchors.find((p) => gap(toPx(view, p), at) < SNAP_PX)
  return corner ?? onWall(plan, view, at) ?? onGrid(squared(drawn.at(-1), view, at))
}

/** Square to the last point, where it is nearly so. */
function squared(last: PlanPoint | undefined, view: View, at: Px): PlanPoint {
  const free = toPlan(view, at)
  if (!last) return free
  const bearing = bearingBetween(toPx(view, last), at)
  const quarter = Math.round(bearing / 90)
  if (Math.abs(bearing - quarter * 90) >= SQUARE_DEG) return free
  return quarter % 2 ? { xM: free.xM, yM: last.yM } : { xM: last.xM, yM: free.yM }
}

function onGrid({ xM, yM }: PlanPoint): PlanPoint {
  const round = (metres: number) => Math.round(Math.round(metres / GRID_M) * GRID_M * 1000) / 1000
  return { xM: round(xM), yM: round(yM) }
}

function onWall(plan: SetPlan, view: View, at: Px): PlanPoint | undefined {
  for (const { points } of plan.walls)
    for (let i = 1; i < points.length; i++) {
      const [a, b] = [toPx(view, points[i - 1]!), toPx(view, points[i]!)]
      const long = gap(a, b)
      if (!long) continue
      const along = ((at.x - a.x) * (b.x - a.x) + (at.y - a.y) * (b.y - a.y)) / long / long
      const foot = { x: a.x + along * (b.x - a.x), y: a.y + along * (b.y - a.y) }
      if (along > 0 && along < 1 && gap(foot, at) < SNAP_PX) {
        const p = toPlan(view, foot)
        return { xM: Math.round(p.xM * 100) / 100, yM: Math.round(p.yM * 100) / 100 }
      }
    }
  return undefined
}
