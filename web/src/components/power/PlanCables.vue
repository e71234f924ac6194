<script setup lang="ts">
import { computed } from 'vue'
import type { CableWay } from '@/api/types'
import { path, toPx, type Px, type View } from '@/lib/screen'
import { useSettings } from '@/stores/settings'

/** Where cables could lie: from the sockets along the wall to each light, how long, and which of them people walk over. */
const props = defineProps<{ cables: CableWay[]; view: View }>()
const settings = useSettings()
const distance = (a: Px, b: Px) => Math.hypot(a.x - b.x, a.y - b.y)
const drawn = computed(() =>
  props.cables.map((c) => {
    const points = c.path.map((p) => toPx(props.view, p))
    const longest = points
      .slice(1)
      .map((to, i) => ({ from: points[i]!, to }))
      .reduce((a, b) => (distance(b.from, b.to) > distance(a.from, a.to) ? b : a))
    return {
      ...c,
      d: path(points, false),
      sockets: points[0]!,
      middle: { x: (longest.from.x + longest.to.x) / 2, y: (longest.from.y + longest.to.y) / 2 },
      act: c.tooShort || c.crosses.length > 0,
    }
  }),
)
</script>

<template>
  <g class="cables" aria-hidden="true">
    <g v-for="c in drawn" :key="c.key">
      <path :d="c.d" />
      <rect :x="c.sockets.x - 5" :y="c.sockets.y - 5" width="10" height="10" class="sockets" />
      <text :x="c.middle.x + 6" :y="c.middle.y + 4">
        {{ c.circuit }} {{ settings.printed(c.length) }}<tspan v-if="c.act"> ◢</tspan>
      </text>
    </g>
  </g>
</template>

<style scoped>
.cables {
  pointer-events: none;
}
path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6px;
  stroke-dasharray: 8 3 2 3;
}
.sockets {
  fill: var(--ink);
}
text {
  font-size: var(--text-small);
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--ground);
  stroke-width: 3px;
}
</style>
