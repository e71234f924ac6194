<script setup lang="ts">
import type { BoardRow } from '@/api/types'

/** What is placed, as the plan draws it, small: an oblong in its colour, grip as line work, the camera's box, a mark's nose. */
const props = defineProps<{ row: BoardRow }>()
const kind = props.row.placement.kind
const light = kind === 'HEAD' || kind === 'PRACTICAL'
const cloth = kind === 'FRAME' || kind === 'CURTAIN' || kind === 'PATTERN'
</script>

<template>
  <svg width="30" height="22" viewBox="0 0 30 22" aria-hidden="true" class="shrink-0">
    <template v-if="light">
      <rect x="3" y="6" width="24" height="11" :fill="row.swatch ?? 'none'" stroke="var(--ink)" />
      <path :d="kind === 'HEAD' ? 'M15 6V1M3 12H0' : 'M15 17V21'" stroke="var(--ink)" stroke-width="2" />
    </template>
    <path
      v-else-if="kind === 'DAYLIGHT'"
      d="M2 8H28M2 14H28M2 5V17M28 5V17"
      fill="none"
      :stroke="row.swatch ?? 'var(--ink)'"
      stroke-width="1.6"
    />
    <path
      v-else-if="kind === 'CAMERA'"
      d="M4 5H19V17H4ZM19 9L26 5V17L19 13"
      fill="none"
      stroke="var(--ink)"
      stroke-width="1.4"
    />
    <g v-else-if="kind === 'MARK'">
      <circle cx="15" cy="12" r="6" fill="none" stroke="var(--ink)" stroke-width="1.4" />
      <path d="M12 5L15 1L18 5Z" fill="var(--ink)" />
    </g>
    <path
      v-else-if="kind === 'NET'"
      d="M1 11H29M1 6V16M29 6V16M6 8V14M11 8V14M15 8V14M19 8V14M24 8V14"
      stroke="var(--ink)"
      stroke-width="1.2"
    />
    <path
      v-else-if="cloth"
      d="M2 8H28M2 14H28M2 5V17M28 5V17M5 14L11 8M11 14L17 8M17 14L23 8"
      fill="none"
      stroke="var(--ink)"
      stroke-width="1.1"
    />
    <g v-else-if="kind === 'FLAG'">
      <rect x="2" y="9" width="26" height="4.5" fill="var(--ink)" />
      <path d="M2 5.5V17M28 5.5V17" stroke="var(--ink)" stroke-width="1.4" />
    </g>
    <path
      v-else
      d="M3 9H27M3 9a4 4 0 0 0 8 0a4 4 0 0 0 8 0a4 4 0 0 0 8 0"
      fill="none"
      stroke="var(--ink)"
      stroke-width="1.3"
    />
  </svg>
</template>
