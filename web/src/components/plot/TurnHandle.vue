<script setup lang="ts">
import { computed } from 'vue'
import { along, move, path } from '@/lib/screen'
import type { DrawnThing } from '@/lib/usePlanDrawing'

/** Turns what is chosen; by keys the brackets do. */
const props = defineProps<{ thing: DrawnThing }>()
defineEmits<{ take: [event: PointerEvent] }>()
const HANDLE_PX = 46
const handle = computed(() => move(props.thing.at, along(props.thing.bearing), HANDLE_PX))
</script>

<template>
  <g class="handle" @pointerdown="$emit('take', $event)">
    <path :d="path([thing.at, handle], false)" stroke="var(--accent)" stroke-dasharray="2 3" />
    <circle :cx="handle.x" :cy="handle.y" r="16" fill="transparent" />
    <circle
      :cx="handle.x"
      :cy="handle.y"
      r="5"
      fill="var(--ground)"
      stroke="var(--accent)"
      stroke-width="1.6"
      data-handle="turn"
    />
    <title>Turn {{ thing.placed.placement.name }}</title>
  </g>
</template>

<style scoped>
.handle {
  cursor: crosshair;
}
</style>
