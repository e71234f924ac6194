<script setup lang="ts">
import { computed } from 'vue'
import { axis, ticks } from '@/lib/scales'

/** The two rails of a stop ladder with ticks at thirds, longer ones at stops. */
const props = defineProps<{
  /** px of the left rail */
  left: number
  /** px of the right rail */
  right: number
  /** px */
  height: number
  /** stops */
  top: number
  /** stops */
  bottom: number
  /** Without figures, where only gaps mean something. */
  bare?: boolean
  /** A figure at 0 too. */
  zero?: boolean
}>()

const THIRD = 1 / 3
const up = computed(() => axis(props.bottom, props.top, props.height - 10, 10))
const rungs = computed(() =>
  ticks(props.bottom, props.top, THIRD).map((stops) => {
    const whole = Math.abs(stops - Math.round(stops)) < 0.01
    const figure = whole && !props.bare && (props.zero || Math.round(stops) !== 0)
    return {
      y: up.value.px(stops),
      tick: whole ? 10 : 5,
      figure: figure ? `${stops > 0.5 ? '+' : ''}${Math.round(stops)}`.replace('-', '−') : undefined,
    }
  }),
)
</script>

<template>
  <g>
    <path :d="`M${left},10V${height - 10}M${right},10V${height - 10}`" stroke="var(--set)" />
    <g v-for="r in rungs" :key="r.y">
      <path :d="`M${left},${r.y}h${r.tick}M${right},${r.y}h${-r.tick}`" stroke="var(--set)" />
      <text v-if="r.figure" :x="left - 8" :y="r.y + 4" text-anchor="end" class="tick">{{ r.figure }}</text>
    </g>
  </g>
</template>
