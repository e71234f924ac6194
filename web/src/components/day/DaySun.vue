<script setup lang="ts">
import { computed } from 'vue'
import type { DaySlot, SunOfSet } from '@/api/types'
import { clock, needName, type DayScale } from '@/lib/dayTime'

/** How high the sun stands, and when the light is there that a shot needs. */
const props = defineProps<{
  sun: SunOfSet
  slots: DaySlot[]
  scale: DayScale
  width: number
  height: number
  heads: number
}>()
const PX_PER_DEG = 2.6
const FOOT = 24
const y = (elevation: number) => props.height - FOOT - Math.max(0, elevation) * PX_PER_DEG
const curve = computed(() =>
  props.sun.elevations
    .map((elevation, i) => ({ minute: i * props.sun.everyMin, elevation }))
    .filter(({ minute }) => minute >= props.scale.from && minute <= props.scale.to)
    .map(({ minute, elevation }) => `${props.scale.x(minute)},${y(elevation)}`)
    .join(' '),
)
const spans = computed(() =>
  props.slots
    .filter((s) => s.setId === props.sun.setId && s.plan.need !== 'ANY')
    .flatMap((s) =>
      s.light
        .filter((l) => l.to > props.scale.from && l.from < props.scale.to)
        .map((l) => ({
          key: `${s.shotId} ${l.from}`,
          left: props.scale.x(Math.max(l.from, props.scale.from)),
          right: props.scale.x(Math.min(l.to, props.scale.to)),
          holds: s.shootFrom >= l.from && s.shootTo <= l.to,
        })),
    ),
)
const needs = computed(() =>
  props.slots
    .filter((s) => s.setId === props.sun.setId && s.plan.need !== 'ANY' && s.light.length)
    .map(
      (s) =>
        `${s.slate}, ${needName(s.plan.need)}: ${s.light
          .filter((l) => l.from < 24 * 60)
          .map((l) => `${clock(l.from)} to ${clock(l.to)}`)
          .join(', ')}.`,
    ),
)
</script>

<template>
  <div>
    <svg class="sun" :style="{ left: `${heads}px` }" :width="width" :height="height" role="img" :aria-label="sun.say">
      <defs>
        <pattern id="sun-hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V6" stroke="var(--quiet)" stroke-width="0.8" />
        </pattern>
      </defs>
      <g v-for="s in spans" :key="s.key">
        <rect
          :x="s.left"
          :y="8"
          :width="Math.max(1, s.right - s.left)"
          :height="height - FOOT - 8"
          :fill="s.holds ? 'var(--raised)' : 'url(#sun-hatch)'"
          stroke="var(--line)"
        />
      </g>
      <g v-for="deg in [0, 10, 20, 30]" :key="deg">
        <path :d="`M0 ${y(deg)}H${width}`" stroke="var(--line)" />
        <text v-if="deg" x="-4" :y="y(deg) + 4" text-anchor="end">{{ deg }}°</text>
      </g>
      <polyline :points="curve" fill="none" stroke="var(--ink)" stroke-width="1.6" />
    </svg>
    <p class="say" :style="{ left: `${heads}px` }">
      {{ [sun.say, ...needs].join(' ') }}
    </p>
  </div>
</template>

<style scoped>
.sun {
  position: absolute;
  top: 0;
  overflow: visible;
}
text {
  font-size: var(--text-fine);
  fill: var(--quiet);
}
.say {
  position: absolute;
  right: 8px;
  bottom: 0;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  font-size: var(--text-small);
  color: var(--quiet);
}
</style>
