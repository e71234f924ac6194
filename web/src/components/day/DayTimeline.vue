<script setup lang="ts">
import { computed, ref } from 'vue'
import type { DayFeeds, DaySlot, ShootingDay, TriedOrder } from '@/api/types'
import { clock, dayScale, lasting, moved, needName } from '@/lib/dayTime'
import { usePointerDrag } from '@/lib/usePointerDrag'
import { useSize } from '@/lib/useSize'
import BatteryRows from './BatteryRows.vue'
import DayBar from './DayBar.vue'
import DaySun from './DaySun.vue'
import DepartmentBars from './DepartmentBars.vue'
import LoadRows from './LoadRows.vue'

/** A day in time: shots, the order that is tried, who works how long in each changeover, the sun, batteries, and circuits. */
const props = defineProps<{
  day: ShootingDay
  tried?: TriedOrder
  feeds?: DayFeeds
  order: number[]
  editable: boolean
}>()
const emit = defineEmits<{
  try: [order: number[]]
  step: [shot: number, by: number]
  open: [slot: DaySlot]
  keep: []
}>()
const HEADS = 132
const SHOTS = 76
const TRIED = 58
const LANE = 17
const SUN = 128
const BATTERY = 34
const CIRCUIT = 46
const body = ref<HTMLElement>()
const size = useSize(body)
const wide = computed(() => Math.max(200, size.value.width - HEADS - 12))
const scale = computed(() =>
  dayScale({ ...props.day, slots: [...props.day.slots, ...(props.tried?.slots ?? [])] }, wide.value),
)
const lanes = computed(() => [...new Set(props.day.slots.flatMap((s) => s.departments.map((d) => d.department)))])
/** What is on batteries and draws. */
const drawing = computed(() => props.feeds?.batteries.filter((b) => b.spans.length) ?? [])
const dragged = ref<number>()

const take = usePointerDrag<number>({
  element: () => body.value,
  onMove: ({ grip, at }) => {
    dragged.value = grip
    const minute = scale.value.from + ((at.x - HEADS) / wide.value) * (scale.value.to - scale.value.from)
    const shown = props.tried?.slots ?? props.day.slots
    const rest = shown.filter((s) => s.shotId !== grip)
    const to = rest.filter((s) => (s.setUpFrom + s.shootTo) / 2 < minute).length
    const next = moved(props.order, grip, to)
    if (next.join() !== props.order.join()) emit('try', next)
  },
  onEnd: ({ grip, moved: far }, cancelled) => {
    dragged.value = undefined
    const pressed = props.day.slots.find((s) => s.shotId === grip)
    if (pressed && !far && !cancelled) emit('open', pressed)
  },
})
function press(event: PointerEvent, slot: DaySlot) {
  if (props.editable && !slot.begun) take(event, slot.shotId)
}
/** A press that took hold opens when it is let go; this is the keyboard's, and that of who only looks. */
function click(event: MouseEvent, slot: DaySlot) {
  if (!event.detail || !props.editable || slot.begun) emit('open', slot)
}
function key(event: KeyboardEvent, slot: DaySlot) {
  const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
  if (by && props.editable && !slot.begun) emit('step', slot.shotId, by)
  else if (event.key === 'Escape') emit('keep')
  else return
  event.preventDefault()
}
function label(s: DaySlot) {
  const waits = s.shootFrom - s.readyAt >= 1 ? `, waits ${lasting(s.shootFrom - s.readyAt)}` : ''
  return `${s.slate}: set-up ${clock(s.setUpFrom)}, ready ${clock(s.readyAt)}${waits}, takes ${clock(s.shootFrom)} to ${clock(s.shootTo)}. ${
    props.editable && !s.begun ? 'Arrow keys try it sooner or later, Enter opens it.' : ''
  }`
}
</script>

<template>
  <div ref="body" class="timeline" :style="{ '--heads': `${HEADS}px` }">
    <div class="axis" aria-hidden="true">
      <span v-for="h in scale.hours" :key="h" :style="{ left: `${HEADS + scale.x(h)}px` }">{{ clock(h) }}</span>
    </div>
    <div class="grid" aria-hidden="true">
      <i v-for="h in scale.hours" :key="h" :style="{ left: `${HEADS + scale.x(h)}px` }" />
      <i class="wrap" :style="{ left: `${HEADS + scale.x(day.wrapMin)}px` }"><span>wrap</span></i>
      <b
        v-for="p in tried?.pauses ?? day.pauses"
        :key="p.from"
        :style="{ left: `${HEADS + scale.x(p.from)}px`, width: `${scale.x(p.to) - scale.x(p.from)}px` }"
        ><span>meal</span></b
      >
      <i v-if="day.now !== undefined" class="now" :style="{ left: `${HEADS + scale.x(day.now)}px` }"
        ><span>now {{ clock(day.now) }}</span></i
      >
    </div>
    <section class="row" :style="{ height: `${SHOTS}px` }">
      <h2>Shots<small>set-up, then takes</small></h2>
      <DayBar v-for="s in day.slots" :key="s.shotId" :slot-of="s" :x="scale.x" :heads="HEADS" :faded="!!tried" />
      <button
        v-for="s in day.slots"
        :key="`b${s.shotId}`"
        class="grab"
        :class="{ held: dragged === s.shotId }"
        :style="{
          left: `${HEADS + scale.x(s.setUpFrom)}px`,
          width: `${Math.max(24, scale.x(s.shootTo) - scale.x(s.setUpFrom))}px`,
        }"
        :aria-label="label(s)"
        :title="s.plan.need === 'ANY' ? undefined : needName(s.plan.need)"
        @pointerdown="press($event, s)"
        @keydown="key($event, s)"
        @click="click($event, s)"
      />
    </section>
    <section v-if="tried" class="row" :style="{ height: `${TRIED}px` }" aria-label="Order that is tried">
      <h2>
        Tried order<small>ends {{ clock(Math.max(...tried.slots.map((s) => s.shootTo), day.callMin)) }}</small>
      </h2>
      <DayBar v-for="s in tried.slots" :key="s.shotId" :slot-of="s" :x="scale.x" :heads="HEADS" ghost />
    </section>
    <section v-if="lanes.length" class="row" :style="{ height: `${lanes.length * LANE + 36}px` }">
      <h2>Changeovers</h2>
      <DepartmentBars :slots="tried?.slots ?? day.slots" :lanes="lanes" :lane="LANE" :x="scale.x" :heads="HEADS" />
    </section>
    <section v-for="sun in day.sun" :key="sun.setId" class="row" :style="{ height: `${SUN}px` }">
      <h2>
        Sun<small>{{ sun.set }}</small>
      </h2>
      <DaySun :sun="sun" :slots="tried?.slots ?? day.slots" :scale="scale" :height="SUN" :width="wide" :heads="HEADS" />
    </section>
    <section v-if="drawing.length" class="row" :style="{ height: `${drawing.length * BATTERY + 10}px` }">
      <h2>Batteries<small>estimate</small></h2>
      <BatteryRows :batteries="drawing" :scale="scale" :width="wide" :heads="HEADS" :lane="BATTERY" />
    </section>
    <section
      v-for="s in feeds?.sets"
      :key="s.setId"
      class="row"
      :style="{ height: `${s.circuits.length * CIRCUIT + 28}px` }"
    >
      <h2>
        Load<small>{{ s.set }}</small>
      </h2>
      <LoadRows :circuits="s.circuits" :scale="scale" :width="wide" :heads="HEADS" :lane="CIRCUIT" />
    </section>
  </div>
</template>

<style scoped>
.timeline {
  position: relative;
  min-width: 0;
  padding-bottom: 8px;
}
.axis {
  position: relative;
  height: 26px;
  font-family: var(--font-mono);
  font-size: var(--text-small);
  color: var(--quiet);
}
.axis span {
  position: absolute;
  top: 6px;
  transform: translateX(-50%);
}
.axis span:last-child {
  transform: translateX(-100%);
}
.grid {
  position: absolute;
  inset: 26px 0 0;
  pointer-events: none;
}
.grid i,
.grid b {
  position: absolute;
  top: 0;
  bottom: 0;
}
.grid i {
  border-left: 1px solid var(--line);
}
.grid .wrap {
  border-left: 1px dashed var(--quiet);
}
.grid .wrap span,
.grid .now span {
  position: absolute;
  bottom: 2px;
  left: 4px;
  white-space: nowrap;
  font-size: var(--text-fine);
  font-style: normal;
  color: var(--quiet);
}
.grid b {
  background: repeating-linear-gradient(135deg, transparent 0 5px, var(--line) 5px 6px);
}
.grid b span {
  position: absolute;
  top: 2px;
  left: 2px;
  font-size: var(--text-fine);
  font-weight: normal;
  color: var(--quiet);
}
.grid .now {
  border-left: 1.5px solid var(--ink);
}
.grid .now span {
  color: var(--ink);
}
.row {
  position: relative;
  border-top: 1px solid var(--line);
}
.row h2 {
  position: absolute;
  left: 16px;
  top: 8px;
  width: calc(var(--heads) - 20px);
  font-weight: var(--font-weight-strong);
}
.row h2 small {
  display: block;
  font-size: var(--text-small);
  font-weight: normal;
  color: var(--quiet);
}
.grab {
  position: absolute;
  top: 6px;
  bottom: 6px;
  cursor: grab;
  touch-action: none;
}
.grab.held {
  cursor: grabbing;
  outline: 1px dashed var(--accent);
}
@media (pointer: coarse), (width < 800px) {
  .grab {
    display: none; /* the list below has it all in reach of a finger */
  }
}
@media (width < 800px) {
  .timeline {
    display: none;
  }
}
</style>
