<script setup lang="ts">
import { computed } from 'vue'
import type { SetPlan } from '@/api/types'
import { along, bounds, move, path, toPx, type View } from '@/lib/screen'
import { wallPoints } from '@/lib/set'
import type { DrawnThing } from '@/lib/usePlanDrawing'
import type { SunShown } from '@/lib/useSun'

/** The sun on the plan: its way round the set, where it stands, where it lies, and which mark it comes on. */
const props = defineProps<{
  sun: SunShown
  set: SetPlan
  drawn: DrawnThing[]
  view: View
  size: { width: number; height: number }
}>()
const OUTSIDE_PX = 26
const EDGE_PX = 18
/** Straight above is half way in. */
const IN_PER_DEG = 0.5 / 90

const circle = computed(() => {
  const points = [...wallPoints(props.set), ...props.set.landmarks.map((l) => l.point)]
  if (!points.length) points.push(...[-3, 3].map((m) => ({ xM: m, yM: m })))
  const of = bounds(points)
  const middle = toPx(props.view, { xM: (of.left + of.right) / 2, yM: (of.bottom + of.top) / 2 })
  const half = (Math.hypot(of.right - of.left, of.top - of.bottom) / 2) * props.view.scale
  const room = Math.min(middle.x, middle.y, props.size.width - middle.x, props.size.height - middle.y) - EDGE_PX
  return { middle, radius: Math.max(60, Math.min(half + OUTSIDE_PX, room)) }
})
function at(bearing: number, up: number) {
  const { middle, radius } = circle.value
  return move(middle, along(bearing), radius * (1 - Math.max(0, up) * IN_PER_DEG))
}
const way = computed(() =>
  path(
    props.sun.track.path.map((s) => at(s.bearingDeg, s.upDeg)),
    false,
  ),
)
const hours = computed(() =>
  props.sun.track.path
    .filter((s) => s.minute % 60 === 0)
    .map((s) => {
      const { middle, radius } = circle.value
      return {
        hour: s.minute / 60,
        on: at(s.bearingDeg, s.upDeg),
        name: move(middle, along(s.bearingDeg), radius + 9),
      }
    }),
)
const streaks = computed(() =>
  props.sun.track.targets.flatMap((t) =>
    t.streak ? [{ name: t.name, at: at(t.streak.bearingDeg, t.streak.upDeg) }] : [],
  ),
)
const stands = computed(() => {
  const { lies } = props.sun
  return lies && lies.upDeg > 0 ? at(lies.bearingDeg, lies.upDeg) : undefined
})
const ways = computed(() =>
  props.drawn.filter((d) => props.sun.lies?.marks.some((m) => m.mark === d.key)).map((d) => d.at),
)
const lines = computed(() => {
  const all = { floor: '', above: '' }
  for (const l of props.sun.lies?.lies ?? []) {
    const from = toPx(props.view, { xM: l.fromXM, yM: l.yM })
    const to = toPx(props.view, { xM: l.toXM, yM: l.yM })
    all[l.heightM > 0 ? 'above' : 'floor'] += path([from, to], false)
  }
  return all
})
</script>

<template>
  <g class="sun" aria-hidden="true">
    <path :d="lines.floor" class="lies" />
    <path :d="lines.above" class="lies above" />
    <path :d="way" class="way" />
    <g v-for="h in hours" :key="h.hour">
      <circle :cx="h.on.x" :cy="h.on.y" r="2" class="hour" />
      <text :x="h.name.x" :y="h.name.y + 4" text-anchor="middle">{{ h.hour }}</text>
    </g>
    <circle v-for="s in streaks" :key="s.name" :cx="s.at.x" :cy="s.at.y" r="8" class="streak" />
    <template v-if="stands">
      <path v-for="w in ways" :key="`${w.x} ${w.y}`" :d="`M${stands.x},${stands.y}L${w.x},${w.y}`" class="ray" />
      <circle :cx="stands.x" :cy="stands.y" r="4.5" class="stands" />
    </template>
  </g>
</template>

<style scoped>
.sun {
  pointer-events: none;
}
.lies {
  fill: none;
  stroke: var(--ink);
  stroke-opacity: 0.45;
  stroke-width: 1.2px;
}
.lies.above {
  stroke-opacity: 0.8;
  stroke-width: 2px;
}
.way {
  fill: none;
  stroke: var(--quiet);
  stroke-width: 1.4px;
}
.hour {
  fill: var(--quiet);
}
.streak {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.4px;
}
.stands {
  fill: var(--accent);
}
.ray {
  stroke: var(--accent);
  stroke-width: 1.2px;
  stroke-dasharray: 7 4;
}
text {
  font-size: var(--text-fine);
  fill: var(--quiet);
}
</style>
