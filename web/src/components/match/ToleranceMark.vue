<script setup lang="ts">
import { computed } from 'vue'
import type { VerdictLine } from '@/api/types'
import { onRuler } from '@/lib/match'

/** Brackets at the tolerance, a tick at the reference, a slab at the difference: filled inside, hollow outside. */
const props = defineProps<{ line: Pick<VerdictLine, 'difference' | 'tolerance' | 'verdict'> }>()
const HALF = 60
const TOLERANCES = 2.8
const x = computed(() => HALF + onRuler(props.line, TOLERANCES) * (HALF - 4))
const bracket = HALF / TOLERANCES
</script>

<template>
  <svg width="120" height="18" viewBox="0 0 120 18" aria-hidden="true" class="block max-w-full">
    <path d="M0 9H120" stroke="var(--line)" />
    <path
      :d="`M${HALF - bracket + 4},1H${HALF - bracket}V17H${HALF - bracket + 4}M${HALF + bracket - 4},1H${HALF + bracket}V17H${HALF + bracket - 4}`"
      fill="none"
      stroke="var(--quiet)"
      stroke-width="1.2"
    />
    <path :d="`M${HALF},5V13`" stroke="var(--ink)" />
    <rect
      v-if="line.difference !== undefined"
      :x="x - 3"
      y="2"
      width="6"
      height="14"
      rx="1.5"
      :fill="line.verdict === 'HOLDS' ? 'var(--ink)' : 'var(--ground)'"
      stroke="var(--ink)"
      stroke-width="1.4"
    />
  </svg>
</template>
