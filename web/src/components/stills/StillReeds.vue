<script setup lang="ts">
import { computed } from 'vue'
import type { StillSeen } from '@/api/types'
import { signed } from '@/lib/print'
import { PX_PER_STOP, REED_FOOT, REED_TOP, reedY } from '@/lib/stills'

/** The signal across a still: one reed for each stretch of columns, thick where half of the dots lie, thin to the extremes; in stops. */
const props = defineProps<{
  still: StillSeen
  /** Stops that go across: the cheeks of the one that it is held against. */
  against?: number[]
}>()
const HIGH = (REED_TOP - REED_FOOT) * PX_PER_STOP
const reeds = computed(() => {
  const wide = 100 / props.still.reeds.length
  return props.still.reeds.map((r, i) => ({ ...r, x: `${(i + 0.5) * wide}%` }))
})
const stops = Array.from({ length: REED_TOP - REED_FOOT + 1 }, (_, i) => REED_TOP - i)
const said = computed(() => {
  const at = (r: { high: number; low: number }) => (r.high + r.low) / 2
  const [first, last] = [props.still.reeds[0], props.still.reeds.at(-1)]
  return first && last
    ? `Signal across ${props.still.head.slate}: half of the left edge lies about ${signed(at(first), 1)} stops, of the right about ${signed(at(last), 1)}.`
    : ''
})
</script>

<template>
  <div class="reeds" role="img" :aria-label="said">
    <svg class="scale" :height="HIGH" aria-hidden="true">
      <text v-for="s in stops" :key="s" x="26" :y="reedY(s) + 4" text-anchor="end">{{ signed(s, 0) }}</text>
    </svg>
    <svg class="inner" :height="HIGH" aria-hidden="true">
      <line v-for="s in stops" :key="s" x1="0" x2="100%" :y1="reedY(s)" :y2="reedY(s)" :class="{ zero: s === 0 }" />
      <g v-for="(r, i) in reeds" :key="i">
        <line class="thin" :x1="r.x" :x2="r.x" :y1="reedY(r.highest)" :y2="reedY(r.lowest)" />
        <line class="thick" :x1="r.x" :x2="r.x" :y1="reedY(r.high)" :y2="Math.max(reedY(r.low), reedY(r.high) + 1)" />
      </g>
      <line v-for="s in against" :key="s" class="against" x1="0" x2="100%" :y1="reedY(s)" :y2="reedY(s)" />
      <g v-for="(p, i) in still.points" :key="p.name" class="point">
        <template v-if="p.stops !== undefined">
          <circle :cx="`${p.x * 100}%`" :cy="p.clipped ? 0 : reedY(p.stops)" r="4.6" />
          <text :x="`${p.x * 100}%`" :y="(p.clipped ? 0 : reedY(p.stops)) - 7" dx="9">{{ i + 1 }}</text>
        </template>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.reeds {
  display: grid;
  grid-template-columns: 32px minmax(0, 1fr);
  margin: 10px 0 6px;
}
svg {
  width: 100%;
  overflow: visible;
}
line {
  stroke: var(--line);
}
.zero {
  stroke: var(--ink);
  stroke-width: 1.5;
}
.thin {
  stroke: var(--quiet);
}
.thick {
  stroke: var(--ink);
  stroke-width: 2.4;
}
.against {
  stroke: var(--ink);
  stroke-dasharray: 4 3;
}
text {
  font-family: var(--font-mono);
  font-size: var(--text-fine);
  fill: var(--quiet);
}
.point circle {
  fill: var(--ground);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.point text {
  font-family: var(--font-sans);
  fill: var(--ink);
  stroke: var(--ground);
  stroke-width: 3px;
  paint-order: stroke;
}
</style>
