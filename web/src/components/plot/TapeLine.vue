<script setup lang="ts">
import { computed } from 'vue'
import type { Tape } from '@/api/types'
import { tapePlate } from '@/lib/labels'
import { gap, toPx, type Px, type View } from '@/lib/screen'
import { useSettings } from '@/stores/settings'

/** A tape from a landmark to a stand, as one would chalk it on the floor, with its length on a plate. */
const props = defineProps<{ tape: Tape; to: Px; view: View; letter?: string }>()
const settings = useSettings()

const HALF_METRE = 0.5
const from = computed(() => toPx(props.view, props.tape.from))
const length = computed(() => gap(from.value, props.to))
const angle = computed(() => (Math.atan2(props.to.y - from.value.y, props.to.x - from.value.x) * 180) / Math.PI)
const ticks = computed(() => {
  let d = ''
  if (props.view.scale < 16) return d
  for (let n = 1; n * HALF_METRE * props.view.scale < length.value - 8; n++)
    d += `M${n * HALF_METRE * props.view.scale},0v${n % 2 ? 3.5 : 7}`
  return d
})
const plate = computed(() => tapePlate(from.value, props.to))
const text = computed(() => settings.figure(props.tape.length))
const plateWidth = computed(() => (text.value.figure.length + text.value.unit.length) * 8 + 14)
</script>

<template>
  <g class="tape">
    <g :transform="`translate(${from.x} ${from.y}) rotate(${angle})`" stroke="var(--accent)">
      <path :d="`M0,0H${length}`" stroke-width="1.4" />
      <path :d="ticks" stroke-width="1.4" />
      <path d="M0,-7V7" stroke-width="2.6" />
    </g>
    <g :transform="`translate(${from.x} ${from.y})`">
      <rect x="-4.5" y="-4.5" width="9" height="9" fill="var(--ground)" stroke="var(--accent)" stroke-width="1.4" />
      <path d="M-4.5 4.5L4.5 -4.5" stroke="var(--accent)" stroke-width="1.4" />
      <text :y="letter ? -12 : -10" text-anchor="middle" class="name" :class="{ letter }">{{
        letter ?? tape.landmark
      }}</text>
    </g>
    <g v-if="!letter" :transform="`translate(${plate.x} ${plate.y})`">
      <rect
        :x="-plateWidth / 2"
        y="-10.5"
        :width="plateWidth"
        height="21"
        rx="3"
        fill="var(--ground)"
        stroke="var(--accent)"
      />
      <text y="5" text-anchor="middle" class="figure length"
        >{{ text.figure }}<tspan v-if="text.unit" class="small" dx="3">{{ text.unit }}</tspan></text
      >
    </g>
  </g>
</template>

<style scoped>
.tape {
  pointer-events: none;
}
.name {
  font-size: var(--text-small);
  fill: var(--ink);
  stroke: var(--ground);
  stroke-width: 3px;
  paint-order: stroke;
}
.letter {
  font-size: var(--text-head);
  font-weight: var(--font-weight-strong);
}
.length {
  font-size: var(--text-figure);
  fill: var(--ink);
}
.small {
  font-size: var(--text-small);
  fill: var(--quiet);
}
</style>
