<script setup lang="ts">
import { computed } from 'vue'
import { along, move, path, type Px } from '@/lib/screen'

/** What the camera frames, seen from above. */
const props = defineProps<{ at: Px; bearing: number; viewDeg: number; scale: number }>()

const REACH_M = 12
const WORDS_M = 2.1
const edges = computed(() =>
  ([-1, 1] as const).map((side) => {
    const bearing = props.bearing + (side * props.viewDeg) / 2
    const way = along(bearing)
    const flip = way.x < 0
    return {
      side,
      end: move(props.at, way, REACH_M * props.scale),
      word: move(props.at, way, WORDS_M * props.scale),
      turn: bearing - 90 + (flip ? 180 : 0),
    }
  }),
)
</script>

<template>
  <g class="camera-view" clip-path="url(#room)">
    <path :d="path([at, ...edges.map((e) => e.end)])" fill="var(--ink)" fill-opacity=".035" />
    <g v-for="e in edges" :key="e.side">
      <path :d="path([at, e.end], false)" stroke="var(--ink)" stroke-opacity=".62" stroke-dasharray="9 4" fill="none" />
      <text
        class="word"
        text-anchor="middle"
        :transform="`translate(${e.word.x} ${e.word.y}) rotate(${e.turn})`"
        dy="-4"
        >{{ e.side < 0 ? 'frame left' : 'frame right' }}</text
      >
    </g>
  </g>
</template>

<style scoped>
.camera-view {
  pointer-events: none;
}
.word {
  font-size: var(--text-fine);
  fill: var(--set-words);
  stroke: var(--floor);
  stroke-width: 3px;
  paint-order: stroke;
}
</style>
