import type { MatchReport, VerdictLine } from '@/api/types'

/** Where a line of the report stands on a ruler of so many tolerances to either side, −1 to 1. */
export function onRuler(line: VerdictLine, tolerances: number): number {
  const at = (line.difference ?? 0) / line.tolerance / tolerances
  return Math.max(-1, Math.min(1, at))
}

/** What signals on a monitor are read through. */
export const SIGNAL_CURVES: { key: MatchReport['curve']; name: string }[] = [
  { key: 'BT709', name: 'BT.709' },
  { key: 'BT1886', name: 'BT.1886' },
  { key: 'HLG', name: 'HLG' },
  { key: 'ACESCCT', name: 'ACEScct' },
  { key: 'NONE', name: 'divided as they are' },
]
