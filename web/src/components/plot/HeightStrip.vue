<script setup lang="ts">
import { computed, ref } from 'vue'
import { held, value, type Placed, type PlanPoint, type SetPlan } from '@/api/types'
import { axis, ticks } from '@/lib/scales'
import { along } from '@/lib/screen'
import { usePointerDrag } from '@/lib/usePointerDrag'
import { useSize } from '@/lib/useSize'
import { useSettings } from '@/stores/settings'
import type { Draft } from '@/stores/shotEditor'

/** Heights seen from the side, along the camera's axis: drag a thing up or down to raise or lower it. */
const props = defineProps<{
  set: SetPlan
  placements: Placed[]
  selected?: string
  locked: boolean
  camera?: Placed
  draft: Record<string, Draft>
}>()
const emit = defineEmits<{ select: [key: string]; raise: [key: string, heightM: number]; drop: [] }>()

const HIGH = 126
const FOOT = 22
const HEAD = 12
const LEFT = 84
const RIGHT = 24
const NUDGE_M = 0.05
const LOWEST_TOP_M = 2.6

const settings = useSettings()
const element = ref<SVGSVGElement>()
const size = useSize(element)
const way = computed(() => along(props.camera?.aim?.bearingDeg ?? 90))
/** Metres along the camera's axis; the screen's y is down, the plan's is up. */
function distance(p: PlanPoint) {
  return p.xM * way.value.x - p.yM * way.value.y
}
const standing = computed(() => props.placements.filter((p) => p.onSet && value(p, 'PLACE') && value(p, 'HEIGHT')))
const origin = computed(() =>
  props.camera && value(props.camera, 'PLACE') ? distance(value(props.camera, 'PLACE')!) : 0,
)
const reach = computed(() => {
  const all = [
    ...standing.value.map((p) => distance(value(p, 'PLACE')!)),
    ...props.set.walls.flatMap((w) => w.points.map(distance)),
  ].map((d) => d - origin.value)
  const from = Math.min(...all, 0)
  const to = Math.max(...all, 1)
  return { from, to, px: axis(from, to, LEFT, Math.max(LEFT + 60, size.value.width - RIGHT)) }
})
const top = computed(() =>
  Math.max(
    LOWEST_TOP_M,
    props.set.ceilingHeightM ?? 0,
    ...standing.value.map((p) => value(p, 'HEIGHT')!.heightM + 0.3),
  ),
)
const up = computed(() => axis(0, top.value, HIGH - FOOT, HEAD))
const things = computed(() =>
  standing.value.map((placed) => {
    const key = placed.placement.key
    const height = props.draft[key]?.heightM ?? value(placed, 'HEIGHT')!.heightM
    const x = reach.value.px.px(distance(value(placed, 'PLACE')!) - origin.value)
    const aim = placed.aim
    // the aim as seen from the side: how much of it runs along the axis
    const run = aim
      ? Math.cos((aim.tiltDeg * Math.PI) / 180) *
        (along(aim.bearingDeg).x * way.value.x + along(aim.bearingDeg).y * way.value.y)
      : 1
    const turn = aim ? (Math.atan2(-Math.sin((aim.tiltDeg * Math.PI) / 180), run) * 180) / Math.PI : 0
    const said = settings.units === 'imperial' ? (held(placed, 'HEIGHT')?.say.imperial ?? '') : height.toFixed(2)
    return {
      key,
      placed,
      height,
      said,
      x,
      y: up.value.px(height),
      turn,
      kind: placed.placement.kind,
      selected: key === props.selected,
    }
  }),
)
const furniture = computed(() =>
  props.set.furniture.map((f) => {
    const all = f.outline.map((p) => reach.value.px.px(distance(p) - origin.value))
    return { name: f.name, x: Math.min(...all), width: Math.max(...all) - Math.min(...all), y: up.value.px(f.heightM) }
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
/** Figures that would lie on each other are left to their tooltip. */
const told = computed(() => {
  const taken: { x: number; y: number }[] = []
  return new Set(
    [...things.value]
      .sort((a, b) => Number(b.selected) - Number(a.selected))
      .filter((t) => {
        if (t.kind === 'MARK' && !t.selected) return false
        const free = taken.every((o) => Math.abs(o.x - t.x) > 46 || Math.abs(o.y - t.y) > 13)
        if (free || t.selected) taken.push(t)
        return free || t.selected
      })
      .map((t) => t.key),
  )
})

const grab = usePointerDrag<string>({
  element: () => element.value,
  onMove: ({ at, grip }) => emit('raise', grip, rounded(up.value.value(at.y))),
  onEnd: ({ moved }) => moved && emit('drop'),
})
function down(event: PointerEvent, key: string) {
  emit('select', key)
  if (!props.locked) grab(event, key)
}
function rounded(metres: number) {
  return Math.max(0, Math.round(metres * 100) / 100)
}
function onKey(event: KeyboardEvent, key: string, height: number) {
  const by = { ArrowUp: NUDGE_M, ArrowDown: -NUDGE_M }[event.key]
  if (!by || props.locked) return
  event.preventDefault()
  emit('raise', key, rounded(height + by))
  emit('drop')
}
</script>

<template>
  <svg ref="element" class="drawing side" :height="HIGH" role="group" aria-label="Heights along the camera's axis">
    <path :d="`M${LEFT},${up.px(0)}H${size.width - RIGHT}`" stroke="var(--set)" />
    <path
      v-if="set.ceilingHeightM"
      :d="`M${LEFT},${up.px(set.ceilingHeightM)}H${size.width - RIGHT}`"
      stroke="var(--set)"
      stroke-dasharray="6 3"
    />
    <g v-for="h in heights" :key="`h${h}`">
      <path :d="`M${LEFT - 5},${up.px(h)}h5`" stroke="var(--quiet)" />
      <text :x="LEFT - 10" :y="up.px(h) + 4" text-anchor="end" class="tick figure">{{ h }}</text>
    </g>
    <g v-for="m in metres" :key="`m${m}`">
      <path :d="`M${reach.px.px(m)},${up.px(0)}v4`" stroke="var(--quiet)" />
      <text :x="reach.px.px(m)" :y="HIGH - 5" text-anchor="middle" class="tick figure">{{ m }}</text>
    </g>
    <text x="12" y="18" class="tick">Heights,</text>
    <text x="12" y="32" class="tick">along the</text>
    <text x="12" y="46" class="tick">camera, m</text>
    <rect
      v-for="f in furniture"
      :key="f.name"
      :x="f.x"
      :y="f.y"
      :width="f.width"
      :height="Math.max(0, up.px(0) - f.y)"
      fill="none"
      stroke="var(--set)"
      stroke-width="1.2"
      stroke-opacity=".7"
    >
      <title>{{ f.name }}</title>
    </rect>
    <path
      v-for="(v, i) in view"
      :key="i"
      :d="`M${v.from.x},${v.from.y}L${v.x},${v.y}`"
      stroke="var(--ink)"
      stroke-opacity=".62"
      stroke-dasharray="9 4"
      class="view"
    />
    <g
      v-for="t in things"
      :key="t.key"
      :transform="`translate(${t.x} ${t.y})`"
      class="thing"
      :class="{ locked }"
      tabindex="0"
      role="slider"
      :aria-label="`Height of ${t.placed.placement.name}`"
      :aria-valuenow="t.height"
      aria-valuemin="0"
      :aria-valuemax="top"
      :aria-valuetext="`${t.height.toFixed(2)} m`"
      :data-height="t.key"
      @pointerdown="down($event, t.key)"
      @keydown="onKey($event, t.key, t.height)"
    >
      <path
        v-if="t.placed.placement.piece.mount === 'STAND' || t.selected"
        :d="`M0,0V${up.px(0) - t.y}`"
        :stroke="t.selected ? 'var(--accent)' : 'var(--set)'"
      />
      <circle r="14" fill="transparent" />
      <g v-if="t.kind === 'MARK'">
        <circle r="6" fill="var(--raised)" stroke="var(--ink)" stroke-width="1.4" />
        <path :d="`M0,6V${up.px(0) - t.y}`" stroke="var(--ink)" stroke-opacity=".5" />
      </g>
      <path
        v-else-if="t.kind === 'CAMERA'"
        :transform="`rotate(${t.turn})`"
        d="M0,0L-8,-5V5ZM-8,-5.5H-22V5.5H-8Z"
        fill="var(--raised)"
        stroke="var(--ink)"
        stroke-width="1.2"
      />
      <rect
        v-else
        :transform="`rotate(${t.turn})`"
        x="-4.5"
        y="-7"
        width="9"
        height="14"
        :fill="t.placed.light?.swatch ?? 'var(--panel)'"
        stroke="var(--set)"
      />
      <rect
        v-if="t.selected"
        :transform="`rotate(${t.turn})`"
        x="-9"
        y="-12"
        width="18"
        height="24"
        rx="3"
        fill="none"
        stroke="var(--accent)"
        stroke-width="1.6"
      />
      <title>{{ t.placed.placement.name }}, {{ t.height.toFixed(2) }} m up</title>
    </g>
    <g v-for="t in things" :key="`t${t.key}`" class="view">
      <text
        v-if="told.has(t.key)"
        :x="t.x + (t.x > size.width - 90 ? -14 : 14)"
        :text-anchor="t.x > size.width - 90 ? 'end' : 'start'"
        :y="t.y + 4"
        class="figure"
        :class="{ accent: t.selected }"
      >
        {{ t.said }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.side {
  display: block;
  width: 100%;
  overflow: hidden;
  touch-action: pan-x;
}
.thing {
  cursor: ns-resize;
}
.thing.locked {
  cursor: default;
}
.thing:focus {
  outline: none;
}
.thing:focus-visible > circle {
  stroke: var(--accent);
  stroke-width: 2px;
}
.view {
  pointer-events: none;
}
.accent {
  fill: var(--accent) !important;
}
</style>
