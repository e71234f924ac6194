import type { VerdictLine } from '@/api/types'

/** Where a line of the report stands on a ruler of so many tolerances to either side, −1 to 1. */
export function onRuler(line: Pick<VerdictLine, 'difference' | 'tolerance'>, tolerances: number): number {
  const at = (line.difference ?? 0) / line.tolerance / tolerances
  return Math.max(-1, Math.min(1, at))
}
