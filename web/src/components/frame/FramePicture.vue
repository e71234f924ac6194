<script setup lang="ts">
import type { FramePoint, PredictedFrame } from '@/api/types'
import TouchPicture from './TouchPicture.vue'

/** A predicted picture. A touch anywhere tells the light there. */
defineProps<{
  frame: PredictedFrame
  name: string
  points: FramePoint[]
  chosen: number
}>()
defineEmits<{ touch: [x: number, y: number]; choose: [index: number] }>()
</script>

<template>
  <TouchPicture
    :src="frame.picture"
    :width="frame.width"
    :height="frame.height"
    :lines="frame.lines"
    :label="`Predicted picture of ${name}. Arrow keys move a cross, Enter tells the light there.`"
    :points="points.map((p) => ({ x: p.x, y: p.y, swapped: p.kind === 'SHADOW' }))"
    :chosen="chosen"
    :coarse="frame.coarse"
    @touch="(x, y) => $emit('touch', x, y)"
    @choose="$emit('choose', $event)"
  />
</template>
