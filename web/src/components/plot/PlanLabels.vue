<script setup lang="ts">
import type { LabelPlaced } from '@/lib/labels'
import type { DrawnThing, UsePlanDrawingReturn } from '@/lib/usePlanDrawing'

/** Names of what is on a plan, with a knot where something was changed in the shot, and figures where there is room. */
const props = defineProps<{
  drawn: DrawnThing[]
  labels: Map<string, LabelPlaced>
  figures: UsePlanDrawingReturn['figures']
}>()
const KNOT_PX = 11

/** Leaves room for the knot between what is named and its name. */
function inset(d: DrawnThing): number {
  return d.changed ? (props.labels.get(d.key)?.anchor === 'end' ? -KNOT_PX : KNOT_PX) : 0
}
</script>

<template>
  <g v-for="d in drawn" :key="`label-${d.key}`" class="label" :class="{ chosen: d.selected }">
    <template v-if="labels.get(d.key)">
      <g :transform="`translate(${labels.get(d.key)!.x} ${labels.get(d.key)!.y})`">
        <path
          v-if="d.changed"
          :transform="`translate(${labels.get(d.key)!.anchor === 'start' ? 3.5 : -3.5} 8)`"
          d="M0,-7C4.5,-3 4.5,3 0,7C-4.5,3 -4.5,-3 0,-7Z"
          class="knot"
        />
        <text :x="inset(d)" y="12" :text-anchor="labels.get(d.key)!.anchor" class="name">
          {{ d.placed.placement.name }}
        </text>
        <text :x="inset(d)" y="27" :text-anchor="labels.get(d.key)!.anchor" class="figure">
          {{ figures(d.placed) }}
        </text>
      </g>
    </template>
  </g>
</template>

<style scoped>
.label {
  pointer-events: none;
}
.label text {
  stroke: var(--ground);
  stroke-width: 3px;
  paint-order: stroke;
  fill: var(--ink);
}
.name {
  font-size: var(--text-base);
  font-weight: var(--font-weight-strong);
}
.label .figure {
  font-size: var(--text-small);
}
.label.chosen .name {
  fill: var(--accent);
}
.label .knot {
  fill: var(--accent);
  stroke: var(--ground);
  stroke-width: 1.5px;
  paint-order: stroke;
}
</style>
