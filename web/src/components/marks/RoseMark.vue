<script setup lang="ts">
import { computed } from 'vue'
import type { AtMark, SourceView } from '@/api/types'
import { along } from '@/lib/screen'

/**
 * Where light arrives from at a mark: a petal's bearing is its source's, its length the stops, its width how large the mark sees it.
 * Light from all around is a dotted ring. A second shot's rose is only outlined.
 */
const props = defineProps<{
  mark: AtMark
  sources: SourceView[]
  /** px of the rim that petals begin at */ r0: number
  /** px per stop */ perStop: number
  ghost?: boolean
  chosen?: string
  /** Only so many petals, the longest. */ most?: number
  /** px that no petal goes beyond */ within?: number
}>()

/** Petals end here, stops from the camera's exposure. */
const FOOT = -6
/** Light off the room that is weaker than this is not drawn. */
const LEAST_AROUND = -4
const NARROWEST_DEG = 6
const WIDEST_DEG = 85

const petals = computed(() =>
  props.mark.from
    .flatMap((one) => {
      const stops = one.facing.overStops
      const source = props.sources.find((s) => s.key === one.key)
      if (one.allAround || stops === undefined || stops <= FOOT || !source) return []
      const half = Math.min(WIDEST_DEG, Math.max(NARROWEST_DEG, one.sizeDeg / 2))
      const r = Math.min(props.within ?? Infinity, props.r0 + (stops - FOOT) * props.perStop)
      const a = along(one.fromDeg - half)
      const b = along(one.fromDeg + half)
      return [
        {
          key: one.key,
          name: source.name,
          fill: source.swatch ?? 'var(--quiet)',
          r,
          d: `M0,0L${a.x * r},${a.y * r}A${r},${r} 0 0 1 ${b.x * r},${b.y * r}Z`,
        },
      ]
    })
    .sort((a, b) => b.r - a.r)
    .slice(0, props.most ?? Infinity),
)
const rings = computed(() =>
  props.mark.from.flatMap((one) => {
    const stops = Math.max(one.lit.overStops ?? -99, one.shadow.overStops ?? -99)
    const source = props.sources.find((s) => s.key === one.key)
    return one.allAround && stops > LEAST_AROUND && source
      ? [
          {
            key: one.key,
            r: Math.min(props.within ?? Infinity, props.r0 + (stops - FOOT) * props.perStop),
            stroke: source.swatch ?? 'var(--quiet)',
            name: source.name,
          },
        ]
      : []
  }),
)
</script>

<template>
  <g class="rose" :class="{ ghost }">
    <circle
      v-for="ring in rings"
      :key="ring.key"
      :r="ring.r"
      fill="none"
      :stroke="ghost ? 'var(--ink)' : ring.stroke"
      stroke-width="2"
      stroke-dasharray=".1 5"
      stroke-linecap="round"
      ><title>{{ ring.name }}, all around</title></circle
    >
    <template v-for="p in petals" :key="p.key">
      <template v-if="ghost">
        <path :d="p.d" fill="none" stroke="var(--ground)" stroke-width="2.6" />
        <path :d="p.d" fill="none" stroke="var(--ink)" stroke-width="1.2" stroke-dasharray="4 3" />
      </template>
      <path v-else :d="p.d" :fill="p.fill" fill-opacity=".9" stroke="var(--set)" :class="{ chosen: p.key === chosen }"
        ><title>{{ p.name }}</title></path
      >
    </template>
  </g>
</template>

<style scoped>
.chosen {
  stroke: var(--accent);
  stroke-width: 1.6px;
}
</style>
