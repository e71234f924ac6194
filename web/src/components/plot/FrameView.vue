<script setup lang="ts">
import { computed } from 'vue'
import { value, type Placed, type PlanPoint, type SetPlan, type HintView } from '@/api/types'
import { seen, seenLine, type Lens, type Point3 } from '@/lib/frame'

/** What the camera frames, as wire: the set's edges, the marks, and what stands in the picture, which is named. */
const props = defineProps<{
  set: SetPlan
  placements: Placed[]
  camera?: Placed
  hints: HintView[]
  selected?: string
}>()
defineEmits<{ select: [key: string] }>()

const WIDE = 192
const HIGH = 108
const OUTDOORS_M = 2.5
const PERSON_HEAD_M = 0.12
const MOST_NAMED = 4

const lens = computed<Lens | undefined>(() => {
  const at = props.camera && value(props.camera, 'PLACE')
  const height = props.camera && value(props.camera, 'HEIGHT')
  return at && height && props.camera?.aim && props.camera.viewDeg
    ? {
        at,
        heightM: height.heightM,
        bearingDeg: props.camera.aim.bearingDeg,
        tiltDeg: props.camera.aim.tiltDeg,
        viewDeg: props.camera.viewDeg,
      }
    : undefined
})
const px = (p: { x: number; y: number }) =>
  `${(((p.x + 1) / 2) * WIDE).toFixed(1)},${(((1 - p.y) / 2) * HIGH).toFixed(1)}`
function wire(lines: [Point3, Point3][]): string {
  return lines
    .flatMap(([a, b]) => {
      const line = seenLine(lens.value!, a, b)
      return line ? [`M${px(line[0])}L${px(line[1])}`] : []
    })
    .join('')
}
const at = (p: PlanPoint, zM: number): Point3 => ({ ...p, zM })
function round(points: PlanPoint[], z: number): [Point3, Point3][] {
  return points.map((p, i) => [at(p, z), at(points[(i + 1) % points.length]!, z)])
}
const edges = computed(() => {
  if (!lens.value) return undefined
  const top = props.set.ceilingHeightM ?? OUTDOORS_M
  const walls = props.set.walls.flatMap((w) =>
    w.points.slice(1).flatMap((b, i): [Point3, Point3][] => {
      const a = w.points[i]!
      const high = w.heightM ?? top
      return [
        [at(a, 0), at(b, 0)],
        [at(a, high), at(b, high)],
        [at(a, 0), at(a, high)],
        [at(b, 0), at(b, high)],
      ]
    }),
  )
  const openings = props.set.openings.flatMap((o): [Point3, Point3][] => [
    [at(o.from, o.sillM), at(o.to, o.sillM)],
    [at(o.from, o.headM), at(o.to, o.headM)],
    [at(o.from, o.sillM), at(o.from, o.headM)],
    [at(o.to, o.sillM), at(o.to, o.headM)],
  ])
  const boxes = props.set.furniture.flatMap((f): [Point3, Point3][] => [
    ...round(f.outline, 0),
    ...round(f.outline, f.heightM),
    ...f.outline.map((p): [Point3, Point3] => [at(p, 0), at(p, f.heightM)]),
  ])
  return { walls: wire(walls), openings: wire(openings), boxes: wire(boxes) }
})
/** Names lie on each other when much stands in the picture: the list of hints tells them then. */
const crowd = computed(() => things.value.filter((t) => t.inFrame).length)
const things = computed(() =>
  props.placements.flatMap((placed) => {
    const place = value(placed, 'PLACE')
    const height = value(placed, 'HEIGHT')?.heightM
    if (!lens.value || !placed.onSet || !place || height === undefined || placed.placement.kind === 'CAMERA') return []
    const spot = seen(lens.value, at(place, height))
    if (!spot || Math.abs(spot.x) > 1.4 || Math.abs(spot.y) > 1.4) return []
    const tan = Math.tan(((lens.value.viewDeg / 2) * Math.PI) / 180)
    const wide = (m: number) => Math.max(3, (m / (spot.depth * tan)) * (WIDE / 2))
    const mark = placed.placement.kind === 'MARK'
    const inFrame = props.hints.some((h) => h.placement === placed.placement.key && h.kind === 'IN_FRAME')
    return [
      {
        key: placed.placement.key,
        name: placed.placement.name,
        mark,
        inFrame,
        fill: placed.light?.swatch,
        x: ((spot.x + 1) / 2) * WIDE,
        y: ((1 - spot.y) / 2) * HIGH,
        r: wide(mark ? 2 * PERSON_HEAD_M : placed.placement.piece.widthM) / 2,
        stand: placed.placement.piece.mount === 'STAND' || mark ? wire([[at(place, 0), at(place, height)]]) : '',
      },
    ]
  }),
)
</script>

<template>
  <figure class="m-0" aria-label="What the camera frames">
    <svg
      v-if="lens"
      :viewBox="`0 0 ${WIDE} ${HIGH}`"
      :width="WIDE"
      :height="HIGH"
      class="frame drawing"
      role="img"
      :aria-label="`The frame. In picture: ${
        things
          .filter((t) => t.inFrame)
          .map((t) => t.name)
          .join(', ') || 'no lights or grip'
      }`"
    >
      <path :d="edges!.walls" stroke="var(--set)" />
      <path :d="edges!.boxes" stroke="var(--set)" stroke-opacity=".8" />
      <path :d="edges!.openings" stroke="var(--quiet)" />
      <g v-for="t in things" :key="t.key" class="thing" aria-hidden="true" @click="$emit('select', t.key)">
        <path :d="t.stand" :stroke="t.mark ? 'var(--ink)' : 'var(--quiet)'" :stroke-width="t.inFrame ? 1.6 : 1" />
        <circle v-if="t.mark" :cx="t.x" :cy="t.y" :r="t.r" fill="var(--raised)" stroke="var(--ink)" />
        <rect
          v-else
          :x="t.x - t.r"
          :y="t.y - Math.max(2, t.r * 0.6)"
          :width="2 * t.r"
          :height="Math.max(4, t.r * 1.2)"
          :fill="t.fill ?? 'var(--panel)'"
          :stroke="t.key === selected ? 'var(--accent)' : 'var(--ink)'"
          :stroke-width="t.inFrame ? 1.6 : 0.8"
        />
        <text
          v-if="t.inFrame && crowd <= MOST_NAMED"
          :x="Math.max(24, Math.min(WIDE - 24, t.x))"
          :y="Math.max(12, Math.min(HIGH - 4, t.y - t.r - 4))"
          text-anchor="middle"
          class="name"
        >
          {{ t.name }}
        </text>
        <title>{{ t.name }}</title>
      </g>
    </svg>
    <p v-else class="p-2 text-fine text-quiet">Give the camera a place, an aim and a lens to see its frame.</p>
  </figure>
</template>

<style scoped>
.frame {
  display: block;
  background: var(--floor);
  border: 1px solid var(--quiet);
  overflow: hidden;
  fill: none;
}
.thing {
  cursor: pointer;
}
.drawing .name {
  font-size: var(--text-fine);
}
</style>
