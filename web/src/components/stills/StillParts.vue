<script setup lang="ts">
import { computed, useId } from 'vue'
import type { StillSeen } from '@/api/types'

/** What holds no picture any more: clipped parts hatched, near-black ones dotted, each in its shape. */
const props = defineProps<{ parts: StillSeen['parts']; scale: number }>()
const id = useId()
const drawn = computed(() =>
  props.parts.map((part) => {
    let d = ''
    for (let i = 0; i + 2 < part.runs.length; i += 3) {
      const [row, from, to] = part.runs.slice(i, i + 3) as [number, number, number]
      d += `M${from},${row}H${to}V${row + 1}H${from}Z`
    }
    return { clipped: part.clipped, d }
  }),
)
</script>

<template>
  <defs>
    <pattern :id="`${id}-clipped`" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <path d="M0,0V6" stroke="#101214" stroke-width="2.4" />
      <path d="M3,0V6" stroke="#e6e3dc" stroke-width="1" />
    </pattern>
    <pattern :id="`${id}-black`" width="9" height="9" patternUnits="userSpaceOnUse">
      <circle cx="2" cy="2" r="0.9" fill="#8d938f" />
    </pattern>
  </defs>
  <path
    v-for="(part, i) in drawn"
    :key="i"
    :d="part.d"
    :transform="`scale(${scale})`"
    :fill="`url(#${id}-${part.clipped ? 'clipped' : 'black'})`"
  />
</template>
