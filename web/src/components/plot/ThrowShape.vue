<script setup lang="ts">
import { computed } from 'vue'
import { value, type Placed } from '@/api/types'
import { along, move, path, type Px } from '@/lib/screen'

/**
 * Where a light goes, as far as the plan shows it: a wedge with a crisp edge when hard, a feathered one when soft, a
 * pool when it shines all around or straight up or down. A frame ends one wedge and begins a softer one.
 */
const props = defineProps<{
  placed: Placed
  at: Px
  bearing: number
  /** px per metre */
  scale: number
  /** Window ends when it shines in from outside, px. */
  through?: [Px, Px]
  /** Without feathered edges and without adding up, which cost too much where there are many. */
  plain?: boolean
}>()

const STEEP_DEG = 60
const WIDE_DEG = 150
const SHORTEST_M = 1.2
const LONGEST_M = 5
const USUAL_M = 3.2
const FRAME_HALF_DEG = 48

const key = computed(() => props.placed.placement.key)
const swatch = computed(() => props.placed.light?.swatch ?? 'transparent')
const strength = computed(() => 0.3 + (0.7 * (value(props.placed, 'LEVEL')?.percent ?? 0)) / 100)
const beam = computed(() => value(props.placed, 'BEAM')?.beamDeg ?? 60)
const pool = computed(() => beam.value >= WIDE_DEG || Math.abs(props.placed.aim?.tiltDeg ?? 0) >= STEEP_DEG)
const soft = computed(() => props.placed.light?.soft ?? false)
const emitter = computed(() => props.placed.placement.piece.widthM * props.scale)
const reach = computed(() => {
  const aimed = props.placed.aim?.distanceM || USUAL_M
  return Math.max(SHORTEST_M, Math.min(LONGEST_M, aimed * 1.45)) * props.scale
})
const frame = computed(() => {
  const item = value(props.placed, 'MODIFIERS')?.items.find((m) => m.frameWidthM && m.frameDistanceM)
  return item && { width: item.frameWidthM! * props.scale, off: item.frameDistanceM! * props.scale }
})
const end = computed(() => move(props.at, along(props.bearing), reach.value))

function wedge(from: Px, width: number, half: number, length: number): Px[] {
  const side = along(props.bearing + 90)
  const left = move(from, side, -width / 2)
  const right = move(from, side, width / 2)
  return [
    left,
    move(left, along(props.bearing - half), length),
    move(right, along(props.bearing + half), length),
    right,
  ]
}

const half = computed(() => Math.min(75, beam.value / 2))
const first = computed(() => {
  if (!frame.value) return wedge(props.at, emitter.value, half.value, reach.value)
  const middle = move(props.at, along(props.bearing), frame.value.off)
  const side = along(props.bearing + 90)
  const lens = wedge(props.at, emitter.value, 0, 0)
  return [lens[0]!, move(middle, side, -frame.value.width / 2), move(middle, side, frame.value.width / 2), lens[3]!]
})
const second = computed(() => {
  if (!frame.value) return undefined
  const middle = move(props.at, along(props.bearing), frame.value.off)
  return wedge(middle, frame.value.width, FRAME_HALF_DEG, reach.value - frame.value.off)
})
const entering = computed(() => {
  if (!props.through) return undefined
  const [a, b] = props.through
  const far = (p: Px) => move(p, along((Math.atan2(p.x - props.at.x, props.at.y - p.y) * 180) / Math.PI), reach.value)
  return [a, far(a), far(b), b]
})
const edges = computed(() =>
  soft.value || frame.value
    ? []
    : [
        [first.value[0]!, first.value[1]!],
        [first.value[3]!, first.value[2]!],
      ],
)
</script>

<template>
  <g class="throw" :class="{ plain }">
    <defs>
      <linearGradient :id="`throw-${key}`" gradientUnits="userSpaceOnUse" :x1="at.x" :y1="at.y" :x2="end.x" :y2="end.y">
        <stop offset="0" :stop-color="swatch" :stop-opacity="0.5 * strength" />
        <stop offset=".45" :stop-color="swatch" :stop-opacity="0.24 * strength" />
        <stop offset="1" :stop-color="swatch" stop-opacity="0" />
      </linearGradient>
      <radialGradient :id="`pool-${key}`">
        <stop offset="0" :stop-color="swatch" :stop-opacity="0.6 * strength" />
        <stop offset="1" :stop-color="swatch" stop-opacity="0" />
      </radialGradient>
    </defs>
    <circle
      v-if="pool || entering"
      :cx="at.x"
      :cy="at.y"
      :r="pool ? Math.max(34, 0.7 * scale) : 40"
      :fill="`url(#pool-${key})`"
    />
    <path v-if="entering" :d="path(entering)" :fill="`url(#throw-${key})`" class="soft" clip-path="url(#room)" />
    <template v-else-if="!pool">
      <g clip-path="url(#room)">
        <path :d="path(first)" :fill="`url(#throw-${key})`" :class="{ soft: soft && !frame }" />
        <path v-if="second" :d="path(second)" :fill="`url(#throw-${key})`" class="soft" />
        <path
          v-for="(edge, i) in edges"
          :key="i"
          :d="path(edge, false)"
          :stroke="`url(#throw-${key})`"
          stroke-width="1.3"
          fill="none"
        />
      </g>
    </template>
  </g>
</template>

<style scoped>
.throw {
  pointer-events: none;
}
.throw path,
.throw circle {
  mix-blend-mode: var(--throw-blend);
}
.throw.plain path,
.throw.plain circle {
  mix-blend-mode: normal;
  opacity: 0.7;
}
.throw:not(.plain) .soft {
  filter: blur(8px);
}
</style>
