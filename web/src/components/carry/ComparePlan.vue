<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Compared } from '@/api/types'
import SetLayer from '@/components/plot/SetLayer.vue'
import { along, bearingBetween, bounds, gap, move, toPx, type Px, type View } from '@/lib/screen'
import { wallPoints } from '@/lib/set'
import { useSize } from '@/lib/useSize'

/** Both states on one plan: what stands where now, a dashed ghost where it was, and an arrow from one to the other. */
const props = defineProps<{ compared: Compared; chosen?: string }>()
defineEmits<{ choose: [name: string] }>()

const MARGIN = 30
const NEAR_PX = 7
const svg = ref<SVGElement>()
const size = useSize(svg)

const extent = computed(() => {
  const spots = props.compared.standing.flatMap((s) => [s.from, s.to].flatMap((p) => (p ? [p] : [])))
  return bounds([...wallPoints(props.compared.plan), ...spots])
})
const view = computed<View>(() => {
  const e = extent.value
  const scale = Math.max(
    4,
    Math.min(
      (size.value.width - 2 * MARGIN) / Math.max(1, e.right - e.left),
      (size.value.height - 2 * MARGIN) / Math.max(1, e.top - e.bottom),
    ),
  )
  return {
    scale,
    x: (size.value.width - (e.left + e.right) * scale) / 2,
    y: (size.value.height + (e.bottom + e.top) * scale) / 2,
  }
})
const things = computed(() =>
  props.compared.standing.map((s) => {
    const from = s.from && toPx(view.value, s.from)
    const to = s.to && toPx(view.value, s.to)
    const length = from && to ? gap(from, to) : 0
    const way = from && to && length > NEAR_PX ? along(bearingBetween(from, to)) : undefined
    const wide = Math.max(12, s.widthM * view.value.scale)
    return {
      ...s,
      wide,
      at: to ?? from!,
      bearing: (s.to ?? s.from)!.bearingDeg,
      ghost: way || !to ? from : undefined,
      ghostBearing: s.from?.bearingDeg ?? 0,
      arrow: way && from && to ? arrow(from, move(to, way, -NEAR_PX), way) : '',
      state: !s.from ? 'comes in' : !s.to ? 'goes out' : way ? 'moved' : 'stays',
    }
  }),
)

function arrow(from: Px, tip: Px, way: Px) {
  const back = move(tip, way, -7)
  return `M${from.x},${from.y}L${tip.x},${tip.y}M${back.x - way.y * 4},${back.y + way.x * 4}L${tip.x},${tip.y}L${back.x + way.y * 4},${back.y - way.x * 4}`
}
function body(kind: string, wide: number) {
  if (kind === 'MARK') return 'M-8,0a8,8 0 1 0 16,0a8,8 0 1 0 -16,0M-4,-9L0,-15L4,-9Z'
  if (kind === 'CAMERA') return 'M0,-9L7,6H-7ZM-5,6V13H5V6'
  if (kind === 'HEAD' || kind === 'PRACTICAL' || kind === 'DAYLIGHT')
    return `M${-wide / 2},-5H${wide / 2}V5H${-wide / 2}Z`
  return `M${-wide / 2},0H${wide / 2}M${-wide / 2},-5V5M${wide / 2},-5V5`
}
</script>

<template>
  <svg
    ref="svg"
    class="drawing plan w-full h-full bg-ground"
    role="img"
    :aria-label="`${compared.from.name} and ${compared.to.name} on the plan`"
  >
    <template v-if="size.width">
      <SetLayer :set="compared.plan" :view="view" :named="[]" />
      <g
        v-for="t in things"
        :key="t.name"
        class="thing"
        aria-hidden="true"
        :class="{ chosen: t.name === chosen, still: t.state === 'stays' }"
        @click="$emit('choose', t.name)"
      >
        <path v-if="t.arrow" :d="t.arrow" class="arrow" />
        <path
          v-if="t.ghost"
          :d="body(t.kind, t.wide)"
          :transform="`translate(${t.ghost.x} ${t.ghost.y}) rotate(${t.ghostBearing})`"
          class="ghost"
        />
        <path
          v-if="t.to"
          :d="body(t.kind, t.wide)"
          :transform="`translate(${t.at.x} ${t.at.y}) rotate(${t.bearing})`"
          class="now"
        />
        <text v-if="t.state !== 'stays' || t.name === chosen" :x="t.at.x + 10" :y="t.at.y - 9">
          <tspan>{{ t.name }}</tspan>
          <tspan v-if="t.state !== 'moved' && t.state !== 'stays'" class="state">, {{ t.state }}</tspan>
        </text>
      </g>
    </template>
  </svg>
</template>

<style scoped>
.ghost {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.2;
  stroke-dasharray: 4 3;
}
.now {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1.4;
}
.still .now {
  stroke: var(--set);
}
.arrow {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.2;
}
.chosen .now,
.chosen .arrow,
.chosen .ghost {
  stroke: var(--accent);
}
.state {
  fill: var(--quiet);
}
.thing {
  cursor: pointer;
}
</style>
