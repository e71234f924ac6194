import type { VerdictLine } from '@/api/types'

/** A figure as the server said it, apart from its unit: `2.4` and `stops`. */
export function apart(said: string): { figure: string; unit: string } {
  const at = said.lastIndexOf(' ')
  return at < 0 ? { figure: said, unit: '' } : { figure: said.slice(0, at), unit: said.slice(at + 1) }
}

/** Where a line of the report stands on a ruler of so many tolerances to either side, −1 to 1. */
export function onRuler(line: VerdictLine, tolerances: number): number {
  const at = (line.difference ?? 0) / line.tolerance / tolerances
  return Math.max(-1, Math.min(1, at))
}
