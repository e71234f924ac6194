<script setup lang="ts">
import { computed } from 'vue'
import type { Light } from '@/api/types'
import RoseMark from '@/components/marks/RoseMark.vue'
import { CROWD, type DrawnThing } from '@/lib/usePlanDrawing'

/** Where the light on each mark comes from, round the mark. */
const props = defineProps<{ light: Light; drawn: DrawnThing[]; faded: Set<string>; selected?: string }>()
const ROSE_R0 = 16
const ROSE_PER_STOP = 6.5
const ROSE_WITHIN = 70
const MOST_PETALS = 6

const roses = computed(() =>
  props.light.marks.flatMap((mark) => {
    const d = props.drawn.find((one) => one.key === mark.key)
    return d ? [{ mark, at: d.at, faded: props.faded.has(d.key) }] : []
  }),
)
</script>

<template>
  <g
    v-for="r in roses"
    :key="`rose-${r.mark.key}`"
    :transform="`translate(${r.at.x} ${r.at.y})`"
    class="fixed-mark"
    :class="{ faded: r.faded }"
  >
    <RoseMark
      :mark="r.mark"
      :sources="light.sources"
      :r0="ROSE_R0"
      :per-stop="ROSE_PER_STOP"
      :chosen="selected"
      :most="drawn.length > CROWD ? MOST_PETALS : undefined"
      :within="ROSE_WITHIN"
    />
  </g>
</template>

<style scoped>
.fixed-mark {
  pointer-events: none;
}
.faded {
  opacity: 0.28;
}
</style>
