<script setup lang="ts">
import { computed, ref } from 'vue'
import { held, value, type Placed, type PlanPoint, type SetPlan } from '@/api/types'
import { around, placeLabels, PLATE_PX, tapePlate } from '@/lib/labels'
import { along, bearingBetween, gap, move, path, toCentimetre, toPlan, toPx, type Px } from '@/lib/screen'
import { isClosed, wallPoints } from '@/lib/set'
import { useViewport } from '@/lib/useViewport'
import { signed } from '@/lib/words'
import CameraView from './CameraView.vue'
import FrameMark from './FrameMark.vue'
import HeadMark from './HeadMark.vue'
import OtherMark from './OtherMark.vue'
import SetLayer from './SetLayer.vue'
import TapeLine from './TapeLine.vue'
import ThrowShape from './ThrowShape.vue'

/** The plan: pan, zoom, choose, drag, turn, nudge. It shows and asks; what a change means comes back through `placements`. */
const props = defineProps<{
  set: SetPlan
  slate: string
  placements: Placed[]
  selected?: string
  locked: boolean
  /** Where the one that is being moved is under the pointer, before it is kept. */
  draft?: { key: string; at?: PlanPoint; bearing?: number }
}>()
const emit = defineEmits<{
  select: [key: string | undefined]
  drag: [key: string, at: PlanPoint]
  turn: [key: string, bearing: number]
  /** The drag or the nudging has ended. */
  drop: []
}>()

const NUDGE_M = 0.05
const FAR_NUDGE_M = 0.5
const FINE_NUDGE_M = 0.01
const NUDGE_TURN_DEG = 5
const NUDGES_END_MS = 600
const SLOP_PX = 3
const HANDLE_PX = 46
const FIGURES_FROM = 45

const element = ref<SVGSVGElement>()
const viewport = useViewport({
  element,
  points: () => [...wallPoints(props.set), ...props.set.landmarks.map((l) => l.point), ...standing.value.flatMap((p) => value(p, 'PLACE') ?? [])],
})
const { view, size } = viewport

const standing = computed(() => props.placements.filter((p) => p.onSet && value(p, 'PLACE')))
const drawn = computed(() =>
  standing.value.map((placed) => {
    const key = placed.placement.key
    const draft = props.draft?.key === key ? props.draft : undefined
    const place = draft?.at ?? value(placed, 'PLACE')!
    const light = placed.placement.kind === 'HEAD' || placed.placement.kind === 'PRACTICAL'
    return {
      key,
      placed,
      at: toPx(view.value, place),
      bearing: draft?.bearing ?? placed.aim?.bearingDeg ?? 0,
      light,
      shines: light && value(placed, 'STANDING')?.state === 'ON' && (value(placed, 'LEVEL')?.percent ?? 0) > 0,
      outside: value(placed, 'PLACE')?.outside ?? false,
      selected: key === props.selected,
      changed: Object.values(placed.values).some((h) => h?.tiedHere && h.reason),
    }
  }),
)
const chosen = computed(() => drawn.value.find((d) => d.selected))
const cameraDrawn = computed(() => drawn.value.find((d) => d.placed.placement.kind === 'CAMERA'))
const tapes = computed(() => (chosen.value?.placed.tapes ? [chosen.value.placed.tapes.a, chosen.value.placed.tapes.b] : []))
const taped = computed(() => tapes.value.map((t) => t.landmark))
const room = computed(() => props.set.walls.map((w) => path(w.points.map((p) => toPx(view.value, p)))).join(''))
const closed = computed(() => props.set.walls.some((w) => isClosed(w.points)))
const windows = computed(() => props.set.openings.filter((o) => o.kind === 'WINDOW'))
const north = computed(() => props.set.northDeg)

/** The opening that a light outside shines through: the one nearest to its aim. */
function through(d: { at: Px; bearing: number; outside: boolean }): [Px, Px] | undefined {
  if (!d.outside) return undefined
  const ends = windows.value.map((o): [Px, Px] => [toPx(view.value, o.from), toPx(view.value, o.to)])
  const off = ([a, b]: [Px, Px]) => Math.abs(((bearingBetween(d.at, { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }) - d.bearing + 540) % 360) - 180)
  return ends.sort((a, b) => off(a) - off(b))[0]
}

/** Figures beside a name, where there is room for them. */
function figures(placed: Placed): string {
  return view.value.scale >= FIGURES_FROM ? recorded(placed) : ''
}

function recorded(placed: Placed): string {
  const light = placed.light
  if (!light) return placed.placement.kind === 'CAMERA' ? [held(placed, 'LENS')?.say, held(placed, 'HEIGHT')?.say].filter(Boolean).join(', ') : ''
  if (value(placed, 'STANDING')?.state === 'OFF') return 'off'
  const gel = value(placed, 'MODIFIERS')?.items.find((m) => m.gel)
  const colour = gel ? gel.name : light.kelvin ? `${Math.round(light.kelvin)}K` : ''
  return `${held(placed, 'LEVEL')?.say.replace(' ', '') ?? ''} ${colour}`
}

/** px that the drawing of a thing takes to either side, and above and below. */
function extent(placed: Placed, bearing: number): Px {
  if (placed.placement.kind === 'MARK' || placed.placement.kind === 'CAMERA') return { x: 19, y: 19 }
  const across = along(bearing + 90)
  const half = Math.max(7, (placed.placement.piece.widthM * view.value.scale) / 2)
  return { x: Math.max(9, Math.abs(across.x) * half + 4), y: Math.max(9, Math.abs(across.y) * half + 4) }
}

const labels = computed(() => {
  const wanted = drawn.value.map((d) => ({
    key: d.key,
    at: d.at,
    clear: extent(d.placed, d.bearing),
    width: Math.max(d.placed.placement.name.length * 7.2, figures(d.placed).length * 7.2) + (d.changed ? 12 : 0),
    height: figures(d.placed) ? 30 : 16,
  }))
  return placeLabels(wanted, [
    ...props.set.landmarks.map((l) => around(toPx(view.value, l.point), { x: 6, y: 6 })),
    ...tapes.value.map((t) => around(tapePlate(toPx(view.value, t.from), chosen.value!.at), PLATE_PX)),
  ])
})
const KNOT_PX = 11
/** Leaves room for the knot between what is named and its name. */
function inset(d: (typeof drawn.value)[number]): number {
  return d.changed ? (labels.value.get(d.key)?.anchor === 'end' ? -KNOT_PX : KNOT_PX) : 0
}
const handle = computed(() => chosen.value && move(chosen.value.at, along(chosen.value.bearing), HANDLE_PX))
const bar = computed(() => {
  const metres = view.value.scale > 90 ? 1 : view.value.scale > 30 ? 2 : 5
  return { metres, px: metres * view.value.scale }
})

/* ---- pointer: one finger or button drags a thing or the plan, two fingers zoom */
type Grip = { kind: 'pan' } | { kind: 'move'; key: string; off: Px } | { kind: 'turn'; key: string }
const pointers = new Map<number, Px>()
let grip: Grip | undefined
let moved = false
let start: Px = { x: 0, y: 0 }

function at(event: MouseEvent): Px {
  const box = element.value!.getBoundingClientRect()
  return { x: event.clientX - box.left, y: event.clientY - box.top }
}

function down(event: PointerEvent, wanted: Grip) {
  if (event.button !== 0) return
  event.stopPropagation()
  element.value?.setPointerCapture(event.pointerId)
  pointers.set(event.pointerId, at(event))
  start = at(event)
  moved = false
  grip = pointers.size > 1 ? undefined : wanted
  if (wanted.kind !== 'pan') emit('select', wanted.key)
}

function onMove(event: PointerEvent) {
  const before = pointers.get(event.pointerId)
  if (!before) return
  const now = at(event)
  pointers.set(event.pointerId, now)
  if (pointers.size === 2) return pinch(event.pointerId, before, now)
  if (!moved && gap(start, now) < SLOP_PX) return
  moved = true
  if (grip?.kind === 'pan') viewport.pan(now.x - before.x, now.y - before.y)
  if (props.locked) return
  if (grip?.kind === 'move') emit('drag', grip.key, toCentimetre(toPlan(view.value, { x: now.x - grip.off.x, y: now.y - grip.off.y })))
  if (grip?.kind === 'turn' && chosen.value) emit('turn', grip.key, Math.round(bearingBetween(chosen.value.at, now)))
}

function pinch(id: number, before: Px, now: Px) {
  const other = [...pointers].find(([key]) => key !== id)?.[1]
  if (!other) return
  const middle = { x: (now.x + other.x) / 2, y: (now.y + other.y) / 2 }
  viewport.zoom(gap(now, other) / Math.max(1, gap(before, other)), middle)
  viewport.pan((now.x - before.x) / 2, (now.y - before.y) / 2)
}

function up(event: PointerEvent) {
  if (!pointers.delete(event.pointerId)) return
  if (grip?.kind === 'pan' && !moved) emit('select', undefined)
  if (grip && grip.kind !== 'pan' && moved && !props.locked) emit('drop')
  grip = undefined
}

function wheel(event: WheelEvent) {
  viewport.zoom(Math.exp(-event.deltaY / 500), at(event))
}

/* ---- keys */
let nudging: ReturnType<typeof setTimeout> | undefined
function nudged() {
  clearTimeout(nudging)
  nudging = setTimeout(settle, NUDGES_END_MS)
}
function settle() {
  if (!nudging) return
  clearTimeout(nudging)
  nudging = undefined
  emit('drop')
}

function keyOn(event: KeyboardEvent, key: string) {
  if (event.key === 'Enter' || event.key === ' ') emit('select', key)
  else if (!onKey(event, key)) return
  event.preventDefault()
  event.stopPropagation()
}

function onKey(event: KeyboardEvent, key = props.selected): boolean {
  if (event.ctrlKey || event.metaKey) return false
  if (event.key === 'Escape') {
    emit('select', undefined)
    return true
  }
  const d = drawn.value.find((one) => one.key === key)
  if (d && !props.locked) {
    const step = event.shiftKey ? FAR_NUDGE_M : event.altKey ? FINE_NUDGE_M : NUDGE_M
    const ways: Record<string, [number, number]> = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }
    const way = ways[event.key]
    if (way) {
      const from = toPlan(view.value, d.at)
      emit('select', d.key)
      emit('drag', d.key, toCentimetre({ xM: from.xM + way[0], yM: from.yM + way[1] }))
      nudged()
      return true
    }
    if (event.key === '[' || event.key === ']') {
      emit('select', d.key)
      emit('turn', d.key, (Math.round(d.bearing) + (event.key === ']' ? NUDGE_TURN_DEG : -NUDGE_TURN_DEG) + 360) % 360)
      nudged()
      return true
    }
  }
  return viewport.key(event)
}

function keyOnPlan(event: KeyboardEvent) {
  if (onKey(event)) event.preventDefault()
}

function spoken(d: (typeof drawn.value)[number]): string {
  const p = value(d.placed, 'PLACE')!
  const words = [d.placed.placement.name, d.placed.placement.piece.what, recorded(d.placed)]
  words.push(`${signed(p.xM, 2)} m right, ${signed(p.yM, 2)} m up the plan`)
  return words.filter(Boolean).join(', ')
}

defineExpose({ fit: viewport.fit, zoom: viewport.zoom, middle: () => toCentimetre(toPlan(view.value, { x: size.value.width / 2, y: size.value.height / 2 })) })
</script>

<template>
  <svg
    ref="element"
    class="stage"
    role="application"
    tabindex="0"
    :aria-label="`Plan of shot ${slate}. Tab to what is placed, arrows move it, brackets turn it, plus and minus zoom.`"
    @pointerdown="down($event, { kind: 'pan' })"
    @pointermove="onMove"
    @pointerup="up"
    @pointercancel="up"
    @wheel.prevent="wheel"
    @keydown="keyOnPlan"
  >
    <defs>
      <clipPath id="room"><path v-if="closed" :d="room" /><rect v-else :width="size.width" :height="size.height" /></clipPath>
    </defs>
    <SetLayer :set="set" :view="view" :named="taped" />
    <template v-for="d in drawn" :key="`throw-${d.key}`">
      <ThrowShape v-if="d.shines" :placed="d.placed" :at="d.at" :bearing="d.bearing" :scale="view.scale" :through="through(d)" />
    </template>
    <CameraView v-if="cameraDrawn?.placed.viewDeg" :at="cameraDrawn.at" :bearing="cameraDrawn.bearing" :view-deg="cameraDrawn.placed.viewDeg" :scale="view.scale" />
    <FrameMark v-for="d in drawn" :key="`frame-${d.key}`" :placed="d.placed" :at="d.at" :bearing="d.bearing" :scale="view.scale" />
    <template v-if="chosen">
      <TapeLine v-for="tape in tapes" :key="tape.landmark" :tape="tape" :to="chosen.at" :view="view" />
    </template>
    <g
      v-for="d in drawn"
      :key="d.key"
      :transform="`translate(${d.at.x} ${d.at.y})`"
      class="placed"
      :class="{ locked }"
      role="button"
      tabindex="0"
      :aria-label="spoken(d)"
      :aria-pressed="d.selected"
      :data-key="d.key"
      @pointerdown="down($event, { kind: 'move', key: d.key, off: { x: at($event).x - d.at.x, y: at($event).y - d.at.y } })"
      @keydown="keyOn($event, d.key)"
      @blur="settle"
    >
      <circle r="22" fill="transparent" class="reach" />
      <HeadMark v-if="d.light" :placed="d.placed" :scale="view.scale" :bearing="d.bearing" :selected="d.selected" />
      <OtherMark v-else :placed="d.placed" :scale="view.scale" :bearing="d.bearing" :selected="d.selected" />
    </g>
    <g v-for="d in drawn" :key="`label-${d.key}`" class="label" :class="{ chosen: d.selected }">
      <template v-if="labels.get(d.key)">
        <g :transform="`translate(${labels.get(d.key)!.x} ${labels.get(d.key)!.y})`">
          <path v-if="d.changed" :transform="`translate(${labels.get(d.key)!.anchor === 'start' ? 3.5 : -3.5} 8)`" d="M0,-7C4.5,-3 4.5,3 0,7C-4.5,3 -4.5,-3 0,-7Z" class="knot" />
          <text :x="inset(d)" y="12" :text-anchor="labels.get(d.key)!.anchor" class="name">{{ d.placed.placement.name }}</text>
          <text :x="inset(d)" y="27" :text-anchor="labels.get(d.key)!.anchor" class="figure">{{ figures(d.placed) }}</text>
        </g>
      </template>
    </g>
    <g v-if="chosen && handle && !locked" class="handle" @pointerdown="down($event, { kind: 'turn', key: chosen.key })">
      <path :d="path([chosen.at, handle], false)" stroke="var(--accent)" stroke-dasharray="2 3" />
      <circle :cx="handle.x" :cy="handle.y" r="16" fill="transparent" />
      <circle :cx="handle.x" :cy="handle.y" r="5" fill="var(--ground)" stroke="var(--accent)" stroke-width="1.6" data-handle="turn" />
      <title>Turn {{ chosen.placed.placement.name }}</title>
    </g>
    <g :transform="`translate(${size.width - 34} 34)`" class="fixed-mark" aria-hidden="true">
      <g :transform="`rotate(${north})`"><path d="M0,14V-14M-5,-7L0,-14L5,-7" fill="none" stroke="var(--quiet)" stroke-width="1.2" /></g>
      <text x="12" y="4">N</text>
    </g>
    <g :transform="`translate(${size.width - 24 - bar.px} ${size.height - 18})`" class="fixed-mark" aria-hidden="true">
      <path :d="`M0,-5V0H${bar.px}V-5M${bar.px / 2},-3V0`" fill="none" stroke="var(--quiet)" stroke-width="1.2" />
      <text :x="bar.px / 2" y="-8" text-anchor="middle">{{ bar.metres }} m</text>
    </g>
  </svg>
</template>

<style scoped>
.stage {
  display: block;
  width: 100%;
  height: 100%;
  background: var(--ground);
  touch-action: none;
  user-select: none;
  cursor: grab;
}
.stage:focus-visible {
  outline-offset: -2px;
}
.placed {
  cursor: move;
}
.placed.locked {
  cursor: not-allowed;
}
.placed:focus {
  outline: none;
}
.placed:focus-visible > .reach {
  stroke: var(--accent);
  stroke-width: 2px;
}
.handle {
  cursor: crosshair;
}
.label,
.fixed-mark {
  pointer-events: none;
}
.label text {
  stroke: var(--ground);
  stroke-width: 3px;
  paint-order: stroke;
  fill: var(--ink);
}
.name {
  font-size: 13px;
  font-weight: 600;
}
.label .figure {
  font-size: 12px;
}
.label.chosen .name {
  fill: var(--accent);
}
.label .knot {
  fill: var(--accent);
  stroke: var(--ground);
  stroke-width: 1.5px;
  paint-order: stroke;
}
.fixed-mark text {
  font-size: 11px;
  fill: var(--quiet);
}
</style>
