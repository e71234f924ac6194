<script setup lang="ts">
/** A ramp: filled to act on, open to look at. Always with words beside it. */
defineProps<{ act?: boolean }>()
</script>

<template>
  <svg width="13" height="10" viewBox="0 0 13 10" aria-hidden="true" class="mt-1 shrink-0">
    <path d="M.7 9.3H12.3V.9Z" :fill="act ? 'currentColor' : 'none'" stroke="currentColor" stroke-linejoin="round" />
  </svg>
</template>
