<script setup lang="ts">
import { computed } from 'vue'
import { value, type Placed } from '@/api/types'

/** A head seen from above: an oblong across its aim, as wide as its emitter, filled with its swatch; a notch walks round it with the level. */
const props = defineProps<{ placed: Placed; scale: number; bearing: number; selected?: boolean }>()

const SHORTEST_PX = 14
const NARROW_PX = 20

const width = computed(() => Math.max(SHORTEST_PX, props.placed.placement.piece.widthM * props.scale))
const depth = computed(() => Math.max(9, Math.min(13, width.value * 0.5)))
const narrow = computed(() => width.value < NARROW_PX)
const level = computed(() => value(props.placed, 'LEVEL')?.percent ?? 0)
const on = computed(() => value(props.placed, 'STANDING')?.state === 'ON')
const round = computed(() => {
  const [w, d] = [width.value / 2, depth.value / 2]
  return `M0,${d}H${-w}V${-d}H${w}V${d}Z`
})
/** Where on the edge, and which way out, the notch stands. */
const notch = computed(() => {
  const [w, d] = [width.value, depth.value]
  const way = (level.value / 100) * 2 * (w + d)
  if (way < w / 2) return { x: -way, y: d / 2, turn: 180 }
  if (way < w / 2 + d) return { x: -w / 2, y: d / 2 - (way - w / 2), turn: 270 }
  if (way < 1.5 * w + d) return { x: -w / 2 + (way - w / 2 - d), y: -d / 2, turn: 0 }
  if (way < 1.5 * w + 2 * d) return { x: w / 2, y: -d / 2 + (way - 1.5 * w - d), turn: 90 }
  return { x: w / 2 - (way - 1.5 * w - 2 * d), y: d / 2, turn: 180 }
})
const stand = computed(() => props.placed.placement.piece.mount === 'STAND')
</script>

<template>
  <g :transform="`rotate(${bearing})`">
    <path v-if="stand" d="M0,0L0,17M0,0L14.7,-8.5M0,0L-14.7,-8.5" stroke="var(--quiet)" />
    <path
      :d="round"
      :fill="on ? (placed.light?.swatch ?? 'var(--panel)') : 'var(--panel)'"
      stroke="var(--ground)"
      stroke-width="5"
      paint-order="stroke"
    />
    <path :d="round" fill="none" stroke="var(--set)" stroke-width="1" />
    <template v-if="on && level > 0">
      <path
        :d="round"
        fill="none"
        stroke="var(--ink)"
        :stroke-width="narrow ? 1.6 : 2"
        pathLength="100"
        :stroke-dasharray="`${level} 100`"
      />
      <path
        :d="`M0,0V-${narrow ? 4 : 5.5}`"
        :transform="`translate(${notch.x} ${notch.y}) rotate(${notch.turn})`"
        stroke="var(--ink)"
        :stroke-width="narrow ? 1.8 : 2.2"
      />
    </template>
    <rect
      v-if="selected"
      :x="-width / 2 - 6"
      :y="-depth / 2 - 6"
      :width="width + 12"
      :height="depth + 12"
      rx="3"
      fill="none"
      stroke="var(--accent)"
      stroke-width="1.6"
    />
  </g>
</template>
