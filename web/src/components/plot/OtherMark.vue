<script setup lang="ts">
import { computed } from 'vue'
import type { Placed } from '@/api/types'

/** A flag as a solid bar, a person as a disc with a nose, a camera as a box behind its lens. */
const props = defineProps<{ placed: Placed; scale: number; bearing: number; selected?: boolean }>()

const kind = computed(() => props.placed.placement.kind)
const half = computed(() => Math.max(7, (props.placed.placement.piece.widthM * props.scale) / 2))
</script>

<template>
  <g :transform="`rotate(${bearing})`">
    <g v-if="kind === 'FLAG'">
      <path :d="`M${-half},0H${half}`" stroke="var(--ground)" stroke-width="8" />
      <path :d="`M${-half},0H${half}`" stroke="var(--ink)" stroke-width="5" />
      <path :d="`M${-half},-5.5V5.5M${half},-5.5V5.5`" stroke="var(--ink)" stroke-width="1.6" />
      <rect v-if="selected" :x="-half - 6" y="-11" :width="2 * half + 12" height="22" rx="3" class="ring" />
    </g>
    <g v-else-if="kind === 'MARK'">
      <circle r="12" fill="var(--ground)" stroke="var(--ground)" stroke-width="5" />
      <circle r="12" fill="var(--raised)" stroke="var(--ink)" stroke-width="1.6" />
      <path d="M-5,-12.5L0,-20L5,-12.5Z" fill="var(--ink)" stroke="var(--ground)" stroke-width="1" />
      <circle v-if="selected" r="19" class="ring" />
    </g>
    <g v-else>
      <path d="M-10,2H10V18H-10ZM0,-9L9,2H-9Z" fill="var(--raised)" stroke="var(--ink)" stroke-width="1.4" stroke-linejoin="round" />
      <rect v-if="selected" x="-16" y="-15" width="32" height="39" rx="3" class="ring" />
    </g>
  </g>
</template>

<style scoped>
.ring {
  fill: none;
  stroke: var(--accent);
  stroke-width: 1.6;
}
</style>
