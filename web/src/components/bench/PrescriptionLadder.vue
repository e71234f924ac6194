<script setup lang="ts">
import { computed } from 'vue'
import type { Prescribed } from '@/api/types'
import LadderRails from '@/components/bench/LadderRails.vue'
import StopsText from '@/components/marks/StopsText.vue'
import { signed } from '@/lib/print'
import { axis } from '@/lib/scales'

/** One prescription as a ladder: from where the light reads, a rung down for each filter, to the line that is wanted. */
const props = defineProps<{
  prescription: Prescribed & { costs: number[] }
  rank: number
  /** Stops of the bare light above the target. */
  startStops: number
  top: number
  bottom: number
  sourceSwatch: string
  swatch: string
  target: string
}>()

const HEIGHT = 400
const RAIL_LEFT = 30
const RAIL_RIGHT = 60
const MIRED_PX = 120
const MOST_MIRED = 30
const up = computed(() => axis(props.bottom, props.top, HEIGHT - 10, 10))
/** What stands after each filter. */
const rungs = computed(() => {
  let at = props.startStops
  const steps: { name: string; sheets: number; from: number; to: number }[] = []
  props.prescription.filters.forEach((name, i) => {
    const from = at
    at -= props.prescription.costs[i] ?? 0
    const before = steps.at(-1)
    if (before?.name === name) Object.assign(before, { sheets: before.sheets + 1, to: at })
    else steps.push({ name, sheets: 1, from, to: at })
  })
  return steps
})
/** Words keep clear of the line across, and of the words before them. */
const words = computed(() => {
  let last = -Infinity
  return rungs.value.map((r) => {
    let y = (up.value.px(r.from) + up.value.px(r.to)) / 2 + 4
    const line = up.value.px(0)
    if (y > line - 4 && y < line + 14) y = r.to < 0 && r.from < 0 ? line + 16 : line - 5
    last = Math.max(y, last + 14)
    return last
  })
})
const dimmed = computed(() => props.prescription.output < 1)
const colour = computed(
  () => Math.max(-MOST_MIRED, Math.min(MOST_MIRED, props.prescription.deltaMired)) * (MIRED_PX / 2 / MOST_MIRED),
)
const inside = computed(() => Math.abs(props.prescription.deltaMired) <= 10)
</script>

<template>
  <article class="ladder min-w-0" :data-rank="rank">
    <header class="flex items-baseline gap-2 px-2">
      <span class="figure text-large">{{ rank }}</span>
      <span class="figure text-large"><StopsText :text="prescription.label" /></span>
      <span class="figure ml-auto text-figure">{{ Math.round(prescription.kelvin) }}<span class="unit">K</span></span>
    </header>
    <svg
      class="drawing"
      width="100%"
      :height="HEIGHT"
      role="img"
      :aria-label="`${prescription.filters.join(', ') || 'no filter'}: ${prescription.label}, ${Math.round(prescription.kelvin)} K`"
    >
      <LadderRails :left="RAIL_LEFT" :right="RAIL_RIGHT" :height="HEIGHT" :top="top" :bottom="bottom" />
      <line x1="4" x2="100%" :y1="up.px(0)" :y2="up.px(0)" stroke="var(--ink)" stroke-width="1.8" />
      <text x="4" :y="up.px(0) - 5" class="tick">T{{ target }}</text>
      <rect
        :x="RAIL_LEFT + 1"
        :y="up.px(startStops) - 3"
        :width="RAIL_RIGHT - RAIL_LEFT - 2"
        height="6"
        :fill="sourceSwatch"
        stroke="var(--set)"
      />
      <g v-for="(r, i) in rungs" :key="i">
        <path
          :d="`M${(RAIL_LEFT + RAIL_RIGHT) / 2},${up.px(r.from) + 3}V${up.px(r.to)}`"
          stroke="var(--quiet)"
          stroke-width="1.2"
        />
        <path :d="`M${RAIL_LEFT + 4},${up.px(r.to)}H${RAIL_RIGHT - 4}`" stroke="var(--ink)" stroke-width="2" />
        <text :x="RAIL_RIGHT + 7" :y="words[i]">
          {{ r.name }}
          <template v-if="r.sheets > 1">×{{ r.sheets }}</template>
        </text>
      </g>
      <path
        v-if="dimmed"
        :d="`M${(RAIL_LEFT + RAIL_RIGHT) / 2},${up.px(rungs.at(-1)?.to ?? startStops)}V${up.px(prescription.deltaStops)}`"
        stroke="var(--quiet)"
        stroke-dasharray="3 3"
      />
      <rect
        :x="RAIL_LEFT + 1"
        :y="up.px(prescription.deltaStops) - 4"
        :width="RAIL_RIGHT - RAIL_LEFT - 2"
        height="8"
        :fill="swatch"
        stroke="var(--set)"
      />
    </svg>
    <svg
      :width="MIRED_PX + 12"
      height="26"
      class="mx-auto block"
      role="img"
      :aria-label="`${signed(prescription.deltaMired, 0)} mired off`"
    >
      <path :d="`M6,13H${MIRED_PX + 6}M${6 + MIRED_PX / 2},9v8`" stroke="var(--quiet)" />
      <path :d="`M${6 + MIRED_PX / 3},6h-4v14h4M${6 + (2 * MIRED_PX) / 3},6h4v14h-4`" stroke="var(--ink)" fill="none" />
      <rect
        :x="3 + MIRED_PX / 2 + colour"
        y="6"
        width="6"
        height="14"
        :fill="inside ? 'var(--ink)' : 'var(--ground)'"
        stroke="var(--ink)"
      />
    </svg>
    <p class="text-center text-fine text-quiet">cool · 10 mired · warm</p>
    <p class="px-2 pt-1 text-small" data-reason>{{ prescription.reason }}</p>
  </article>
</template>

<style scoped>
.ladder + .ladder {
  border-left: 1px solid var(--line);
}
</style>
