<script setup lang="ts">
import { computed } from 'vue'
import { value, type Placed } from '@/api/types'
import { along, move, type Px } from '@/lib/screen'

/** Cloths on frames of their own before a head: a band of two lines with slanted hatch and end bars. */
const props = defineProps<{ placed: Placed; at: Px; bearing: number; scale: number }>()

const frames = computed(() =>
  (value(props.placed, 'MODIFIERS')?.items ?? []).flatMap((m) => {
    if (!m.frameWidthM || !m.frameDistanceM) return []
    const half = (m.frameWidthM * props.scale) / 2
    let hatch = ''
    for (let x = -half + 3; x < half - 2; x += 6) hatch += `M${x},2.5l5,-5`
    return [{ name: m.name, middle: move(props.at, along(props.bearing), m.frameDistanceM * props.scale), half, hatch }]
  }),
)
</script>

<template>
  <g
    v-for="(f, i) in frames"
    :key="i"
    :transform="`translate(${f.middle.x} ${f.middle.y}) rotate(${bearing})`"
    class="frame"
  >
    <rect :x="-f.half" y="-2.5" :width="2 * f.half" height="5" fill="var(--ground)" />
    <path :d="f.hatch" stroke="var(--ink)" stroke-width=".8" />
    <path
      :d="`M${-f.half},-2.5H${f.half}M${-f.half},2.5H${f.half}M${-f.half},-6V6M${f.half},-6V6`"
      stroke="var(--ink)"
      stroke-width="1.2"
    />
    <title>{{ f.name }}</title>
  </g>
</template>

<style scoped>
.frame {
  pointer-events: none;
}
</style>
