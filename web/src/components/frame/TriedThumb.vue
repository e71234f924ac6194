<script setup lang="ts">
import type { ProposedChange } from '@/api/types'
import { useFrame } from '@/lib/useFrame'

/** A small predicted picture of a shot with what is tried in it. */
const props = defineProps<{ shotId: number; name: string; changes: ProposedChange[]; holds: string[] }>()
const WIDE = 160
const { frame, refused } = useFrame(() => ({
  shotId: props.shotId,
  body: {
    changes: props.changes,
    holds: props.holds,
    out: [],
    width: WIDE,
    of: 'LIGHT',
    perStop: 0,
    touched: [],
  },
}))
</script>

<template>
  <span class="block aspect-video overflow-hidden bg-[#08090a]" :title="refused || undefined">
    <img
      v-if="frame"
      class="block size-full"
      :src="frame.picture"
      :alt="`Predicted picture of ${name}`"
      draggable="false"
    />
  </span>
</template>
