import type { Modifier, Stock } from '@/api/types'

/** A stock item as it hangs before a head, clipped to it. */
export function worn({ name, kind, stops, miredShift, duvShift, gel, narrowsToDeg }: Stock): Modifier {
  return { name, stops, miredShift, duvShift, softens: kind === 'DIFFUSION', gel, narrowsToDeg }
}
