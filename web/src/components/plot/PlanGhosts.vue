<script setup lang="ts">
import { path } from '@/lib/screen'
import type { UsePlanDrawingReturn } from '@/lib/usePlanDrawing'

/** Where things stand by the record, while they are tried elsewhere. */
defineProps<{ ghosted: UsePlanDrawingReturn['ghosted']['value'] }>()
</script>

<template>
  <g v-for="g in ghosted" :key="`ghost-${g.key}`" class="ghost">
    <path :d="path([g.at, g.to], false)" />
    <rect
      :x="-g.half"
      y="-5"
      :width="2 * g.half"
      height="10"
      :transform="`translate(${g.at.x} ${g.at.y}) rotate(${g.bearing})`"
    />
  </g>
</template>

<style scoped>
.ghost {
  fill: none;
  stroke: var(--ink);
  stroke-dasharray: 4 3;
  pointer-events: none;
}
</style>
