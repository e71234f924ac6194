import type { PlanPoint, SetPlan } from '@/api/types'

/** Whether a polyline ends where it began: the walls of a room. */
export function isClosed(points: PlanPoint[]): boolean {
  const [first, last] = [points[0], points.at(-1)]
  return points.length > 3 && first?.xM === last?.xM && first?.yM === last?.yM
}

export function wallPoints(set: SetPlan): PlanPoint[] {
  return set.walls.flatMap((w) => w.points)
}
