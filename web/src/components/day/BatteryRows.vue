<script setup lang="ts">
import type { DayFeeds } from '@/api/types'
import { clock, type DayScale } from '@/lib/dayTime'

type Battery = DayFeeds['batteries'][number]
/** Batteries as they run down: a wedge each, an upright where one is changed. */
defineProps<{ batteries: Battery[]; scale: DayScale; width: number; heads: number; lane: number }>()
const TOP = 8
const BAR = 22

/** One outline for as long as a battery draws without a rest. */
function wedges({ spans }: Battery, x: DayScale['x']) {
  const y = (left: number) => BAR * (1 - left)
  const all: string[] = []
  spans.forEach((s, i) => {
    const before = spans[i - 1]
    const goesOn = before && before.to === s.from && before.leftTo === s.leftFrom
    const edge = `L${x(s.to)} ${y(s.leftTo)}`
    if (goesOn) all.push(all.pop() + edge)
    else all.push(`M${x(s.from)} ${BAR}V${y(s.leftFrom)}${edge}`)
  })
  return all.map((d) => `${d}V${BAR}Z`).join('')
}
const left = (b: Battery) => `${Math.round((b.spans.at(-1)?.leftTo ?? 1) * 100)} %`
function said(b: Battery) {
  if (b.mains) return `${b.unit}: taken to be on the mains.`
  const changed = b.changes.map(
    (c) => `changed at ${clock(c.at)}, ${c.inTakes ? 'in the takes of' : 'before'} ${c.shot}`,
  )
  return `${b.unit}, ${Math.round(b.wattHours)} Wh: ${[...changed, `${left(b)} left at the end`].join('; ')}.`
}
</script>

<template>
  <div>
    <template v-for="(b, i) in batteries" :key="b.unit">
      <span class="name" :style="{ top: `${TOP + 3 + i * lane}px`, width: `${heads - 6}px` }">{{ b.unit }}</span>
      <svg
        class="wedges"
        :style="{ top: `${TOP + i * lane}px`, left: `${heads}px` }"
        :width="width"
        :height="BAR + 1"
        role="img"
        :aria-label="said(b)"
      >
        <text v-if="b.mains" x="6" :y="BAR - 6">on the mains</text>
        <template v-else>
          <path :d="wedges(b, scale.x)" class="wedge" />
          <g v-for="c in b.changes" :key="c.at">
            <path :d="`M${scale.x(c.at)} -4V${BAR + 3}`" class="change" />
            <text :x="scale.x(c.at) - 4" y="6" text-anchor="end">change {{ clock(c.at) }}</text>
          </g>
          <text v-if="b.spans.length" :x="scale.x(b.spans.at(-1)!.to) + 5" :y="BAR - 3">{{ left(b) }} left</text>
        </template>
      </svg>
    </template>
  </div>
</template>

<style scoped>
.name {
  position: absolute;
  text-align: right;
  font-size: var(--text-small);
}
.wedges {
  position: absolute;
  overflow: visible;
}
.wedge {
  fill: var(--raised);
  stroke: var(--ink);
}
.change {
  stroke: var(--accent);
  stroke-width: 1.6px;
  stroke-dasharray: 3 3;
}
text {
  font-size: var(--text-fine);
  fill: var(--quiet);
  paint-order: stroke;
  stroke: var(--ground);
  stroke-width: 3px;
}
</style>
