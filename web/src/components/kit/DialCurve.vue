<script setup lang="ts">
import { computed } from 'vue'
import type { DialledPath } from '@/api/types'
import { fixed, signed } from '@/lib/print'

/** A dot on the mired ruler for each colour that was dialled, and a ring above it at its error; within the brackets it is near enough. */
const props = defineProps<{ path: DialledPath }>()
const W = 380
const H = 150
const BASE = 132
const NEAR = 5
const reach = computed(() => Math.max(NEAR * 1.6, ...props.path.points.map((p) => Math.abs(p.offMired) * 1.2)))
/** Beside a shift by what hangs before it the brackets would be one line. */
const near = computed(() => reach.value <= 4 * NEAR)
const least = computed(() => Math.min(...props.path.points.map((p) => p.mired)))
const most = computed(() => Math.max(...props.path.points.map((p) => p.mired)))
const x = (mired: number) =>
  most.value === least.value ? W / 2 : 44 + ((mired - least.value) / (most.value - least.value)) * (W - 70)
const y = (off: number) => 60 - (off / reach.value) * 50
const line = computed(() => props.path.points.map((p) => `${x(p.mired)},${y(p.offMired)}`).join(' '))
const said = computed(() =>
  props.path.points
    .map((p) => `dialled ${Math.round(p.dialledKelvin)} K, measured ${Math.round(p.measuredKelvin)} K`)
    .join('; '),
)
</script>

<template>
  <svg class="drawing w-full max-w-[420px]" :viewBox="`0 0 ${W} ${H}`" role="img" :aria-label="said">
    <line :x1="38" :x2="W - 10" :y1="y(0)" :y2="y(0)" class="zero" />
    <path v-if="near" :d="`M44 ${y(NEAR)}H38V${y(-NEAR)}H44M${W - 16} ${y(NEAR)}h6V${y(-NEAR)}h-6`" class="near" />
    <template v-if="near">
      <text x="32" :y="y(NEAR) + 4" text-anchor="end">+{{ NEAR }}</text>
      <text x="32" :y="y(-NEAR) + 4" text-anchor="end">−{{ NEAR }}</text>
    </template>
    <polyline :points="line" class="line" />
    <g v-for="p in path.points" :key="p.mired">
      <line :x1="x(p.mired)" :x2="x(p.mired)" :y1="y(p.offMired)" :y2="BASE" class="stem" />
      <circle :cx="x(p.mired)" :cy="BASE" r="3" class="dialled" />
      <circle :cx="x(p.mired)" :cy="y(p.offMired)" r="4" class="measured" />
      <text :x="x(p.mired)" :y="y(p.offMired) - 8" text-anchor="middle">{{ Math.round(p.measuredKelvin) }}</text>
      <text :x="x(p.mired)" :y="H - 2" text-anchor="middle">{{ Math.round(p.mired) }}</text>
    </g>
  </svg>
  <p class="text-small text-quiet">
    Through {{ path.path }}. Mired off the dial, with what hangs before it; at most
    {{
      signed(
        path.points.reduce((most, p) => (Math.abs(p.offMired) > Math.abs(most) ? p.offMired : most), 0),
        0,
      )
    }}
    mired, {{ fixed(Math.max(...path.points.map((p) => Math.abs(p.offDuv))), 4) }} Duv.
  </p>
</template>

<style scoped>
.zero {
  stroke: var(--ink);
}
.near,
.line,
.stem {
  fill: none;
  stroke: var(--quiet);
}
.line {
  stroke: var(--ink);
}
.dialled {
  fill: var(--ink);
}
.measured {
  fill: var(--panel);
  stroke: var(--ink);
  stroke-width: 1.4;
}
</style>
