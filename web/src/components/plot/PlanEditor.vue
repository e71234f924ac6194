<script setup lang="ts">
import { useSettings } from '@/stores/settings'
import { computed, ref } from 'vue'
import { value, type Light, type Placed, type PlanPoint, type SetPlan, type HintView } from '@/api/types'
import RoseMark from '@/components/marks/RoseMark.vue'
import { placeFlag } from '@/lib/flags'
import { around, placeLabels, PLATE_PX, tapePlate } from '@/lib/labels'
import { along, bearingBetween, gap, move, path, toCentimetre, toPlan, toPx, type Px } from '@/lib/screen'
import { isClosed, wallPoints } from '@/lib/set'
import { usePlanPointer, type Grip } from '@/lib/usePlanPointer'
import { useViewport } from '@/lib/useViewport'
import { recorded, signed } from '@/lib/words'
import CameraView from './CameraView.vue'
import FrameMark from './FrameMark.vue'
import HeadMark from './HeadMark.vue'
import OtherMark from './OtherMark.vue'
import SetLayer from './SetLayer.vue'
import TapeLine from './TapeLine.vue'
import ThrowShape from './ThrowShape.vue'

const settings = useSettings()

/** The plan: pan, zoom, choose, drag, turn, nudge. It shows and asks; what a change means comes back through `placements`. */
const props = defineProps<{
  set: SetPlan
  slate: string
  placements: Placed[]
  selected?: string
  /** Chosen besides the selected one. */
  also: string[]
  locked: boolean
  /** Where those that are being moved are under the pointer, before it is kept. */
  draft: Record<string, { at?: PlanPoint; bearing?: number }>
  light?: Light
  /** Where things stand by the record, while they are tried elsewhere. */
  ghosts: { key: string; at: PlanPoint; bearing: number }[]
}>()
const emit = defineEmits<{
  select: [key: string | undefined, more?: boolean]
  drag: [moved: Record<string, PlanPoint>]
  hint: [hint: HintView]
  turn: [key: string, bearing: number]
  /** The drag or the nudging has ended. */
  drop: []
}>()

const NUDGE_M = 0.05
const FAR_NUDGE_M = 0.5
const FINE_NUDGE_M = 0.01
const NUDGE_TURN_DEG = 5
const NUDGES_END_MS = 600
const HANDLE_PX = 46
const FIGURES_FROM = 45
const CROWD = 12
const NEAR_M = 1.5
const MOST_FLAGS = 2
const ROSE_R0 = 16
const ROSE_PER_STOP = 6.5
const ROSE_WITHIN = 70
const MOST_PETALS = 6

const element = ref<SVGSVGElement>()
const viewport = useViewport({
  element,
  points: () => [
    ...wallPoints(props.set),
    ...props.set.landmarks.map((l) => l.point),
    ...standing.value.flatMap((p) => value(p, 'PLACE') ?? []),
  ],
})
const { view, size } = viewport

const standing = computed(() => props.placements.filter((p) => p.onSet && value(p, 'PLACE')))
const drawn = computed(() =>
  standing.value.map((placed) => {
    const key = placed.placement.key
    const draft = props.draft[key]
    const place = draft?.at ?? value(placed, 'PLACE')!
    const light = placed.placement.kind === 'HEAD' || placed.placement.kind === 'PRACTICAL'
    const source = props.light?.sources.find((one) => one.key === key)
    return {
      key,
      placed,
      at: toPx(view.value, place),
      bearing: draft?.bearing ?? placed.aim?.bearingDeg ?? 0,
      light,
      shines:
        light &&
        value(placed, 'STANDING')?.state === 'ON' &&
        (value(placed, 'LEVEL')?.percent ?? 0) > 0 &&
        !source?.out,
      held: key === props.selected || props.also.includes(key),
      outside: value(placed, 'PLACE')?.outside ?? false,
      selected: key === props.selected,
      changed: Object.values(placed.values).some((h) => h?.tiedHere && h.reason),
    }
  }),
)
const chosen = computed(() => drawn.value.find((d) => d.selected))
/** With much on the plan, what has nothing to do with the selection steps back. */
const faded = computed(() => {
  const one = chosen.value
  if (!one || drawn.value.length <= CROWD) return new Set<string>()
  const mark = value(one.placed, 'AIM')?.mark
  const near = (d: (typeof drawn.value)[number]) =>
    d.held ||
    d.key === mark ||
    d.placed.placement.kind === 'CAMERA' ||
    value(d.placed, 'AIM')?.mark === one.key ||
    (!!one.placed.placement.group && d.placed.placement.group === one.placed.placement.group) ||
    gap(d.at, one.at) < NEAR_M * view.value.scale
  return new Set(drawn.value.filter((d) => !near(d)).map((d) => d.key))
})
/** Marks of one group are walked one after the other. */
const walks = computed(() => {
  const groups = new Map<string, Px[]>()
  for (const d of drawn.value) {
    const group = d.placed.placement.kind === 'MARK' && d.placed.placement.group
    if (group) groups.set(group, [...(groups.get(group) ?? []), d.at])
  }
  return [...groups].filter(([, way]) => way.length > 1).map(([name, way]) => ({ name, d: path(way, false) }))
})
const roses = computed(() =>
  (props.light?.marks ?? []).flatMap((mark) => {
    const d = drawn.value.find((one) => one.key === mark.key)
    return d ? [{ mark, at: d.at, faded: faded.value.has(d.key) }] : []
  }),
)
/** What is to be acted on, with a leader to its place; the rest is told in words beside the plan. */
const flags = computed(() => {
  const taken = drawn.value.map((d) => around(d.at, extent(d.placed, d.bearing)))
  return (props.light?.hints ?? [])
    .filter((h) => h.urgent && !h.onPurpose && (!props.selected || h.placement === props.selected))
    .slice(0, MOST_FLAGS)
    .flatMap((hint) => {
      const d = drawn.value.find((one) => one.key === hint.placement)
      if (!d) return []
      const flag = placeFlag(d.at, settings.printed(hint.title).length, taken, size.value)
      taken.push(flag)
      return [{ hint, ...flag }]
    })
})
const ghosted = computed(() =>
  props.ghosts.flatMap((g) => {
    const d = drawn.value.find((one) => one.key === g.key)
    const at = toPx(view.value, g.at)
    return d && (gap(at, d.at) > 2 || Math.abs(g.bearing - d.bearing) > 1)
      ? [{ ...g, at, to: d.at, half: Math.max(7, (d.placed.placement.piece.widthM * view.value.scale) / 2) }]
      : []
  }),
)
const cameraDrawn = computed(() => drawn.value.find((d) => d.placed.placement.kind === 'CAMERA'))
const tapes = computed(() =>
  chosen.value?.placed.tapes ? [chosen.value.placed.tapes.a, chosen.value.placed.tapes.b] : [],
)
const room = computed(() => props.set.walls.map((w) => path(w.points.map((p) => toPx(view.value, p)))).join(''))
const closed = computed(() => props.set.walls.some((w) => isClosed(w.points)))

/** The opening that a light outside shines through: the one nearest to its aim. */
function through(d: { at: Px; bearing: number; outside: boolean }): [Px, Px] | undefined {
  if (!d.outside) return undefined
  const ends = props.set.openings
    .filter((o) => o.kind === 'WINDOW')
    .map((o): [Px, Px] => [toPx(view.value, o.from), toPx(view.value, o.to)])
  const off = ([a, b]: [Px, Px]) =>
    Math.abs(((bearingBetween(d.at, { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }) - d.bearing + 540) % 360) - 180)
  return ends.sort((a, b) => off(a) - off(b))[0]
}

/** Figures beside a name, where there is room for them. */
function figures(placed: Placed): string {
  return view.value.scale >= FIGURES_FROM ? recorded(placed) : ''
}

/** px that the drawing of a thing takes to either side, and above and below. */
function extent(placed: Placed, bearing: number): Px {
  if (placed.placement.kind === 'MARK') return { x: 24, y: 24 }
  if (placed.placement.kind === 'CAMERA') return { x: 19, y: 19 }
  const across = along(bearing + 90)
  const half = Math.max(7, (placed.placement.piece.widthM * view.value.scale) / 2)
  return { x: Math.max(9, Math.abs(across.x) * half + 4), y: Math.max(9, Math.abs(across.y) * half + 4) }
}

const labels = computed(() => {
  const wanted = drawn.value
    .map((d) => ({
      key: d.key,
      at: d.at,
      clear: extent(d.placed, d.bearing),
      width: Math.max(d.placed.placement.name.length * 7.2, figures(d.placed).length * 7.2) + (d.changed ? 12 : 0),
      height: figures(d.placed) ? 30 : 16,
      needed: d.held || d.placed.placement.kind === 'MARK' || d.placed.placement.kind === 'CAMERA',
    }))
    .filter((d) => !faded.value.has(d.key))
  return placeLabels(
    wanted,
    [
      ...props.set.landmarks.map((l) => around(toPx(view.value, l.point), { x: 6, y: 6 })),
      ...flags.value,
      ...tapes.value.map((t) => around(tapePlate(toPx(view.value, t.from), chosen.value!.at), PLATE_PX)),
    ],
    { left: 0, top: 0, right: size.value.width, bottom: size.value.height },
  )
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

/** Takes hold of a thing, with all that is moved with it: what else is chosen, and its group. */
function moving(d: (typeof drawn.value)[number]): Grip {
  const group = d.placed.placement.group
  const together = (o: typeof d) =>
    props.also.length && d.held ? o.held : !!group && o.placed.placement.group === group
  const also = drawn.value.filter((o) => o.key !== d.key && together(o) && !o.placed.placement.locked)
  return { kind: 'move', key: d.key, from: d.at, also: also.map((o) => ({ key: o.key, from: o.at })) }
}

const pointer = usePlanPointer({
  element,
  viewport,
  locked: (key) => props.locked || !!drawn.value.find((d) => d.key === key)?.placed.placement.locked,
  turnedAbout: () => chosen.value?.at,
  onTake(wanted, more) {
    if (wanted.kind === 'turn' || (wanted.kind === 'move' && !more && !props.also.includes(wanted.key)))
      emit('select', wanted.key)
    else if (wanted.kind === 'move' && more) emit('select', wanted.key, true)
  },
  onTap: () => emit('select', undefined),
  onDrag: (moved) => emit('drag', moved),
  onTurn: (key, bearing) => emit('turn', key, bearing),
  onDrop: () => emit('drop'),
})

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
  if (d && !props.locked && !d.placed.placement.locked) {
    const step = event.shiftKey ? FAR_NUDGE_M : event.altKey ? FINE_NUDGE_M : NUDGE_M
    const ways: Record<string, [number, number]> = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, step],
      ArrowDown: [0, -step],
    }
    const way = ways[event.key]
    if (way) {
      const from = toPlan(view.value, d.at)
      emit('select', d.key)
      emit('drag', { [d.key]: toCentimetre({ xM: from.xM + way[0], yM: from.yM + way[1] }) })
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

function spoken(d: (typeof drawn.value)[number]): string {
  const p = value(d.placed, 'PLACE')!
  const words = [d.placed.placement.name, d.placed.placement.piece.what, recorded(d.placed)]
  words.push(`${signed(p.xM, 2)} m right, ${signed(p.yM, 2)} m up the plan`)
  return words.filter(Boolean).join(', ')
}

defineExpose({
  fit: viewport.fit,
  zoom: viewport.zoom,
  middle: () => toCentimetre(toPlan(view.value, { x: size.value.width / 2, y: size.value.height / 2 })),
})
</script>

<template>
  <!-- An application takes keys and pointers itself; the rule knows only buttons and fields. -->
  <!-- eslint-disable-next-line vuejs-accessibility/no-static-element-interactions -->
  <svg
    ref="element"
    class="stage"
    role="application"
    tabindex="0"
    :aria-label="`Plan of shot ${slate}. Tab to what is placed, arrows move it, brackets turn it, plus and minus zoom.`"
    @pointerdown="pointer.down($event, { kind: 'pan' })"
    @pointermove="pointer.move"
    @pointerup="pointer.up"
    @pointercancel="pointer.up"
    @wheel.prevent="pointer.wheel"
    @keydown="(event) => onKey(event) && event.preventDefault()"
  >
    <defs>
      <clipPath id="room">
        <path v-if="closed" :d="room" />
        <rect v-else :width="size.width" :height="size.height" />
      </clipPath>
    </defs>
    <SetLayer :set="set" :view="view" :named="tapes.map((t) => t.landmark)" />
    <template v-for="d in drawn" :key="`throw-${d.key}`">
      <ThrowShape
        v-if="d.shines"
        :placed="d.placed"
        :at="d.at"
        :bearing="d.bearing"
        :scale="view.scale"
        :through="through(d)"
        :plain="drawn.length > CROWD"
        :class="{ faded: faded.has(d.key) }"
      />
    </template>
    <CameraView
      v-if="cameraDrawn?.placed.viewDeg"
      :at="cameraDrawn.at"
      :bearing="cameraDrawn.bearing"
      :view-deg="cameraDrawn.placed.viewDeg"
      :scale="view.scale"
    />
    <FrameMark
      v-for="d in drawn"
      :key="`frame-${d.key}`"
      :placed="d.placed"
      :at="d.at"
      :bearing="d.bearing"
      :scale="view.scale"
    />
    <path v-for="w in walks" :key="w.name" :d="w.d" class="walk">
      <title>{{ w.name }}</title>
    </path>
    <g
      v-for="r in roses"
      :key="`rose-${r.mark.key}`"
      :transform="`translate(${r.at.x} ${r.at.y})`"
      class="fixed-mark"
      :class="{ faded: r.faded }"
    >
      <RoseMark
        :mark="r.mark"
        :sources="light!.sources"
        :r0="ROSE_R0"
        :per-stop="ROSE_PER_STOP"
        :chosen="selected"
        :most="drawn.length > CROWD ? MOST_PETALS : undefined"
        :within="ROSE_WITHIN"
      />
    </g>
    <g v-for="g in ghosted" :key="`ghost-${g.key}`" class="ghost">
      <path :d="path([g.at, g.to], false)" />
      <rect
        :x="-g.half"
        y="-5"
        :width="2 * g.half"
        height="10"
        :transform="`translate(${g.at.x} ${g.at.y}) rotate(${g.bearing})`"
      />
    </g>
    <template v-if="chosen">
      <TapeLine v-for="tape in tapes" :key="tape.landmark" :tape="tape" :to="chosen.at" :view="view" />
    </template>
    <g
      v-for="d in drawn"
      :key="d.key"
      :transform="`translate(${d.at.x} ${d.at.y})`"
      class="placed"
      :class="{ locked: locked || d.placed.placement.locked, faded: faded.has(d.key) }"
      role="button"
      tabindex="0"
      :aria-label="spoken(d)"
      :aria-pressed="d.selected"
      :data-key="d.key"
      @pointerdown="pointer.down($event, moving(d))"
      @keydown="keyOn($event, d.key)"
      @blur="settle"
    >
      <circle r="22" fill="transparent" class="reach" />
      <HeadMark v-if="d.light" :placed="d.placed" :scale="view.scale" :bearing="d.bearing" :selected="d.held" />
      <OtherMark v-else :placed="d.placed" :scale="view.scale" :bearing="d.bearing" :selected="d.held" />
      <path
        v-if="d.placed.placement.locked && d.held"
        d="M12,-14v-3a3.5,3.5 0 0 1 7,0v3M10.5,-14h10v7h-10z"
        class="lock"
      >
        <title>Locked where it stands</title>
      </path>
    </g>
    <g v-for="d in drawn" :key="`label-${d.key}`" class="label" :class="{ chosen: d.selected }">
      <template v-if="labels.get(d.key)">
        <g :transform="`translate(${labels.get(d.key)!.x} ${labels.get(d.key)!.y})`">
          <path
            v-if="d.changed"
            :transform="`translate(${labels.get(d.key)!.anchor === 'start' ? 3.5 : -3.5} 8)`"
            d="M0,-7C4.5,-3 4.5,3 0,7C-4.5,3 -4.5,-3 0,-7Z"
            class="knot"
          />
          <text :x="inset(d)" y="12" :text-anchor="labels.get(d.key)!.anchor" class="name">
            {{ d.placed.placement.name }}
          </text>
          <text :x="inset(d)" y="27" :text-anchor="labels.get(d.key)!.anchor" class="figure">
            {{ figures(d.placed) }}
          </text>
        </g>
      </template>
    </g>
    <g
      v-for="(f, i) in flags"
      :key="`flag-${i}`"
      class="flag"
      role="button"
      tabindex="0"
      :aria-label="`${settings.printed(f.hint.title)}. ${settings.printed(f.hint.reason)}`"
      @pointerdown.stop
      @click="emit('hint', f.hint)"
      @keydown.enter.stop="emit('hint', f.hint)"
    >
      <path
        :d="`M${f.at.x},${f.at.y + 10}L${f.left > f.at.x ? f.left : f.right},${f.top + 14}`"
        stroke="var(--ink)"
        fill="none"
      />
      <rect
        :x="f.left"
        :y="f.top"
        :width="f.right - f.left"
        :height="f.bottom - f.top"
        rx="3"
        fill="var(--ground)"
        stroke="var(--ink)"
      />
      <path :d="`M${f.left + 10},${f.top + 22}h12v-9z`" fill="var(--ink)" stroke="var(--ink)" stroke-linejoin="round" />
      <text :x="f.left + 30" :y="f.top + 16" class="flag-title">{{ settings.printed(f.hint.title) }}</text>
      <text :x="f.left + 30" :y="f.top + 32" class="flag-words">why, and on purpose</text>
    </g>
    <g
      v-if="chosen && handle && !locked && !chosen.placed.placement.locked"
      class="handle"
      @pointerdown="pointer.down($event, { kind: 'turn', key: chosen.key })"
    >
      <path :d="path([chosen.at, handle], false)" stroke="var(--accent)" stroke-dasharray="2 3" />
      <circle :cx="handle.x" :cy="handle.y" r="16" fill="transparent" />
      <circle
        :cx="handle.x"
        :cy="handle.y"
        r="5"
        fill="var(--ground)"
        stroke="var(--accent)"
        stroke-width="1.6"
        data-handle="turn"
      />
      <title>Turn {{ chosen.placed.placement.name }}</title>
    </g>
    <g :transform="`translate(${size.width - 34} 34)`" class="fixed-mark" aria-hidden="true">
      <g :transform="`rotate(${set.northDeg})`">
        <path d="M0,14V-14M-5,-7L0,-14L5,-7" fill="none" stroke="var(--quiet)" stroke-width="1.2" />
      </g>
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
.faded {
  opacity: 0.28;
}
.walk {
  fill: none;
  stroke: var(--quiet);
  stroke-width: 1.4;
  stroke-dasharray: 1 6;
  stroke-linecap: round;
  pointer-events: none;
}
.ghost {
  fill: none;
  stroke: var(--ink);
  stroke-dasharray: 4 3;
  pointer-events: none;
}
.lock {
  fill: var(--ground);
  stroke: var(--accent);
  stroke-width: 1.4;
}
.flag {
  cursor: pointer;
}
.flag-title {
  font-size: 12px;
  font-weight: 650;
  fill: var(--ink);
}
.flag-words {
  font-size: 11px;
  fill: var(--quiet);
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
