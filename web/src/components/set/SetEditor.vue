<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { PlanPoint, SetPlan } from '@/api/types'
import SetLayer from '@/components/plot/SetLayer.vue'
import { wallPoints } from '@/lib/set'
import { bearingBetween, gap, path, toPlan, toPx, type Px } from '@/lib/screen'
import { useViewport } from '@/lib/useViewport'

/** The plan of a set, to draw on: click points, drag corners. What is drawn comes back through `plan`. */
const props = defineProps<{
  plan: SetPlan
  /** How many clicks a shape takes: 0 for none, 1, 2, or as many as it likes, to be ended. */
  clicks: 0 | 1 | 2 | 'many'
  hint: string
  /** Corners of what is chosen, which can be dragged. */
  corners: PlanPoint[]
  /** Things that stand on the set in the open shot. */
  standing: { name: string; at: PlanPoint }[]
}>()
const emit = defineEmits<{
  done: [points: PlanPoint[]]
  corner: [index: number, at: PlanPoint, end: boolean]
  pick: [at: PlanPoint, reachM: number]
}>()

const SNAP_PX = 11
const SQUARE_DEG = 5
const GRID_M = 0.05

const element = ref<SVGSVGElement>()
const viewport = useViewport({
  element,
  points: () => [
    ...wallPoints(props.plan),
    ...props.plan.landmarks.map((l) => l.point),
    ...spread.value,
    { xM: 0, yM: 0 },
    { xM: 4, yM: 3 },
  ],
})
const spread = computed(() => {
  const u = props.plan.underlay
  return u
    ? [u.corner, { xM: u.corner.xM + u.widthPx * u.metresPerPx, yM: u.corner.yM + u.heightPx * u.metresPerPx }]
    : []
})
const { view } = viewport
const points = ref<PlanPoint[]>([])
const at = ref<PlanPoint>()
watch(
  () => props.clicks,
  () => (points.value = []),
)

const anchors = computed(() => [
  ...wallPoints(props.plan),
  ...props.plan.openings.flatMap((o) => [o.from, o.to]),
  ...props.plan.landmarks.map((l) => l.point),
  ...points.value,
])

/** To a corner that is near, onto a wall that is near, square to the last point, or to the next 5 cm. */
function snapped(event: MouseEvent): PlanPoint {
  const box = element.value!.getBoundingClientRect()
  const px = { x: event.clientX - box.left, y: event.clientY - box.top }
  const corner = anchors.value.find((p) => gap(toPx(view.value, p), px) < SNAP_PX)
  if (corner) return corner
  const wall = onWall(px)
  if (wall) return wall
  const last = points.value.at(-1)
  let free = toPlan(view.value, px)
  if (last) {
    const bearing = bearingBetween(toPx(view.value, last), px)
    const off = Math.abs(bearing - Math.round(bearing / 90) * 90)
    if (off < SQUARE_DEG)
      free = Math.round(bearing / 90) % 2 ? { xM: free.xM, yM: last.yM } : { xM: last.xM, yM: free.yM }
  }
  return { xM: round(free.xM), yM: round(free.yM) }
}
function round(metres: number) {
  return Math.round(Math.round(metres / GRID_M) * GRID_M * 1000) / 1000
}
function onWall(px: Px): PlanPoint | undefined {
  for (const w of props.plan.walls)
    for (let i = 1; i < w.points.length; i++) {
      const [a, b] = [toPx(view.value, w.points[i - 1]!), toPx(view.value, w.points[i]!)]
      const long = gap(a, b)
      if (!long) continue
      const along = ((px.x - a.x) * (b.x - a.x) + (px.y - a.y) * (b.y - a.y)) / long / long
      const foot = { x: a.x + along * (b.x - a.x), y: a.y + along * (b.y - a.y) }
      if (along > 0 && along < 1 && gap(foot, px) < SNAP_PX) {
        const p = toPlan(view.value, foot)
        return { xM: Math.round(p.xM * 100) / 100, yM: Math.round(p.yM * 100) / 100 }
      }
    }
  return undefined
}

/* ---- pointer */
let panning: Px | undefined
let moved = false
let dragging: number | undefined

function down(event: PointerEvent) {
  if (event.button !== 0) return
  element.value?.setPointerCapture(event.pointerId)
  panning = { x: event.clientX, y: event.clientY }
  moved = false
}
function grab(event: PointerEvent, i: number) {
  event.stopPropagation()
  element.value?.setPointerCapture(event.pointerId)
  dragging = i
}
function move(event: PointerEvent) {
  at.value = snapped(event)
  if (dragging !== undefined) return emit('corner', dragging, at.value, false)
  if (!panning) return
  const [dx, dy] = [event.clientX - panning.x, event.clientY - panning.y]
  if (!moved && Math.hypot(dx, dy) < 4) return
  moved = true
  viewport.pan(dx, dy)
  panning = { x: event.clientX, y: event.clientY }
}
function up(event: PointerEvent) {
  if (dragging !== undefined) {
    emit('corner', dragging, snapped(event), true)
    dragging = undefined
    return
  }
  const click = panning && !moved
  panning = undefined
  if (!click) return
  const point = snapped(event)
  if (props.clicks === 0) return emit('pick', point, SNAP_PX / view.value.scale)
  put(point)
}

function put(point: PlanPoint) {
  const first = points.value[0]
  const closes =
    props.clicks === 'many' &&
    points.value.length > 2 &&
    first &&
    gap(toPx(view.value, first), toPx(view.value, point)) < SNAP_PX
  points.value = [...points.value, closes ? first : point]
  if (points.value.length === props.clicks || closes) finish()
}

function finish() {
  const done = points.value
  points.value = []
  if (done.length) emit('done', done)
}

function onKey(event: KeyboardEvent) {
  if (event.key === 'Enter' && points.value.length > 1) finish()
  else if (event.key === 'Escape' && points.value.length) points.value = []
  else if (event.key === 'Backspace' && points.value.length) points.value = points.value.slice(0, -1)
  else if (!viewport.key(event)) return
  event.preventDefault()
}

const line = computed(() => [...points.value, ...(points.value.length && at.value ? [at.value] : [])])
const length = computed(() => {
  const last = points.value.at(-1)
  return last && at.value ? Math.hypot(at.value.xM - last.xM, at.value.yM - last.yM) : undefined
})
defineExpose({ fit: viewport.fit, finish, drawing: computed(() => points.value.length) })
</script>

<template>
  <div class="stage">
    <!-- An application takes keys and pointers itself; the rule knows only buttons and fields. -->
    <!-- eslint-disable-next-line vuejs-accessibility/no-static-element-interactions -->
    <svg
      ref="element"
      tabindex="0"
      role="application"
      :aria-label="`Plan to draw on. ${hint} Everything can be typed beside it too.`"
      :class="{ draws: clicks !== 0 }"
      @pointerdown="down"
      @pointermove="move"
      @pointerup="up"
      @wheel.prevent="viewport.zoom(Math.exp(-$event.deltaY / 500), { x: $event.offsetX, y: $event.offsetY })"
      @keydown="onKey"
      @dblclick="finish"
    >
      <SetLayer :set="plan" :view="view" />
      <g
        v-for="s in standing"
        :key="s.name"
        :transform="`translate(${toPx(view, s.at).x} ${toPx(view, s.at).y})`"
        class="standing"
      >
        <circle r="4" />
        <text x="8" y="4">{{ s.name }}</text>
      </g>
      <path
        v-if="line.length > 1"
        :d="
          path(
            line.map((p) => toPx(view, p)),
            false,
          )
        "
        class="drawing-line"
      />
      <circle v-for="(p, i) in points" :key="i" :cx="toPx(view, p).x" :cy="toPx(view, p).y" r="4" class="point" />
      <circle v-if="at && clicks !== 0" :cx="toPx(view, at).x" :cy="toPx(view, at).y" r="5" class="cursor" />
      <text v-if="length && at" :x="toPx(view, at).x + 12" :y="toPx(view, at).y - 10" class="figure length">
        {{ length.toFixed(2) }} m
      </text>
      <rect
        v-for="(c, i) in corners"
        :key="`c${i}`"
        :x="toPx(view, c).x - 6"
        :y="toPx(view, c).y - 6"
        width="12"
        height="12"
        class="corner"
        @pointerdown="grab($event, i)"
      />
    </svg>
    <p class="hint" role="status">{{ hint }}</p>
    <div class="zoom">
      <button class="button" aria-label="Zoom in" @click="viewport.zoom(1.25)">+</button>
      <button class="button" aria-label="Zoom out" @click="viewport.zoom(0.8)">−</button>
      <button class="button" @click="viewport.fit()">Fit</button>
      <button v-if="clicks === 'many' && points.length > 1" class="button button-main" @click="finish">
        Done <kbd>Enter</kbd>
      </button>
    </div>
  </div>
</template>

<style scoped>
.stage {
  position: relative;
  min-height: 0;
}
svg {
  display: block;
  width: 100%;
  height: 100%;
  background: var(--ground);
  touch-action: none;
  user-select: none;
}
.draws {
  cursor: crosshair;
}
.drawing-line {
  fill: none;
  stroke: var(--accent);
  stroke-width: 2;
}
.point,
.cursor {
  fill: var(--ground);
  stroke: var(--accent);
  stroke-width: 1.6;
  pointer-events: none;
}
.cursor {
  fill: none;
}
.corner {
  fill: var(--ground);
  stroke: var(--accent);
  stroke-width: 1.6;
  cursor: move;
}
.length {
  font-size: 14px;
  fill: var(--ink);
  stroke: var(--ground);
  stroke-width: 3px;
  paint-order: stroke;
}
.standing {
  fill: var(--quiet);
  font-size: 11px;
  pointer-events: none;
}
.hint {
  position: absolute;
  left: 12px;
  top: 10px;
  padding: 2px 8px;
  background: var(--ground);
  color: var(--quiet);
}
.zoom {
  position: absolute;
  left: 12px;
  bottom: 12px;
  display: flex;
  gap: 4px;
}
.zoom .button:not(.button-main) {
  background: var(--ground);
}
</style>
