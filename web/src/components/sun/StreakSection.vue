<script setup lang="ts">
import { computed } from 'vue'
import type { StreakMade } from '@/api/types'
import { useSettings } from '@/stores/settings'

/** The way of the light seen from the side: where the streak lies, the opening, the head or the mirror. By a mirror it is drawn unfolded. */
const props = defineProps<{ made?: StreakMade; markName: string }>()
const settings = useSettings()
const WIDE = 520
const TALL = 210
const LEFT = 34
const RIGHT = 46
const FOOT = 26

const drawing = computed(() => {
  const { made } = props
  if (!made) return undefined
  const level = Math.cos((made.upDeg * Math.PI) / 180)
  const rise = Math.sin((made.upDeg * Math.PI) / 180)
  const mirror = made.mirror?.stands
  const opening = made.toOpeningM * level
  /* level from the streak: by a mirror the head stands as far behind it as it is from it */
  const turn = mirror ? (mirror.heightM - made.streakHeightM) / rise : made.wayM
  const rest = made.wayM - turn
  const fall = mirror ? made.head.heightM - mirror.heightM : 0
  const end = turn * level + (mirror ? Math.sqrt(Math.max(0, rest * rest - fall * fall)) : 0)
  const top = Math.max(made.head.heightM, mirror?.heightM ?? 0, made.opening?.headM ?? 0, 2) * 1.12
  const scale = Math.min((WIDE - LEFT - RIGHT) / end, (TALL - FOOT - 8) / top)
  const x = (m: number) => LEFT + m * scale
  const y = (m: number) => TALL - FOOT - m * scale
  return { made, mirror, opening, turn: turn * level, end, top, x, y }
})
</script>

<template>
  <svg :viewBox="`0 0 ${WIDE} ${TALL}`" class="block w-full" role="img" aria-label="The way of the light from the side">
    <template v-if="drawing">
      <path :d="`M0,${drawing.y(0)}H${WIDE}`" class="floor" />
      <template v-if="drawing.made.opening">
        <path
          :d="`M${drawing.x(drawing.opening)},${drawing.y(0)}V${drawing.y(drawing.made.opening.sillM)}M${drawing.x(drawing.opening)},${drawing.y(drawing.made.opening.headM)}V4`"
          class="wall"
        />
        <text :x="drawing.x(drawing.opening)" :y="TALL - 8" text-anchor="middle">{{ drawing.made.opening.name }}</text>
      </template>
      <path
        :d="`M${drawing.x(0)},${drawing.y(drawing.made.streakHeightM)}L${drawing.x(drawing.turn)},${drawing.y(drawing.mirror?.heightM ?? drawing.made.head.heightM)}`"
        class="ray"
      />
      <template v-if="drawing.mirror">
        <path
          :d="`M${drawing.x(drawing.turn)},${drawing.y(drawing.mirror.heightM)}L${drawing.x(drawing.end)},${drawing.y(drawing.made.head.heightM)}`"
          class="ray unfolded"
        />
        <path :d="`M${drawing.x(drawing.turn)},${drawing.y(drawing.mirror.heightM) - 15}v30`" class="mirror" />
        <path
          :d="`M${drawing.x(drawing.turn)},${drawing.y(drawing.mirror.heightM) + 15}V${drawing.y(0)}`"
          class="stand"
        />
        <text :x="drawing.x(drawing.turn)" :y="TALL - 8" text-anchor="middle">
          mirror {{ settings.printed(drawing.mirror.height) }}
        </text>
      </template>
      <path :d="`M${drawing.x(drawing.end)},${drawing.y(drawing.made.head.heightM)}V${drawing.y(0)}`" class="stand" />
      <circle :cx="drawing.x(drawing.end)" :cy="drawing.y(drawing.made.head.heightM)" r="7" class="head" />
      <text :x="drawing.x(drawing.end) + 10" :y="drawing.y(drawing.made.head.heightM) - 8" class="figure">
        {{ settings.printed(drawing.made.head.height) }}
      </text>
      <circle :cx="drawing.x(0)" :cy="drawing.y(drawing.made.streakHeightM)" r="5" class="streak" />
      <text :x="drawing.x(0)" :y="TALL - 8" text-anchor="middle">{{ markName }}</text>
    </template>
  </svg>
</template>

<style scoped>
.floor,
.wall {
  fill: none;
  stroke: var(--set);
  stroke-width: 1.6px;
}
.wall {
  stroke-width: 3px;
}
.ray {
  stroke: var(--accent);
  stroke-width: 1.6px;
}
.ray.unfolded {
  stroke-dasharray: 7 4;
}
.stand {
  stroke: var(--quiet);
}
.mirror {
  stroke: var(--ink);
  stroke-width: 3px;
}
.head {
  fill: var(--ink);
}
.streak {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6px;
}
text {
  font-size: var(--text-small);
  fill: var(--quiet);
}
.figure {
  fill: var(--ink);
}
</style>
