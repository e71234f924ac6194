import type { PatchedLight } from '@/api/types'

/** The picture of a universe: a strip of 512 slots. */
export const SLOTS = 512

/** A footprint on the strip, with the lane that its name stands in. */
export interface Footprint {
  light: PatchedLight
  first: number
  last: number
  lane: number
}

/**
 * Footprints of one universe, in order, with their names in as few lanes as keep them apart.
 *
 * @param pxPerSlot scale of the strip
 * @param pxPerLetter width of a letter of a name
 * @param lanes how many there are; what fits in none stands in the last
 */
export function footprints(
  lights: PatchedLight[],
  universe: number,
  pxPerSlot: number,
  pxPerLetter: number,
  lanes: number,
): Footprint[] {
  const ends = Array.from({ length: lanes }, () => -Infinity)
  return lights
    .filter((l) => l.patch.universe === universe && l.patch.address !== undefined)
    .map((light) => ({ light, first: light.patch.address!, last: light.last ?? light.patch.address!, lane: 0 }))
    .sort((a, b) => a.first - b.first)
    .map((f) => {
      const from = (f.first - 1) * pxPerSlot
      const free = ends.findIndex((end) => end <= from)
      const lane = free < 0 ? lanes - 1 : free
      ends[lane] = from + Math.max((f.last - f.first + 1) * pxPerSlot, f.light.name.length * pxPerLetter) + pxPerLetter
      return { ...f, lane }
    })
}

/** First slot of a footprint that is put at a slot: it stays on the strip. */
export function placed(slot: number, slots: number): number {
  return Math.max(1, Math.min(SLOTS - slots + 1, Math.round(slot)))
}

/** Names of those whose slots a footprint would share. */
export function overlapped(all: Footprint[], of: Footprint, first: number): string[] {
  const last = first + of.last - of.first
  return all.filter((o) => o.light.key !== of.light.key && o.first <= last && first <= o.last).map((o) => o.light.name)
}
