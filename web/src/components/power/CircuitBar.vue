<script setup lang="ts">
import { computed } from 'vue'
import type { Power } from '@/api/types'
import { fixed } from '@/lib/print'

type PoweredCircuit = Power['circuits'][number]
/** A circuit: a rail as long as its breaker, what hangs on it end to end, a bracket at 80 %. */
const props = defineProps<{ circuit: PoweredCircuit; swatches: Record<string, string | undefined>; width: number }>()

const HEAD = 26
const BAR = 22
const LEFT = 2
const AMPS_PX = 64
const NAME_PX = 7

const longest = computed(() => Math.max(props.circuit.breakerAmps, props.circuit.fullAmps, props.circuit.peakAmps))
const scale = computed(() => Math.max(40, props.width - AMPS_PX) / longest.value)
const x = (amps: number) => LEFT + amps * scale.value
/** In the takes one after the other, then what draws between them. */
const parts = computed(() => {
  let at = 0
  let free = 0
  const order = [...props.circuit.drawn].sort((a, b) => Number(a.when !== 'ALWAYS') - Number(b.when !== 'ALWAYS'))
  return order.map((d) => {
    const between = d.when !== 'ALWAYS'
    const amps = between ? d.fullAmps : d.amps
    const from = at
    at += amps
    const label = `${d.name} ${Math.round(between ? d.fullWatts : d.watts)} W`
    const name = Math.max(x(from), free)
    free = name + label.length * NAME_PX + 8
    return { ...d, between, from, amps, label, at: name }
  })
})
const ticks = computed(() => {
  const step = longest.value > 40 ? 16 : 4
  const all = []
  for (let a = 0; a <= props.circuit.breakerAmps; a += step) all.push(a)
  return all
})
const said = computed(
  () =>
    `${props.circuit.name}: ${fixed(props.circuit.takesAmps, 1)} A in takes, ${fixed(props.circuit.peakAmps, 1)} A with what draws between them, of ${fixed(props.circuit.limitAmps, 1)} A. ${parts.value.map((p) => p.label).join(', ')}.`,
)
</script>

<template>
  <svg :width="width" height="76" role="img" :aria-label="said" class="block">
    <g v-for="p in parts" :key="p.key ?? p.name">
      <text v-if="p.at < width - 90" :x="p.at" y="14" class="name">{{ p.label }}</text>
      <rect
        :x="x(p.from)"
        :y="HEAD"
        :width="Math.max(1, p.amps * scale)"
        :height="BAR"
        :class="{ between: p.between }"
        :fill="p.between ? 'none' : ((p.key && swatches[p.key]) ?? 'var(--ink)')"
      />
    </g>
    <rect
      v-if="circuit.fullAmps > circuit.peakAmps"
      :x="x(circuit.peakAmps)"
      :y="HEAD"
      :width="(circuit.fullAmps - circuit.peakAmps) * scale"
      :height="BAR"
      class="full"
    >
      <title>all at full, {{ fixed(circuit.fullAmps, 1) }} A</title>
    </rect>
    <rect
      v-if="circuit.over"
      :x="x(circuit.limitAmps)"
      :y="HEAD"
      :width="(circuit.peakAmps - circuit.limitAmps) * scale"
      :height="BAR"
      class="beyond"
    />
    <path :d="`M${x(0)},${HEAD + BAR + 5}H${x(circuit.breakerAmps)}`" class="rail" />
    <g v-for="a in ticks" :key="a">
      <path :d="`M${x(a)},${HEAD + BAR + 5}v4`" class="rail" />
      <text :x="x(a)" :y="HEAD + BAR + 22" text-anchor="middle" class="figure">{{ a }}</text>
    </g>
    <path :d="`M${x(circuit.limitAmps) - 5},${HEAD - 8}h5v${BAR + 13}`" class="limit" />
    <text :x="x(circuit.limitAmps) + 4" :y="HEAD - 1" class="name">80 %</text>
    <text :x="width" :y="HEAD + BAR - 5" text-anchor="end" class="amps">
      {{ fixed(circuit.takesAmps, 1) }}
      <tspan class="name" dx="3">A</tspan>
    </text>
  </svg>
</template>

<style scoped>
.name,
.figure {
  font-size: var(--text-fine);
  fill: var(--quiet);
}
.name {
  fill: var(--ink);
}
.amps {
  font: 500 var(--text-title) var(--font-mono);
  fill: var(--ink);
}
.rail,
.limit {
  fill: none;
  stroke: var(--quiet);
}
.limit {
  stroke: var(--ink);
}
.between {
  stroke: var(--ink);
  stroke-dasharray: 4 3;
}
.full {
  fill: none;
  stroke: var(--quiet);
}
.beyond {
  fill: var(--ink);
}
</style>
