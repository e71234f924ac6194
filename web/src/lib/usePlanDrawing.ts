import { computed, type ComputedRef, type Ref } from 'vue'
import { value, type HintView, type Light, type Placed, type PlanPoint, type SetPlan } from '@/api/types'
import { useSettings } from '@/stores/settings'
import type { Draft } from '@/stores/shotEditor'
import { placeFlag, type Flag } from './flags'
import { around, placeLabels, PLATE_PX, scaleBar, tapePlate, type LabelPlaced } from './labels'
import { along, bearingBetween, gap, path, toPx, type Px, type View } from './screen'
import { recorded } from './words'

/** From so many things on, what has nothing to do with the selection steps back. */
export const CROWD = 12
const FIGURES_FROM = 45
const NEAR_M = 1.5
const MOST_FLAGS = 2
/** On a small plan only so many are named; the others when they are chosen, pointed at or focused. */
const SMALL_PX = 500
const MOST_NAMES_WHEN_SMALL = 6

/** What a plan shows. */
export interface PlanShown {
  set: SetPlan
  placements: Placed[]
  selected?: string
  /** Chosen besides the selected one. */
  also: string[]
  draft: Record<string, Draft>
  light?: Light
  /** Where things stand by the record, while they are tried elsewhere. */
  ghosts: { key: string; at: PlanPoint; bearing: number }[]
}

/** A thing as it is drawn. */
export interface DrawnThing {
  key: string
  placed: Placed
  at: Px
  bearing: number
  /** Whether it is a light, and whether it shines. */
  light: boolean
  shines: boolean
  /** Chosen, first or besides. */
  held: boolean
  selected: boolean
  outside: boolean
  /** Whether something of it was knotted in this shot. */
  changed: boolean
}

export interface UsePlanDrawingReturn {
  drawn: ComputedRef<DrawnThing[]>
  chosen: ComputedRef<DrawnThing | undefined>
  /** Keys of those that step back. */
  faded: ComputedRef<Set<string>>
  /** Ways that are walked from mark to mark. */
  walks: ComputedRef<{ name: string; d: string }[]>
  ghosted: ComputedRef<{ key: string; at: Px; to: Px; bearing: number; half: number }[]>
  flags: ComputedRef<(Flag & { hint: HintView })[]>
  labels: ComputedRef<Map<string, LabelPlaced>>
  /** Figures beside a name, where there is room for them. */
  figures: (placed: Placed) => string
  /** The opening that a light outside shines through: the one nearest to its aim. */
  through: (thing: DrawnThing) => [Px, Px] | undefined
}

/** px that the drawing of a thing takes to either side, and above and below. */
function extent({ placed, bearing }: DrawnThing, view: View): Px {
  if (placed.placement.kind === 'MARK') return { x: 24, y: 24 }
  if (placed.placement.kind === 'CAMERA') return { x: 19, y: 19 }
  const across = along(bearing + 90)
  const half = halfWidth(placed, view)
  return { x: Math.max(9, Math.abs(across.x) * half + 4), y: Math.max(9, Math.abs(across.y) * half + 4) }
}
function halfWidth(placed: Placed, view: View): number {
  return Math.max(7, (placed.placement.piece.widthM * view.scale) / 2)
}

/** Whether it is drawn as a cloth over the plan. */
function spans({ placed: { placement }, light }: DrawnThing): boolean {
  return !light && placement.piece.mount === 'OVERHEAD'
}

/**
 * Lays out what a plan shows: where each thing is, what steps back, and where names and flags find room.
 *
 * @param pointed keys of those that are pointed at or focused
 */
export function usePlanDrawing(
  shown: () => PlanShown,
  view: Ref<View>,
  size: Ref<{ width: number; height: number }>,
  pointed: () => (string | undefined)[],
): UsePlanDrawingReturn {
  const settings = useSettings()

  const drawn = computed(() =>
    shown()
      .placements.flatMap((placed): DrawnThing[] => {
        const { selected, also, light } = shown()
        const place = value(placed, 'PLACE')
        if (!placed.onSet || !place) return []
        const { key, kind } = placed.placement
        const draft = shown().draft[key]
        const isLight = kind === 'HEAD' || kind === 'PRACTICAL'
        const on = value(placed, 'STANDING')?.state === 'ON' && (value(placed, 'LEVEL')?.percent ?? 0) > 0
        return [
          {
            key,
            placed,
            at: toPx(view.value, draft?.at ?? place),
            bearing: draft?.bearing ?? placed.aim?.bearingDeg ?? 0,
            light: isLight,
            shines: isLight && on && !light?.sources.find((one) => one.key === key)?.out,
            held: key === selected || also.includes(key),
            outside: place.outside,
            selected: key === selected,
            changed: Object.values(placed.values).some((h) => h?.tiedHere && h.reason),
          },
        ]
      })
      // what hangs overhead spans others: it lies under them, so that they can be picked up
      .sort((a, b) => Number(spans(b)) - Number(spans(a))),
  )
  const chosen = computed(() => drawn.value.find((d) => d.selected))
  const thing = (key: string) => drawn.value.find((d) => d.key === key)

  const faded = computed(() => {
    const one = chosen.value
    if (!one || drawn.value.length <= CROWD) return new Set<string>()
    const mark = value(one.placed, 'AIM')?.mark
    const { group } = one.placed.placement
    const near = (d: DrawnThing) =>
      d.held ||
      d.key === mark ||
      d.placed.placement.kind === 'CAMERA' ||
      value(d.placed, 'AIM')?.mark === one.key ||
      (!!group && d.placed.placement.group === group) ||
      gap(d.at, one.at) < NEAR_M * view.value.scale
    return new Set(drawn.value.filter((d) => !near(d)).map((d) => d.key))
  })

  const walks = computed(() => {
    const groups = new Map<string, Px[]>()
    for (const d of drawn.value) {
      const group = d.placed.placement.kind === 'MARK' && d.placed.placement.group
      if (group) groups.set(group, [...(groups.get(group) ?? []), d.at])
    }
    return [...groups].filter(([, way]) => way.length > 1).map(([name, way]) => ({ name, d: path(way, false) }))
  })

  const bar = computed(() => scaleBar(view.value.scale, size.value))

  /** What is to be acted on, with a leader to its place; the rest is told in words beside the plan. */
  const flags = computed(() => {
    const { light, selected } = shown()
    const taken = [bar.value, ...drawn.value.map((d) => around(d.at, extent(d, view.value)))]
    return (light?.hints ?? [])
      .filter((h) => h.urgent && !h.onPurpose && (!selected || h.placement === selected))
      .slice(0, MOST_FLAGS)
      .flatMap((hint) => {
        const d = thing(hint.placement)
        if (!d) return []
        const flag = placeFlag(d.at, settings.printed(hint.title).length, taken, size.value)
        taken.push(flag)
        return [{ hint, ...flag }]
      })
  })

  const ghosted = computed(() =>
    shown().ghosts.flatMap((g) => {
      const d = thing(g.key)
      const at = toPx(view.value, g.at)
      return d && (gap(at, d.at) > 2 || Math.abs(g.bearing - d.bearing) > 1)
        ? [{ ...g, at, to: d.at, half: halfWidth(d.placed, view.value) }]
        : []
    }),
  )

  function through(d: DrawnThing): [Px, Px] | undefined {
    if (!d.outside) return undefined
    const ends = shown()
      .set.openings.filter((o) => o.kind === 'WINDOW')
      .map((o): [Px, Px] => [toPx(view.value, o.from), toPx(view.value, o.to)])
    const off = ([a, b]: [Px, Px]) =>
      Math.abs(((bearingBetween(d.at, { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }) - d.bearing + 540) % 360) - 180)
    return ends.sort((a, b) => off(a) - off(b))[0]
  }

  function figures(placed: Placed): string {
    return view.value.scale >= FIGURES_FROM ? recorded(placed, settings.printed) : ''
  }

  /** Those that are named: all where there is room, the ones that matter most on a small plan. */
  const named = computed(() => {
    const near = drawn.value.filter((d) => !faded.value.has(d.key))
    if (!size.value.width || size.value.width >= SMALL_PX) return near
    const rank = (d: DrawnThing) =>
      d.held || pointed().includes(d.key)
        ? 0
        : ['MARK', 'CAMERA'].includes(d.placed.placement.kind)
          ? 1
          : ['KEY', 'FILL', 'EDGE'].includes(d.placed.placement.role)
            ? 2
            : 3
    return [...near].sort((a, b) => rank(a) - rank(b)).slice(0, MOST_NAMES_WHEN_SMALL)
  })

  const labels = computed(() => {
    const wanted = named.value.map((d) => {
      const under = figures(d.placed)
      const { name, kind } = d.placed.placement
      return {
        key: d.key,
        at: d.at,
        clear: extent(d, view.value),
        width: Math.max(name.length * 7.2, under.length * 7.2) + (d.changed ? 12 : 0),
        height: under ? 30 : 16,
        needed: d.held || kind === 'MARK' || kind === 'CAMERA',
      }
    })
    const tapes = chosen.value?.placed.tapes
    const plates = tapes ? [tapes.a, tapes.b].map((t) => tapePlate(toPx(view.value, t.from), chosen.value!.at)) : []
    return placeLabels(
      wanted,
      [
        ...shown().set.landmarks.map((l) => around(toPx(view.value, l.point), { x: 6, y: 6 })),
        bar.value,
        ...flags.value,
        ...plates.map((p) => around(p, PLATE_PX)),
      ],
      { left: 0, top: 0, right: size.value.width, bottom: size.value.height },
    )
  })

  return { drawn, chosen, faded, walks, ghosted, flags, labels, figures, through }
}
