<script setup lang="ts">
import { computed } from 'vue'
import { drawnLines } from '@/lib/isostops'

/** Lines of equal exposure over a picture: hairs on the darker side, the stop in the line, the camera's own stop stronger. */
const props = defineProps<{ lines: { stops: number; dots: number[] }[]; scale: number }>()
const drawn = computed(() => drawnLines(props.lines, props.scale))
</script>

<template>
  <g class="isostops" aria-hidden="true">
    <g v-for="line in drawn" :key="line.key" :class="{ strong: line.strong }">
      <path class="under" :d="line.d" />
      <path class="over" :d="line.d" />
      <path class="over" :d="line.hairs" />
    </g>
    <template v-for="line in drawn" :key="`n${line.key}`">
      <text
        v-if="line.label"
        :transform="`translate(${line.label.x} ${line.label.y}) rotate(${line.label.turn})`"
        text-anchor="middle"
        dy="4"
        >{{ line.label.text }}</text
      >
    </template>
  </g>
</template>

<style scoped>
.isostops {
  pointer-events: none;
}
path {
  fill: none;
  stroke-linejoin: round;
}
.under {
  stroke: #101214;
  stroke-opacity: 0.55;
  stroke-width: 2.8;
}
.over {
  stroke: #e6e3dc;
  stroke-opacity: 0.78;
  stroke-width: 1;
}
.strong .under {
  stroke-width: 4.2;
}
.strong .over {
  stroke-width: 1.8;
}
text {
  font-family: var(--font-mono);
  font-size: var(--text-small);
  fill: #e6e3dc;
  stroke: #101214;
  stroke-width: 3.5px;
  paint-order: stroke;
}
</style>
