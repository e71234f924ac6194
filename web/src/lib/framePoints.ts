import type { FramePoint } from '@/api/types'
import { fixed } from './print'

const CHEEKS = { LIT: 'lit cheek', SHADOW: 'shadow cheek', BACKGROUND: 'background' } as const

/** What a point of a picture is, as in `lit cheek`, `background, wall`. */
export function pointName(point: FramePoint): string {
  if (point.kind === 'TOUCHED') return point.on
  return point.kind === 'BACKGROUND' ? `${CHEEKS.BACKGROUND}, ${point.on}` : CHEEKS[point.kind]
}

/** The signal that a point makes on a monitor, as in `47 %`; what is over the range is clipped. */
export function percentText({ percent, clipped }: FramePoint): string {
  if (percent === undefined) return 'dark'
  return clipped ? 'clipped' : `${fixed(percent, 0)} %`
}

/** The points of one mark and those that were touched. */
export function pointsAt(points: FramePoint[], mark: string | undefined): FramePoint[] {
  return points.filter((p) => p.kind === 'TOUCHED' || p.mark === mark)
}
