<script setup lang="ts">
import { computed } from 'vue'
import type { Placed } from '@/api/types'

/**
 * What is no head, seen from above and drawn as line work: a flag as a solid bar, a net with ticks, a frame as a hatched band, a bounce
 * with scallops on its reflecting edge, a mirror with a bright edge, a pattern as gaps, a curtain as a wave, daylight as a pane with
 * rays; a person as a disc with a nose, a camera as a box behind its lens.
 */
const props = defineProps<{ placed: Placed; scale: number; bearing: number; selected?: boolean }>()

const kind = computed(() => props.placed.placement.kind)
const half = computed(() => Math.max(7, (props.placed.placement.piece.widthM * props.scale) / 2))
const overhead = computed(
  () => props.placed.placement.piece.mount === 'OVERHEAD' || Math.abs(props.placed.aim?.tiltDeg ?? 0) > 60,
)
const tall = computed(() =>
  Math.max(7, ((props.placed.placement.piece.heightM ?? props.placed.placement.piece.widthM) * props.scale) / 2),
)
const SCALLOP = 4.55

function every(step: number, draw: (x: number) => string): string {
  let d = ''
  for (let x = -half.value + step / 2; x < half.value - 1; x += step) d += draw(x)
  return d
}
const ticks = computed(() => every(5, (x) => `M${x},-3V3`))
const hatch = computed(() => every(6, (x) => `M${x - 2},2.5l4,-5`))
const gaps = computed(() => every(9, (x) => `M${x - 3},0h5`))
const scallops = computed(
  () => `M${-half.value},-2` + every(2 * SCALLOP, () => `a${SCALLOP},${SCALLOP} 0 0 1 ${2 * SCALLOP},0`),
)
const wave = computed(() => `M${-half.value},0` + every(12, () => 'q3,-6 6,0t6,0'))
const ends = computed(() => `M${-half.value},-6V6M${half.value},-6V6`)
const rays = computed(() => every(14, (x) => `M${x},-5v-8`))
const isPanel = computed(() => !['MARK', 'CAMERA'].includes(kind.value))
</script>

<template>
  <g :transform="`rotate(${bearing})`">
    <g v-if="isPanel">
      <template v-if="overhead && kind !== 'DAYLIGHT'">
        <rect
          :x="-half"
          :y="-tall"
          :width="2 * half"
          :height="2 * tall"
          fill="var(--ground)"
          fill-opacity=".3"
          stroke="var(--ink)"
          stroke-width="1.2"
          stroke-dasharray="6 4"
        />
        <path
          v-if="kind === 'BOUNCE'"
          :d="scallops"
          :transform="`translate(0 ${-tall + 2})`"
          fill="none"
          stroke="var(--ink)"
          stroke-width="1.2"
        />
      </template>
      <template v-else>
        <path :d="`M${-half},0H${half}`" stroke="var(--ground)" stroke-width="9" />
        <g fill="none" stroke="var(--ink)" stroke-width="1.2">
          <template v-if="kind === 'FLAG'">
            <path :d="`M${-half},0H${half}`" stroke-width="5" />
            <path :d="`M${-half},-5.5V5.5M${half},-5.5V5.5`" stroke-width="1.6" />
          </template>
          <template v-else-if="kind === 'NET'"
            ><path :d="`M${-half},0H${half}`" /><path :d="ticks" stroke-width=".8" /><path :d="ends"
          /></template>
          <template v-else-if="kind === 'FRAME'"
            ><path :d="hatch" stroke-width=".8" /><path :d="`M${-half},-2.5H${half}M${-half},2.5H${half}`" /><path
              :d="ends"
          /></template>
          <template v-else-if="kind === 'BOUNCE'"
            ><path :d="`M${-half},2H${half}`" stroke-width="2" /><path :d="scallops"
          /></template>
          <template v-else-if="kind === 'MIRROR'"
            ><path :d="`M${-half},1H${half}`" stroke-width="2.4" /><path
              :d="`M${-half},-3H${half}`"
              stroke-width=".8" /><path
              :d="`M${-half * 0.5},-3l4,-6M0,-3l4,-6M${half * 0.5},-3l4,-6`"
              stroke-width=".8"
          /></template>
          <template v-else-if="kind === 'PATTERN'"><path :d="gaps" stroke-width="5" /><path :d="ends" /></template>
          <template v-else-if="kind === 'CURTAIN'"><path :d="wave" stroke-width="1.6" /></template>
          <template v-else>
            <path
              :d="`M${-half},-2.5H${half}V2.5H${-half}Z`"
              :fill="placed.light?.swatch ?? 'none'"
              stroke="var(--set)"
            />
            <path :d="rays" stroke-width=".8" />
          </template>
        </g>
      </template>
      <rect
        v-if="selected"
        :x="-half - 6"
        :y="overhead ? -tall - 6 : -12"
        :width="2 * half + 12"
        :height="overhead ? 2 * tall + 12 : 24"
        rx="3"
        class="ring"
      />
    </g>
    <g v-else-if="kind === 'MARK'">
      <circle r="12" fill="var(--ground)" stroke="var(--ground)" stroke-width="5" />
      <circle r="12" fill="var(--raised)" stroke="var(--ink)" stroke-width="1.6" />
      <path d="M-5,-12.5L0,-20L5,-12.5Z" fill="var(--ink)" stroke="var(--ground)" stroke-width="1" />
      <circle v-if="selected" r="19" class="ring" />
    </g>
    <g v-else>
      <path
        d="M-10,2H10V18H-10ZM0,-9L9,2H-9Z"
        fill="var(--raised)"
        stroke="var(--ink)"
        stroke-width="1.4"
        stroke-linejoin="round"
      />
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
