<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { PlanPoint, SetPlan } from '@/api/types'
import SetLayer from '@/components/plot/SetLayer.vue'
import { written } from '@/lib/scales'
import { wallPoints } from '@/lib/set'
import { gap, path, toPx, type Px } from '@/lib/screen'
import { snapped, SNAP_PX } from '@/lib/snap'
import { usePointerDrag } from '@/lib/usePointerDrag'
import { useViewport } from '@/lib/useViewport'
import { useSettings } from '@/stores/settings'

/** The plan of a set, to draw on: click points, drag corners. What is drawn comes back through `plan`. */
const settings = useSettings()
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

function under(at: Px): PlanPoint {
  return snapped(props.plan, points.value, view.value, at)
}

/* ---- pointer */
const hold = usePointerDrag<'plan' | number>({
  element: () => element.value,
  onMove({ grip, at: now, before }) {
    if (grip === 'plan') viewport.pan(now.x - before.x, now.y - before.y)
    else emit('corner', grip, under(now), false)
  },
  onEnd({ grip, at: now, moved }, cancelled) {
    if (grip !== 'plan') return emit('corner', grip, under(now), true)
    if (moved || cancelled) return
    if (props.clicks === 0) emit('pick', under(now), SNAP_PX / view.value.scale)
    else put(under(now))
  },
})
function hover(event: PointerEvent) {
  const box = element.value!.getBoundingClientRect()
  at.value = under({ x: event.clientX - box.left, y: event.clientY - box.top })
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
  <div class="relative min-h-0">
    <!-- The plan takes keys and pointers as a whole; the rule knows only buttons and fields. -->
    <!-- eslint-disable-next-line vuejs-accessibility/no-static-element-interactions -->
    <svg
      ref="element"
      tabindex="0"
      role="group"
      :aria-label="`Plan to draw on. ${hint} Everything can be typed beside it too.`"
      :class="{ draws: clicks !== 0 }"
      @pointerdown="hold($event, 'plan')"
      @pointermove="hover"
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
        {{ written(length, settings.units) }}
      </text>
      <rect
        v-for="(c, i) in corners"
        :key="`c${i}`"
        :x="toPx(view, c).x - 6"
        :y="toPx(view, c).y - 6"
        width="12"
        height="12"
        class="corner"
        @pointerdown.stop="hold($event, i)"
      />
    </svg>
    <p class="absolute left-3 top-2.5 py-0.5 px-2 bg-ground text-quiet" role="status">{{ hint }}</p>
    <div class="zoom absolute left-3 bottom-3 flex gap-1">
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
  font-size: var(--text-figure);
  fill: var(--ink);
  stroke: var(--ground);
  stroke-width: 3px;
  paint-order: stroke;
}
.standing {
  fill: var(--quiet);
  font-size: var(--text-fine);
  pointer-events: none;
}
.zoom .button:not(.button-main) {
  background: var(--ground);
}
</style>
