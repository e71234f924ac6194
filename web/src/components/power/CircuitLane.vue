<script setup lang="ts">
import { computed } from 'vue'
import type { CircuitOfDay } from '@/api/types'
import { clock, type DayScale } from '@/lib/dayTime'
import { fixed } from '@/lib/print'

/** What a circuit carries in time: as high as its breaker, a dashed line at 80 %, filled where it is over. */
const props = defineProps<{ circuit: CircuitOfDay; scale: DayScale; width: number; height: number }>()
const y = (amps: number) =>
  props.height - (Math.min(amps, props.circuit.breakerAmps) / props.circuit.breakerAmps) * props.height
const line = computed(() => {
  const { steps } = props.circuit
  if (!steps.length) return ''
  const all = [`M${props.scale.x(steps[0]!.from)},${props.height}`]
  for (const s of steps) all.push(`V${y(s.amps)}H${props.scale.x(s.to)}`)
  return `${all.join('')}V${props.height}`
})
const over = computed(() => props.circuit.steps.filter((s) => s.over))
/** Each time in which it is over, once with its figure. */
const figures = computed(() => {
  let free = -Infinity
  return over.value.flatMap((s) => {
    const x = props.scale.x(s.from)
    if (x < free) return []
    free = x + 60
    return [{ x, text: fixed(s.amps, 1) }]
  })
})
const said = computed(() => {
  const { name, steps, limitAmps } = props.circuit
  if (!steps.length) return `${name}: nothing.`
  const most = steps.reduce((a, b) => (b.amps > a.amps ? b : a))
  return `${name}: ${fixed(most.amps, 1)} A at most, at ${clock(most.from)}, of ${fixed(limitAmps, 1)} A${over.value.length ? ', over its limit' : ''}.`
})
</script>

<template>
  <svg :width="width" :height="height + 2" role="img" :aria-label="said" class="lane">
    <path :d="`M0 ${y(circuit.limitAmps)}H${width}`" class="limit" />
    <path :d="line" class="line" />
    <rect
      v-for="s in over"
      :key="s.from"
      :x="scale.x(s.from)"
      :y="y(s.amps)"
      :width="Math.max(1, scale.x(s.to) - scale.x(s.from))"
      :height="Math.max(2, y(circuit.limitAmps) - y(s.amps))"
      class="over"
    />
    <g v-for="f in figures" :key="f.x" :transform="`translate(${f.x - 14} ${y(circuit.limitAmps) - 4})`">
      <path d="M.7 4.3H11.3V-4.1Z" class="over" />
      <text x="-3" y="4" text-anchor="end">{{ f.text }}</text>
    </g>
  </svg>
</template>

<style scoped>
.lane {
  display: block;
  overflow: visible;
}
.limit {
  stroke: var(--quiet);
  stroke-dasharray: 5 4;
}
.line {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1.4px;
}
.over {
  fill: var(--ink);
}
text {
  font: var(--text-small) var(--font-mono);
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--ground);
  stroke-width: 3px;
}
</style>
