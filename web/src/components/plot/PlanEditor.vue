<script setup lang="ts">
import { computed, ref } from 'vue'
import { held, value, type CableWay, type HintView, type PlanPoint } from '@/api/types'
import { path, toCentimetre, toPlan, toPx } from '@/lib/screen'
import { isClosed, wallPoints } from '@/lib/set'
import { useAnnounced } from '@/lib/useAnnounced'
import { CROWD, usePlanDrawing, type DrawnThing, type PlanShown } from '@/lib/usePlanDrawing'
import { usePlanKeys } from '@/lib/usePlanKeys'
import { usePlanPointer, type Grip } from '@/lib/usePlanPointer'
import { useRoving } from '@/lib/useRoving'
import type { SunShown } from '@/lib/useSun'
import { useViewport } from '@/lib/useViewport'
import { ATTRIBUTES, recorded } from '@/lib/words'
import { useSettings } from '@/stores/settings'
import CameraView from './CameraView.vue'
import FrameMark from './FrameMark.vue'
import HeadMark from './HeadMark.vue'
import OtherMark from './OtherMark.vue'
import PlanFlags from './PlanFlags.vue'
import PlanFrame from './PlanFrame.vue'
import PlanGhosts from './PlanGhosts.vue'
import PlanLabels from './PlanLabels.vue'
import PlanOver from './PlanOver.vue'
import PlanRoses from './PlanRoses.vue'
import SetLayer from './SetLayer.vue'
import TapeLine from './TapeLine.vue'
import ThrowShape from './ThrowShape.vue'
import TurnHandle from './TurnHandle.vue'

/** The plan: pan, zoom, choose, drag, turn, nudge. It shows and asks; what a change means comes back through `placements`. */
const props = defineProps<
  PlanShown & {
    slate: string
    locked: boolean
    /** A place that is pointed at. */
    pointed?: PlanPoint
    /** The sun on the set, while it is looked at. */
    sun?: SunShown
    /** Where cables could lie, while they are looked at. */
    cables?: CableWay[]
  }
>()
const emit = defineEmits<{
  select: [key: string | undefined, more?: boolean]
  drag: [moved: Record<string, PlanPoint>]
  hint: [hint: HintView]
  /** A place was pointed at; a wall that is so near is meant. */
  point: [at: PlanPoint, withinM: number]
  turn: [key: string, bearing: number]
  /** The drag or the nudging has ended. */
  drop: []
}>()

const settings = useSettings()
const element = ref<SVGSVGElement>()
const hovered = ref<string>()
const viewport = useViewport({
  element,
  points: () => [
    ...wallPoints(props.set),
    ...props.set.landmarks.map((l) => l.point),
    ...props.placements.flatMap((p) => (p.onSet && value(p, 'PLACE')) || []),
  ],
})
const { view, size } = viewport
const roving = useRoving(
  () => drawn.value,
  () => props.selected,
)
const plan = usePlanDrawing(
  () => props,
  view,
  size,
  () => [hovered.value, roving.focused.value],
)
const { drawn, chosen, faded, walks, ghosted, flags, labels } = plan

const cameraDrawn = computed(() => drawn.value.find((d) => d.placed.placement.kind === 'CAMERA'))
const tapes = computed(() => {
  const two = chosen.value?.placed.tapes
  return two ? [two.a, two.b] : []
})
const room = computed(() => props.set.walls.map((w) => path(w.points.map((p) => toPx(view.value, p)))).join(''))
const closed = computed(() => props.set.walls.some((w) => isClosed(w.points)))
const fixed = (d: DrawnThing) => props.locked || !!d.placed.placement.locked

const WALL_PX = 8
const spot = computed(() => props.pointed && toPx(view.value, props.pointed))

/** Takes hold of a thing, with all that is moved with it: what else is chosen, and its group. */
function moving(d: DrawnThing): Grip {
  const { group } = d.placed.placement
  const together = (o: DrawnThing) =>
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
  onTap: (at) => {
    // what is chosen is let go of first
    if (props.pointed || !props.selected) emit('point', at, WALL_PX / view.value.scale)
    emit('select', undefined)
  },
  onDrag: (moved) => emit('drag', moved),
  onTurn: (key, bearing) => emit('turn', key, bearing),
  onDrop: () => emit('drop'),
})
const keys = usePlanKeys({
  viewport,
  roving,
  chosen: () => chosen.value,
  locked: fixed,
  focus: (key) => element.value?.querySelector<SVGGElement>(`[data-key="${CSS.escape(key)}"]`)?.focus(),
  onSelect: (key, more) => emit('select', key, more),
  onMove: (moved) => emit('drag', moved),
  onTurn: (key, bearing) => emit('turn', key, bearing),
  onEnd: () => emit('drop'),
})

function said(d: DrawnThing, attribute: 'PLACE' | 'AIM'): string {
  const now = held(d.placed, attribute)
  return now ? settings.printed(now.say) : ''
}
function spoken(d: DrawnThing): string {
  const { name, piece } = d.placed.placement
  return [name, piece.what, recorded(d.placed, settings.printed), said(d, 'PLACE')].filter(Boolean).join(', ')
}

/** Where what is chosen stands now, for whoever does not see it move. */
const announced = useAnnounced(() => {
  const d = chosen.value
  const { name } = d?.placed.placement ?? {}
  return (
    d && { key: d.key, sentences: (['PLACE', 'AIM'] as const).map((a) => `${name} ${ATTRIBUTES[a]}: ${said(d, a)}`) }
  )
})

defineExpose({
  fit: viewport.fit,
  zoom: viewport.zoom,
  middle: () => toCentimetre(toPlan(view.value, { x: size.value.width / 2, y: size.value.height / 2 })),
})
</script>

<template>
  <!-- The plan takes keys and pointers as a whole; the rule knows only buttons and fields. -->
  <!-- eslint-disable-next-line vuejs-accessibility/no-static-element-interactions -->
  <svg
    ref="element"
    class="stage block w-full h-full bg-ground touch-none select-none cursor-grab"
    role="group"
    tabindex="0"
    :aria-label="`Plan of shot ${slate}. Tab to what is placed: arrows go from one to the next, Enter chooses, arrows move and brackets turn it.`"
    @pointerdown="pointer.down($event, { kind: 'pan' })"
    @pointermove="pointer.move"
    @pointerup="pointer.up"
    @pointercancel="pointer.up"
    @wheel.prevent="pointer.wheel"
    @keydown="keys.onPlan"
  >
    <defs>
      <clipPath id="room">
        <path v-if="closed" :d="room" />
        <rect v-else :width="size.width" :height="size.height" />
      </clipPath>
    </defs>
    <SetLayer :set="set" :view="view" :named="tapes.map((t) => t.landmark)" />
    <PlanOver :sun="sun" :cables="cables" :set="set" :drawn="drawn" :view="view" :size="size" />
    <template v-for="d in drawn" :key="`throw-${d.key}`">
      <ThrowShape
        v-if="d.shines"
        :placed="d.placed"
        :at="d.at"
        :bearing="d.bearing"
        :scale="view.scale"
        :through="plan.through(d)"
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
    <PlanRoses v-if="light" :light="light" :drawn="drawn" :faded="faded" :selected="selected" />
    <PlanGhosts :ghosted="ghosted" />
    <template v-if="chosen">
      <TapeLine v-for="tape in tapes" :key="tape.landmark" :tape="tape" :to="chosen.at" :view="view" />
    </template>
    <g role="listbox" aria-multiselectable="true" :aria-label="`Placed in ${slate}`">
      <g
        v-for="d in drawn"
        :key="d.key"
        :transform="`translate(${d.at.x} ${d.at.y})`"
        class="placed"
        :class="{ locked: fixed(d), faded: faded.has(d.key) }"
        role="option"
        :tabindex="d.key === roving.stop.value ? 0 : -1"
        :aria-label="spoken(d)"
        :aria-selected="d.held"
        :data-key="d.key"
        @pointerdown="pointer.down($event, moving(d))"
        @pointerenter="hovered = d.key"
        @pointerleave="hovered = undefined"
        @focus="roving.focused.value = d.key"
        @keydown="keys.onThing($event, d)"
        @blur="keys.settle"
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
    </g>
    <PlanLabels :drawn="drawn" :labels="labels" :figures="plan.figures" />
    <PlanFlags :flags="flags" @choose="(hint) => emit('hint', hint)" />
    <TurnHandle
      v-if="chosen && !fixed(chosen)"
      :thing="chosen"
      @take="pointer.down($event, { kind: 'turn', key: chosen.key })"
    />
    <g v-if="spot" :transform="`translate(${spot.x} ${spot.y})`" class="spot">
      <circle r="4.6" />
      <path d="M-11,0h5M6,0h5M0,-11v5M0,6v5" />
    </g>
    <PlanFrame :view="view" :size="size" :north-deg="set.northDeg" />
  </svg>
  <p class="sr-only" aria-live="polite">{{ announced }}</p>
</template>

<style scoped>
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
.spot {
  fill: var(--ground);
  stroke: var(--accent);
  stroke-width: 1.6;
  pointer-events: none;
}
.lock {
  fill: var(--ground);
  stroke: var(--accent);
  stroke-width: 1.4;
}
</style>
