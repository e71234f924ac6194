<script setup lang="ts">
import { computed } from 'vue'
import { scaleBar } from '@/lib/labels'
import type { View } from '@/lib/screen'

/** Which way is north, and how long a metre is. */
const props = defineProps<{ view: View; size: { width: number; height: number }; northDeg: number }>()
const bar = computed(() => {
  const { metres, left, right } = scaleBar(props.view.scale, props.size)
  return { metres, left, px: right - left }
})
</script>

<template>
  <g :transform="`translate(${size.width - 34} 34)`" class="fixed-mark" aria-hidden="true">
    <g :transform="`rotate(${northDeg})`">
      <path d="M0,14V-14M-5,-7L0,-14L5,-7" fill="none" stroke="var(--quiet)" stroke-width="1.2" />
    </g>
    <text x="12" y="4">N</text>
  </g>
  <g :transform="`translate(${bar.left} ${size.height - 18})`" class="fixed-mark" aria-hidden="true">
    <path :d="`M0,-5V0H${bar.px}V-5M${bar.px / 2},-3V0`" fill="none" stroke="var(--quiet)" stroke-width="1.2" />
    <text :x="bar.px / 2" y="-8" text-anchor="middle">{{ bar.metres }} m</text>
  </g>
</template>

<style scoped>
.fixed-mark {
  pointer-events: none;
}
.fixed-mark text {
  font-size: var(--text-fine);
  fill: var(--quiet);
}
</style>
