import type { MarkedPoint, StillHead, StillKind } from '@/api/types'

export const STILL_KINDS: { key: StillKind; name: string }[] = [
  { key: 'FRAME', name: 'frame of the camera' },
  { key: 'PHOTOGRAPH', name: 'photograph' },
  { key: 'DRESSING', name: 'set dressing' },
  { key: 'WARDROBE', name: 'wardrobe' },
]
export const kindName = (kind: StillKind): string => STILL_KINDS.find((k) => k.key === kind)!.name

/** What is usually marked, in the order that one looks. */
const NAMES = ['lit cheek', 'shadow cheek', 'background', 'window', 'grey']

/** A name for the next point: the first of the usual ones that the other still has and this one not yet, else the first that is free. */
export function nextName(here: MarkedPoint[], there: MarkedPoint[] = []): string {
  const free = (name: string) => !here.some((p) => p.name === name)
  const usual = there.map((p) => p.name).find(free) ?? NAMES.find(free)
  if (usual) return usual
  let n = here.length + 1
  while (!free(`point ${n}`)) n++
  return `point ${n}`
}

/** Where a reed's stops stand on the scale, px from its top. */
export const REED_TOP = 2
export const REED_FOOT = -7
export const PX_PER_STOP = 15
export function reedY(stops: number): number {
  return (REED_TOP - Math.max(REED_FOOT, Math.min(REED_TOP, stops))) * PX_PER_STOP
}

/** Whether figures are read off it; dressing and wardrobe are looked at. */
export const isRead = (kind: StillKind): boolean => kind === 'FRAME' || kind === 'PHOTOGRAPH'

/**
 * The still that another is held against: of a rebuild the recorded one of its shot, else the scene's reference, else the first of its kind
 * that is of another shot.
 */
export function referenceOf(stills: StillHead[], shown: StillHead | undefined): StillHead | undefined {
  const others = stills.filter((s) => s.id !== shown?.id && s.kind === (shown?.kind ?? 'FRAME'))
  const recorded = shown?.run && others.filter((s) => s.shotId === shown.shotId && !s.run).at(-1)
  return recorded || others.find((s) => s.reference) || others.find((s) => s.shotId !== shown?.shotId) || others[0]
}
