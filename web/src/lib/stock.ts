import type { Modifier, Stock } from '@/api/types'

/** A stock item as it hangs before a head, clipped to it. */
export function worn({ name, kind, stops, miredShift, duvShift, softness, gel, narrowsToDeg }: Stock): Modifier {
  const softens = kind === 'DIFFUSION'
  return { name, stops, miredShift, duvShift, softens, gel, narrowsToDeg, ...(softens ? { softness } : {}) }
}
