<script setup lang="ts">
import { computed } from 'vue'
import type { Moves } from '@/api/types'
import { DEPARTMENTS } from '@/lib/words'

/** Who works when, side by side, and how long it takes on the clock. */
const props = defineProps<{ moves: Moves }>()

const WIDTH = 238
const LEFT = 52
const BARS = ['ELECTRIC', 'GRIP', 'CONTROL', 'CAMERA'] as const
const full = computed(() => Math.max(props.moves.minutes, 1))
const px = (min: number) => LEFT + ((WIDTH - LEFT - 4) * min) / full.value
const rows = computed(() =>
  BARS.flatMap((department) => {
    const own = props.moves.moves.filter((m) => m.department === department)
    return own.length
      ? [
          {
            department,
            name: DEPARTMENTS.find((d) => d.key === department)!.name,
            spans: merged(own.map((m) => [m.startMin, m.startMin + m.minutes])),
          },
        ]
      : []
  }),
)
const together = computed(() =>
  merged(props.moves.moves.filter((m) => m.department === 'TOGETHER').map((m) => [m.startMin, m.startMin + m.minutes])),
)
const ticks = computed(() => {
  const every = full.value > 40 ? 10 : full.value > 16 ? 5 : 2
  return Array.from({ length: Math.floor(full.value / every) + 1 }, (_, i) => i * every)
})
/** The longest bar decides when everyone meters. */
const longest = computed(() =>
  rows.value.reduce((a, b) => ((b.spans.at(-1)?.[1] ?? 0) > (a?.spans.at(-1)?.[1] ?? 0) ? b : a), rows.value[0]),
)

function merged(spans: number[][]): [number, number][] {
  const all: [number, number][] = []
  for (const [from = 0, to = 0] of [...spans].sort((a, b) => a[0]! - b[0]!)) {
    const last = all.at(-1)
    if (last && from <= last[1] + 1e-9) last[1] = Math.max(last[1], to)
    else all.push([from, to])
  }
  return all
}
</script>

<template>
  <svg
    :viewBox="`0 0 ${WIDTH} ${rows.length * 15 + 16}`"
    width="100%"
    role="img"
    :aria-label="`${moves.minutes} minutes on the clock`"
  >
    <g v-for="(r, i) in rows" :key="r.department" :transform="`translate(0 ${i * 15})`">
      <text y="9" class="name">{{ r.name }}</text>
      <rect
        v-for="(s, k) in r.spans"
        :key="k"
        :x="px(s[0])"
        y="1.5"
        :width="Math.max(2, px(s[1]) - px(s[0]))"
        height="8"
        :fill="r === longest ? 'var(--ink)' : 'none'"
        stroke="var(--ink)"
      />
    </g>
    <g v-for="(s, k) in together" :key="`t${k}`">
      <rect
        :x="px(s[0])"
        y="0.5"
        :width="Math.max(10, px(s[1]) - px(s[0]))"
        :height="Math.max(14, rows.length * 15 - 4)"
        fill="var(--raised)"
        stroke="var(--ink)"
        stroke-dasharray="3 2"
      />
      <text
        v-if="px(s[1]) - px(s[0]) > 34"
        :x="(px(s[0]) + px(s[1])) / 2"
        :y="Math.max(11, rows.length * 7.5 + 2)"
        text-anchor="middle"
        class="name ink"
      >
        meter
      </text>
    </g>
    <text v-for="t in ticks" :key="t" :x="px(t)" :y="rows.length * 15 + 12" text-anchor="middle" class="name">
      {{ t }}
    </text>
  </svg>
</template>

<style scoped>
.name {
  font-size: var(--text-fine);
  fill: var(--quiet);
}
.ink {
  fill: var(--ink);
}
</style>
