<script setup lang="ts">
import type { CircuitOfDay } from '@/api/types'
import CircuitLane from '@/components/power/CircuitLane.vue'
import type { DayScale } from '@/lib/dayTime'

/** What the circuits of a set carry over the day. */
defineProps<{ circuits: CircuitOfDay[]; scale: DayScale; width: number; heads: number; lane: number }>()
const TOP = 32
const BAR = 30
</script>

<template>
  <div v-for="(c, i) in circuits" :key="c.name">
    <span class="name" :style="{ top: `${TOP + BAR - 17 + i * lane}px`, width: `${heads - 6}px` }">{{ c.name }}</span>
    <CircuitLane
      class="lane"
      :style="{ top: `${TOP + i * lane}px`, left: `${heads}px` }"
      :circuit="c"
      :scale="scale"
      :width="width"
      :height="BAR"
    />
  </div>
</template>

<style scoped>
.name {
  position: absolute;
  text-align: right;
  font-size: var(--text-small);
}
.lane {
  position: absolute;
}
</style>
