<script setup lang="ts">
import { computed, ref, useId } from 'vue'
import { axis, kelvinAt, miredAt, ticks } from '@/lib/scales'
import { usePointerDrag } from '@/lib/usePointerDrag'
import { useSize } from '@/lib/useSize'

export interface RulerMark {
  key: string
  name: string
  kelvin: number
  duv: number
  /** What stands there: dialled, measured, a line through the ruler, or another source, named where there is room. */
  as: 'dot' | 'ring' | 'line' | 'slab'
  /** It can be dragged. */
  handle?: boolean
}
export interface RulerArrow {
  key: string
  name: string
  /** mired */
  from: number
  /** mired */
  to: number
}

/** The mired ruler: colour temperature in mireds, filters as arrows, tint as a height above (green) or below (magenta). */
const props = defineProps<{
  marks: RulerMark[]
  arrows: RulerArrow[]
  /** Colours along the ruler as the camera sees them. */
  band: { mired: number; swatch: string }[]
  /** mired */
  from: number
  /** mired */
  to: number
  /** Range of a fixture, kelvin. */
  range?: [number, number]
}>()
const emit = defineEmits<{ drag: [key: string, kelvin: number] }>()

const id = useId()
const ROOM_ABOVE = 34
const ARROW_PX = 24
const BAND_PX = 12
const LETTER_PX = 7
const TINT_PX_PER_UNIT = 6
const FARTHEST_PX = 40
const UNIT_DUV = 0.001
/** Other sources are named on so many rows; the rest tell their name when pointed at. */
const MOST_ROWS = 3
const element = ref<SVGSVGElement>()
const size = useSize(element)
const across = computed(() => axis(props.from, props.to, 24, Math.max(60, size.value.width - 24)))
const top = computed(() => ROOM_ABOVE + Math.max(1, props.arrows.length) * ARROW_PX)
const bottom = computed(() => top.value + BAND_PX)
const height = computed(() => bottom.value + 30 + rows.value * 34 + (props.range ? 22 : 0))
const step = computed(() => (across.value.px(10) - across.value.px(0) > 9 ? 10 : 50))

/** Marks from the warm end to the cool, each on the first row where its words meet no other. */
const placed = computed(() => {
  const rowsTaken: [number, number][][] = []
  return [...props.marks]
    .sort((a, b) => Number(a.as === 'slab') - Number(b.as === 'slab') || miredAt(a.kelvin) - miredAt(b.kelvin))
    .map((mark) => {
      const x = across.value.px(miredAt(mark.kelvin))
      const half = Math.max(mark.name.length, 9) * 3.6
      const words = Math.max(half + 4, Math.min(x, size.value.width - half - 4))
      const free = (taken: [number, number][]) => taken.every(([from, to]) => to < words - half || from > words + half)
      let row = rowsTaken.findIndex(free)
      if (row < 0) row = rowsTaken.length
      const named = mark.as !== 'slab' || row < MOST_ROWS
      if (named) (rowsTaken[row] ??= []).push([words - half - 8, words + half + 8])
      const tint = Math.max(-FARTHEST_PX, Math.min(FARTHEST_PX, (mark.duv / UNIT_DUV) * TINT_PX_PER_UNIT))
      return { mark, x, words, row, named, y: top.value + BAND_PX / 2 - tint }
    })
})
const rows = computed(() => Math.max(1, ...placed.value.filter((p) => p.named).map((p) => p.row + 1)))

/** Where the names of all arrows begin beside them; above its arrow where there is one only, or no room. */
const beside = computed(() => {
  const right = Math.max(0, ...props.arrows.flatMap((a) => [across.value.px(a.from), across.value.px(a.to)])) + 8
  const longest = Math.max(0, ...props.arrows.map((a) => a.name.length))
  return props.arrows.length > 1 && right + longest * LETTER_PX < size.value.width ? right : undefined
})

/** Ends of the fixture's range, as far as the ruler shows them. */
const reach = computed(() =>
  [...(props.range ?? [])]
    .reverse()
    .map((kelvin) => across.value.px(Math.max(props.from, Math.min(props.to, miredAt(kelvin))))),
)

const down = usePointerDrag<string>({
  element: () => element.value,
  onMove({ at, grip }) {
    const mired = Math.max(40, Math.min(1000, across.value.value(at.x)))
    emit('drag', grip, Math.max(1000, Math.min(25000, kelvinAt(mired))))
  },
})
function nudge(event: KeyboardEvent, mark: RulerMark) {
  const by = { ArrowLeft: 1, ArrowRight: -1 }[event.key]
  if (!by) return
  event.preventDefault()
  emit(
    'drag',
    mark.key,
    Math.max(1000, Math.min(25000, Math.round(mark.kelvin / 10) * 10 + by * (event.shiftKey ? 100 : 10))),
  )
}
</script>

<template>
  <svg
    ref="element"
    class="drawing block w-full shrink-0"
    :height="height"
    role="group"
    aria-label="Mired ruler, cool to warm"
  >
    <defs>
      <linearGradient :id="id" x1="0" x2="1">
        <stop v-for="b in band" :key="b.mired" :offset="(b.mired - from) / (to - from)" :stop-color="b.swatch" />
      </linearGradient>
    </defs>
    <rect
      x="24"
      :y="top"
      :width="Math.max(0, size.width - 48)"
      :height="BAND_PX"
      :fill="`url(#${id})`"
      stroke="var(--set)"
    />
    <g v-for="m in ticks(from, to, step)" :key="m" stroke="var(--quiet)">
      <path :d="`M${across.px(m)},${bottom}v${m % 50 ? 4 : 9}`" />
      <text v-if="m % 50 === 0" :x="across.px(m)" :y="bottom + 21" text-anchor="middle" class="tick">{{ m }}</text>
    </g>
    <text v-if="across.px(ticks(from, to, 50)[0] ?? to) > 72" x="24" :y="bottom + 21" class="tick">mired</text>
    <g v-for="(a, i) in arrows" :key="a.key" stroke="var(--ink)" fill="none">
      <path
        :d="`M${across.px(a.from)},${top - 4}V${top - 14 - i * ARROW_PX}H${across.px(a.to)}V${top - 10}`"
        stroke-width="1.4"
      />
      <path :d="`M${across.px(a.to) - 4},${top - 11}h8l-4,8z`" fill="var(--ink)" stroke="none" />
      <text
        :x="beside ?? (across.px(a.from) + across.px(a.to)) / 2"
        :y="top - (beside ? 11 : 19) - i * ARROW_PX"
        :text-anchor="beside ? 'start' : 'middle'"
      >
        {{ a.name }}
      </text>
    </g>
    <g v-for="p in [...placed].reverse()" :key="p.mark.key">
      <path
        v-if="p.mark.as === 'line'"
        :d="`M${p.x},${top - 22}V${bottom + 26}`"
        stroke="var(--ink)"
        stroke-width="1.8"
      />
      <rect
        v-if="p.mark.as === 'slab'"
        :x="p.x - 4"
        :y="p.y - 10"
        width="8"
        height="20"
        rx="1"
        fill="var(--ground)"
        stroke="var(--ink)"
        stroke-width="1.4"
      >
        <title>{{ p.mark.name }}, {{ Math.round(p.mark.kelvin) }} K</title>
      </rect>
      <path
        v-if="p.named"
        :d="`M${p.x},${p.mark.as === 'line' ? bottom + 26 : Math.max(p.y, bottom)}V${bottom + 28 + p.row * 34}`"
        stroke="var(--quiet)"
        fill="none"
      />
      <circle
        v-if="p.mark.as === 'dot'"
        :cx="p.x"
        :cy="p.y"
        r="6"
        fill="var(--ink)"
        stroke="var(--ground)"
        stroke-width="3"
        paint-order="stroke"
      />
      <circle
        v-if="p.mark.as === 'ring'"
        :cx="p.x"
        :cy="p.y"
        r="6"
        fill="var(--ground)"
        stroke="var(--ink)"
        stroke-width="2"
      />
      <text v-if="p.named" :x="p.words" :y="bottom + 42 + p.row * 34" text-anchor="middle">{{ p.mark.name }}</text>
      <text v-if="p.named" :x="p.words" :y="bottom + 56 + p.row * 34" text-anchor="middle" class="figure">
        <tspan>{{ Math.round(p.mark.kelvin) }}</tspan>
        <tspan class="tick" dx="3">K</tspan>
      </text>
      <circle
        v-if="p.mark.handle"
        :cx="p.x"
        :cy="p.y"
        r="22"
        class="handle"
        tabindex="0"
        role="slider"
        :data-handle="p.mark.key"
        :aria-label="p.mark.name"
        aria-valuemin="1000"
        aria-valuemax="25000"
        :aria-valuenow="Math.round(p.mark.kelvin)"
        :aria-valuetext="`${Math.round(p.mark.kelvin)} K`"
        @pointerdown="down($event, p.mark.key)"
        @keydown="nudge($event, p.mark)"
      />
    </g>
    <g v-if="range" stroke="var(--quiet)" fill="none">
      <path :d="`M${reach[0]},${height - 16}v-6H${reach[1]}v6`" stroke-dasharray="4 3" />
      <text :x="(reach[0]! + reach[1]!) / 2" :y="height - 8" text-anchor="middle" class="tick">
        the fixture's range, {{ range[0] }} to {{ range[1] }} K
      </text>
    </g>
  </svg>
</template>
