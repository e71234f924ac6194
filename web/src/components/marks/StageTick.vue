<script setup lang="ts">
import type { ShotStage } from '@/api/types'

/** A shot on the spine: hollow while planned, filled once lit, closed with a bar once shot. */
defineProps<{ stage: ShotStage }>()
</script>

<template>
  <svg width="20" height="10" viewBox="0 0 20 10" aria-hidden="true" class="shrink-0">
    <rect
      x=".6"
      y="2.6"
      width="14.8"
      height="4.8"
      rx="1"
      :fill="stage === 'PLANNED' ? 'none' : 'var(--ink)'"
      :stroke="stage === 'PLANNED' ? 'var(--quiet)' : 'var(--ink)'"
    />
    <path v-if="stage === 'SHOT'" d="M18.4 0V10" stroke="var(--ink)" stroke-width="1.8" />
  </svg>
</template>
