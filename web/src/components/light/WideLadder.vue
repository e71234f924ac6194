<script setup lang="ts">
import { computed, ref } from 'vue'
import type { AtMark, Light } from '@/api/types'
import LadderRails from '@/components/bench/LadderRails.vue'
import StopsText from '@/components/marks/StopsText.vue'
import { axis } from '@/lib/scales'
import { ratio, rungs, tenths, thirds } from '@/lib/stops'
import { useSize } from '@/lib/useSize'

/** The stop ladder: lit cheek, shadow cheek, background. A rung is one source alone, a bar all together, the gap the ratio. */
const props = defineProps<{
  mark: AtMark
  light: Light
  /** What a meter read on each side, stops from the camera's exposure. */ metered?: Partial<
    Record<'lit' | 'shadow' | 'background', number>
  >
}>()
const emit = defineEmits<{ select: [key: string] }>()

const APART = 56
const LEFT = 44
const WORD_PX = 15
const FOOT_STOPS = 8

const element = ref<SVGSVGElement>()
const size = useSize(element)
const high = computed(() => Math.max(220, size.value.height - 34))
const across = computed(() => Math.max(150, (size.value.width - LEFT) / 3))
const SIDES = [
  { side: 'lit', name: 'lit cheek' },
  { side: 'shadow', name: 'shadow cheek' },
  { side: 'background', name: 'background' },
] as const
const top = computed(() =>
  Math.max(1, Math.ceil(Math.max(...SIDES.map((s) => props.mark[s.side]?.overStops ?? -9)) + 0.3)),
)
const bottom = computed(() => top.value - FOOT_STOPS)
const up = computed(() => axis(bottom.value, top.value, high.value - 10, 10))
function y(stops: number) {
  return up.value.px(Math.max(bottom.value, Math.min(top.value, stops)))
}
const columns = computed(() =>
  SIDES.flatMap(({ side, name }, i) => {
    const on = props.mark[side]
    if (!on) return []
    const x = LEFT + i * across.value
    const all = rungs(props.mark, props.light.sources, side, bottom.value)
    let last = -Infinity
    // words keep clear of each other, of the sum's figure and of the line across
    const named = all.map((r) => {
      let at = Math.max(y(r.stops) + 4, last + WORD_PX)
      if (on.overStops !== undefined && Math.abs(at - 4 - y(on.overStops)) < 12) at = Math.max(at, y(on.overStops) + 16)
      if (Math.abs(at - 4 - y(0)) < 9) at = Math.max(at, y(0) + 16)
      last = at
      return { ...r, at }
    })
    return [{ side, name, x, sum: on.overStops, read: props.metered?.[side], rungs: named }]
  }),
)
const gaps = computed(() => {
  const [lit, shadow, background] = columns.value
  const list: { x: number; to: number; from: number; below: number; ratio?: string; stops: string }[] = []
  if (lit?.sum !== undefined && shadow?.sum !== undefined && props.mark.litToShadow)
    list.push({
      x: lit.x + APART,
      to: shadow.x,
      from: y(lit.sum),
      below: y(shadow.sum),
      ratio: ratio(props.mark.litToShadow.ratio),
      stops: thirds(props.mark.litToShadow.stops).replace('+', ''),
    })
  if (shadow?.sum !== undefined && background?.sum !== undefined)
    list.push({
      x: shadow.x + APART,
      to: background.x,
      from: y(shadow.sum),
      below: y(background.sum),
      stops: thirds(background.sum - shadow.sum),
    })
  return list
})
</script>

<template>
  <svg
    ref="element"
    class="drawing ladder block w-full h-full overflow-hidden"
    role="img"
    :aria-label="columns.map((c) => `${c.name} ${tenths(c.sum)} stops`).join(', ')"
  >
    <g transform="translate(0 26)">
      <path v-if="light.camera" :d="`M${LEFT - 10},${y(0)}H${size.width - 8}`" stroke="var(--ink)" stroke-width="1.8" />
      <foreignObject v-if="light.camera" :x="size.width - 70" :y="y(0) - 24" width="64" height="22"
        ><div class="figure text-right text-figure"><StopsText :text="light.camera.stop" /></div
      ></foreignObject>
      <g v-for="(g, i) in gaps" :key="i">
        <path :d="`M${g.x + 8},${g.from}H${g.to - 36}V${g.below}H${g.to - 9}`" fill="none" stroke="var(--ink)" />
        <template v-if="g.ratio">
          <rect :x="g.to - 66" :y="(g.from + g.below) / 2 - 24" width="60" height="44" fill="var(--ground)" />
          <text :x="g.to - 36" :y="(g.from + g.below) / 2 + 2" text-anchor="middle" class="ratio">{{ g.ratio }}</text>
          <foreignObject :x="g.to - 66" :y="(g.from + g.below) / 2 + 4" width="60" height="20"
            ><div class="figure text-center text-base"><StopsText :text="g.stops" /></div
          ></foreignObject>
        </template>
        <foreignObject v-else :x="g.to - 34" :y="(g.from + g.below) / 2 - 11" width="32" height="22"
          ><div class="figure inline bg-ground text-small"><StopsText :text="g.stops" /></div
        ></foreignObject>
      </g>
      <g v-for="(c, i) in columns" :key="c.side">
        <text :x="c.x" y="-10">{{ c.name }}</text>
        <LadderRails :left="c.x" :right="c.x + APART" :height="high" :top="top" :bottom="bottom" :bare="i > 0" zero />
        <g v-for="r in c.rungs" :key="r.key" class="rung" aria-hidden="true" @click="emit('select', r.key)">
          <rect :x="c.x + 1" :y="y(r.stops) - 3" :width="APART - 2" height="6" :fill="r.swatch" stroke="var(--set)" />
          <text v-if="r.at < high + 6" :x="c.x + APART + 8" :y="r.at" class="word">
            {{ r.name }}
            <tspan class="figure">{{ tenths(r.stops) }}</tspan>
          </text>
        </g>
        <template v-if="c.sum !== undefined">
          <path
            :d="`M${c.x - 8},${y(c.sum)}h${APART + 16}m0,-5v10m${-APART - 16},-10v10`"
            stroke="var(--ink)"
            stroke-width="2.4"
            fill="none"
          />
          <foreignObject
            :x="c.x + APART + 12"
            :y="c.sum < 0 && y(c.sum) - y(0) < 26 ? y(c.sum) + 2 : y(c.sum) - 23"
            width="70"
            height="22"
            ><div class="figure text-lead font-semibold"><StopsText :text="thirds(c.sum)" /></div
          ></foreignObject>
        </template>
        <text v-else :x="c.x" :y="high / 2" class="tick">dark</text>
        <circle
          v-if="c.read !== undefined"
          :cx="c.x + APART / 2"
          :cy="y(c.read)"
          r="4.6"
          fill="var(--ground)"
          stroke="var(--ink)"
          stroke-width="1.6"
        >
          <title>metered {{ tenths(c.read) }}</title>
        </circle>
      </g>
    </g>
  </svg>
</template>

<style scoped>
.drawing .ratio {
  font-size: var(--text-slate);
  font-weight: var(--font-weight-strong);
}
.rung {
  cursor: pointer;
}
.drawing .word {
  fill: var(--quiet);
}
.rung:hover .word {
  fill: var(--ink);
}
</style>
