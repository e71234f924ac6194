<script setup lang="ts">
import type { QrCode } from '@/api/types'

/** An address to be scanned: dark on light in both themes, with the margin that scanners ask for. */
defineProps<{ code: QrCode; label: string }>()
const MARGIN = 4
</script>

<template>
  <svg
    class="code shrink-0"
    :viewBox="`${-MARGIN} ${-MARGIN} ${code.size + 2 * MARGIN} ${code.size + 2 * MARGIN}`"
    role="img"
    :aria-label="label"
  >
    <path :d="code.path" />
  </svg>
</template>

<style scoped>
.code {
  width: 168px;
  background: white;
  fill: black;
  shape-rendering: crispEdges;
}
</style>
