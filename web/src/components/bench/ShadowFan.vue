<script setup lang="ts">
import { computed, ref } from 'vue'
import { axis } from '@/lib/scales'
import { useSize } from '@/lib/useSize'

/** An opening, seen from above: source at the left, wall with its opening, surface at the right, all in metres. */
const props = defineProps<{ sourceToEdge: number; edgeToSurface: number; opening: number; penumbraM: number }>()
const element = ref<SVGSVGElement>()
const size = useSize(element)

const fan = computed(() => {
  const p = props
  if (!size.value.width) return undefined
  const x = axis(0, p.sourceToEdge + p.edgeToSurface, 40, Math.max(120, size.value.width - 60))
  const perM = Math.min(
    x.px(1) - x.px(0),
    150 / Math.max(0.2, (p.opening * (p.sourceToEdge + p.edgeToSurface)) / p.sourceToEdge),
  )
  const wall = x.px(p.sourceToEdge)
  const end = x.px(p.sourceToEdge + p.edgeToSurface)
  const open = (p.opening / 2) * perM
  const spread = (open * (p.sourceToEdge + p.edgeToSurface)) / p.sourceToEdge
  return {
    source: x.px(0),
    wall,
    end,
    open,
    spread,
    penumbra: Math.max(1, p.penumbraM * perM),
    rays: [-1, -0.5, 0, 0.5, 1],
  }
})
const FAN_MIDDLE = 100
</script>

<template>
  <svg ref="element" class="drawing block w-full" :height="2 * FAN_MIDDLE" role="img" aria-label="The fan of shadows">
    <template v-if="fan">
      <path
        v-for="r in fan.rays"
        :key="r"
        :d="`M${fan.source},${FAN_MIDDLE}L${fan.end},${FAN_MIDDLE + r * fan.spread}`"
        stroke="var(--quiet)"
        :stroke-width="Math.abs(r) === 1 ? 1.6 : 0.8"
      />
      <circle :cx="fan.source" :cy="FAN_MIDDLE" r="6" fill="var(--ink)" />
      <path
        :d="`M${fan.wall},10V${FAN_MIDDLE - fan.open}M${fan.wall},${FAN_MIDDLE + fan.open}V190`"
        stroke="var(--wall)"
        stroke-width="6"
      />
      <path :d="`M${fan.end},10V190`" stroke="var(--set)" stroke-width="2" />
      <rect
        v-for="side in [-1, 1]"
        :key="side"
        :x="fan.end - 3"
        :y="FAN_MIDDLE + side * fan.spread - fan.penumbra / 2"
        width="9"
        :height="fan.penumbra"
        fill="var(--ink)"
      />
      <text :x="fan.wall" y="8" text-anchor="middle" class="tick">opening</text>
      <text :x="fan.end + 10" :y="FAN_MIDDLE - fan.spread + 4" class="tick">edge</text>
    </template>
  </svg>
</template>
