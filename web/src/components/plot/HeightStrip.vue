<script setup lang="ts">
import { ref } from 'vue'
import { held } from '@/api/types'
import { usePointerDrag } from '@/lib/usePointerDrag'
import { useRoving } from '@/lib/useRoving'
import { useSize } from '@/lib/useSize'
import { HIGH, LEFT, RIGHT, useSideView, type SideShown } from '@/lib/useSideView'
import { useSettings } from '@/stores/settings'

/** Heights seen from the side, along the camera's axis: drag a thing up or down to raise or lower it. */
const props = defineProps<SideShown & { locked: boolean }>()
const emit = defineEmits<{ select: [key: string]; raise: [key: string, heightM: number]; drop: [] }>()

const NUDGE_M = 0.05

const settings = useSettings()
const element = ref<SVGSVGElement>()
const size = useSize(element)
const { things, told, furniture, view, metres, heights, reach, up, top } = useSideView(() => props, size)

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
/* one stop of the Tab key: left and right go from thing to thing, up and down raise and lower it */
const roving = useRoving(
  () => things.value.map((t) => ({ key: t.key, at: { x: t.x, y: 0 } })),
  () => props.selected,
)
function onKey(event: KeyboardEvent, key: string, height: number) {
  if (event.key === 'ArrowLeft' || event.key === 'ArrowRight') {
    event.preventDefault()
    const next = roving.beyond(key, event.key)
    element.value?.querySelector<SVGGElement>(`[data-height="${CSS.escape(next ?? key)}"]`)?.focus()
    return
  }
  const by = { ArrowUp: NUDGE_M, ArrowDown: -NUDGE_M }[event.key]
  if (!by || props.locked) return
  event.preventDefault()
  emit('raise', key, rounded(height + by))
  emit('drop')
}
</script>

<template>
  <svg
    ref="element"
    class="drawing side block w-full overflow-hidden touch-pan-x"
    :height="HIGH"
    role="group"
    aria-label="Heights along the camera's axis"
  >
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
      :tabindex="t.key === roving.stop.value ? 0 : -1"
      role="slider"
      :aria-label="`Height of ${t.placed.placement.name}`"
      :aria-valuenow="t.height"
      aria-valuemin="0"
      :aria-valuemax="top"
      :aria-valuetext="settings.printed(held(t.placed, 'HEIGHT')!.say)"
      :data-height="t.key"
      @pointerdown="down($event, t.key)"
      @focus="roving.focused.value = t.key"
      @keydown="onKey($event, t.key, t.height)"
    >
      <path
        v-if="t.placed.placement.piece.mount === 'STAND' || t.selected"
        :d="`M0,0V${up.px(0) - t.y}`"
        :stroke="t.selected ? 'var(--accent)' : 'var(--set)'"
      />
      <circle r="14" class="reach" />
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
      <title>{{ t.placed.placement.name }}, {{ t.said }} up</title>
    </g>
    <g v-for="t in things" :key="`t${t.key}`" class="view">
      <text
        v-if="told.has(t.key)"
        :x="told.get(t.key)!.x"
        :text-anchor="told.get(t.key)!.anchor"
        :y="t.y + 4"
        class="figure"
        :class="{ accent: t.selected }"
      >
        {{ t.figure }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.reach {
  fill: transparent;
}
@media (pointer: coarse) {
  .reach {
    r: 22px;
  }
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
