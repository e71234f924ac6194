<script setup lang="ts">
import { computed } from 'vue'
import type { ShotVerdict } from '@/api/types'
import { along } from '@/lib/screen'

/** Seen from above, as the world is: the face, where the key comes from, where the camera stands. */
const props = defineProps<{ judged: ShotVerdict }>()
const REACH = 24
const HALF_DEG = 22
const petal = computed(() => {
  const deg = props.judged.keyFromDeg
  if (deg === undefined) return ''
  const a = along(deg - HALF_DEG)
  const b = along(deg + HALF_DEG)
  return `M0,0L${a.x * REACH},${a.y * REACH}A${REACH},${REACH} 0 0 1 ${b.x * REACH},${b.y * REACH}Z`
})
const camera = computed(() =>
  props.judged.cameraFromDeg === undefined ? undefined : along(props.judged.cameraFromDeg),
)
</script>

<template>
  <svg
    width="76"
    height="72"
    viewBox="-38 -36 76 72"
    role="img"
    :aria-label="
      judged.keyFromDeg === undefined ? 'no key to tell its side' : `key from ${Math.round(judged.keyFromDeg)}°`
    "
  >
    <path v-if="petal" :d="petal" fill="var(--ink)" />
    <g v-if="judged.facingDeg !== undefined" :transform="`rotate(${judged.facingDeg})`">
      <path d="M-4 -8L0 -14L4 -8Z" fill="var(--ink)" stroke="var(--ground)" />
    </g>
    <circle r="8" fill="var(--ground)" stroke="var(--ink)" stroke-width="1.4" />
    <g v-if="camera" :transform="`translate(${camera.x * 31} ${camera.y * 31}) rotate(${judged.cameraFromDeg})`">
      <path d="M-4 -3L0 4L4 -3Z" fill="none" stroke="var(--quiet)" />
    </g>
  </svg>
</template>
