import { computed, type Ref } from 'vue'
import { held, value, type Placed, type PlanPoint, type SetPlan } from '@/api/types'
import { useSettings } from '@/stores/settings'
import type { Draft } from '@/stores/shotEditor'
import { around, overlap, type Box } from './labels'
import { axis, ticks, written } from './scales'
import { along } from './screen'

export const HIGH = 126
export const LEFT = 84
export const RIGHT = 24
const FOOT = 22
const HEAD = 12
const LOWEST_TOP_M = 2.6
/** Half of what a thing takes, from a thing to its figure, and a digit. */
const BODY_PX = 8
const BESIDE_PX = 14
const DIGIT_PX = 7.5

/** What is seen from the side. */
export interface SideShown {
  set: SetPlan
  placements: Placed[]
  selected?: string
  camera?: Placed
  draft: Record<string, Draft>
}

/** A set from the side, along its camera's axis: how high everything is, and how far along. */
export function useSideView(shown: () => SideShown, size: Ref<{ width: number; height: number }>) {
  const settings = useSettings()
  const way = computed(() => along(shown().camera?.aim?.bearingDeg ?? 90))
  /** Metres along the camera's axis; the screen's y is down, the plan's is up. */
  function distance(p: PlanPoint) {
    return p.xM * way.value.x - p.yM * way.value.y
  }
  const standing = computed(() => shown().placements.filter((p) => p.onSet && value(p, 'PLACE') && value(p, 'HEIGHT')))
  const origin = computed(() => {
    const { camera } = shown()
    const place = camera && value(camera, 'PLACE')
    return place ? distance(place) : 0
  })
  const reach = computed(() => {
    const all = [
      ...standing.value.map((p) => distance(value(p, 'PLACE')!)),
      ...shown().set.walls.flatMap((w) => w.points.map(distance)),
    ].map((d) => d - origin.value)
    const from = Math.min(...all, 0)
    const to = Math.max(...all, 1)
    return { from, to, px: axis(from, to, LEFT, Math.max(LEFT + 60, size.value.width - RIGHT)) }
  })
  const top = computed(() =>
    Math.max(
      LOWEST_TOP_M,
      shown().set.ceilingHeightM ?? 0,
      ...standing.value.map((p) => value(p, 'HEIGHT')!.heightM + 0.3),
    ),
  )
  const up = computed(() => axis(0, top.value, HIGH - FOOT, HEAD))
  const things = computed(() =>
    standing.value.map((placed) => {
      const key = placed.placement.key
      const dragged = shown().draft[key]?.heightM
      const height = dragged ?? value(placed, 'HEIGHT')!.heightM
      const x = reach.value.px.px(distance(value(placed, 'PLACE')!) - origin.value)
      const aim = placed.aim
      // the aim as seen from the side: how much of it runs along the axis
      const run = aim
        ? Math.cos((aim.tiltDeg * Math.PI) / 180) *
          (along(aim.bearingDeg).x * way.value.x + along(aim.bearingDeg).y * way.value.y)
        : 1
      const turn = aim ? (Math.atan2(-Math.sin((aim.tiltDeg * Math.PI) / 180), run) * 180) / Math.PI : 0
      const said =
        dragged === undefined ? settings.printed(held(placed, 'HEIGHT')!.say) : written(dragged, settings.units)
      return {
        key,
        placed,
        height,
        said,
        /** As it stands on the drawing, whose axis tells the unit. */
        figure: said.replace(/ m$/, ''),
        x,
        y: up.value.px(height),
        turn,
        kind: placed.placement.kind,
        selected: key === shown().selected,
      }
    }),
  )
  const furniture = computed(() =>
    shown().set.furniture.map((f) => {
      const all = f.outline.map((p) => reach.value.px.px(distance(p) - origin.value))
      return {
        name: f.name,
        x: Math.min(...all),
        width: Math.max(...all) - Math.min(...all),
        y: up.value.px(f.heightM),
      }
    }),
  )
  const ASPECT = 9 / 16
  const view = computed(() => {
    const camera = things.value.find((t) => t.kind === 'CAMERA')
    if (!camera?.placed.viewDeg) return []
    const half = Math.atan(Math.tan(((camera.placed.viewDeg / 2) * Math.PI) / 180) * ASPECT)
    const tilt = ((camera.placed.aim?.tiltDeg ?? 0) * Math.PI) / 180
    const far = reach.value.to + 2
    return [-1, 1].map((side) => ({
      x: reach.value.px.px(far),
      y: up.value.px(camera.height + Math.tan(tilt + side * half) * far),
      from: camera,
    }))
  })
  const metres = computed(() => ticks(reach.value.from, reach.value.to, reach.value.to - reach.value.from > 14 ? 2 : 1))
  const heights = computed(() => ticks(0, top.value, top.value > 4 ? 2 : 1))
  /** Where each figure finds room beside its thing, right or left; one that would lie on another or on a thing is left to its tooltip. */
  const told = computed(() => {
    const bodies = things.value.map((t) => ({
      key: t.key,
      box: around({ x: t.x, y: t.y }, { x: BODY_PX, y: BODY_PX }),
    }))
    const figures: Box[] = []
    const placed = new Map<string, { x: number; anchor: 'start' | 'end' }>()
    for (const t of [...things.value].sort((a, b) => Number(b.selected) - Number(a.selected))) {
      if (t.kind === 'MARK' && !t.selected) continue
      const wide = t.figure.length * DIGIT_PX
      const sides = (['start', 'end'] as const).map((anchor) => {
        const x = t.x + (anchor === 'start' ? BESIDE_PX : -BESIDE_PX)
        const left = anchor === 'start' ? x : x - wide
        return { x, anchor, box: { left, right: left + wide, top: t.y - 7, bottom: t.y + 6 } }
      })
      const free = sides.find(
        ({ box }) =>
          box.right < size.value.width &&
          box.left > LEFT - 20 &&
          figures.every((other) => !overlap(box, other)) &&
          bodies.every((other) => other.key === t.key || !overlap(box, other.box)),
      )
      const place = free ?? (t.selected ? sides[0] : undefined)
      if (!place) continue
      figures.push(place.box)
      placed.set(t.key, { x: place.x, anchor: place.anchor })
    }
    return placed
  })

  return { things, told, furniture, view, metres, heights, reach, up, top }
}
