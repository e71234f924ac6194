<script setup lang="ts">
/** A knot: the value was changed here. Upright down a column of rows, lying along a thread. */
defineProps<{ upright?: boolean }>()
</script>

<template>
  <svg v-if="upright" width="7" height="16" viewBox="0 0 7 16" aria-hidden="true" class="shrink-0">
    <path d="M3.5 0 C8 5 8 11 3.5 16 C-1 11 -1 5 3.5 0Z" fill="var(--accent)" />
  </svg>
  <svg v-else width="16" height="7" viewBox="0 0 16 7" aria-hidden="true" class="inline-block shrink-0">
    <path d="M0 3.5 C5 -1 11 -1 16 3.5 C11 8 5 8 0 3.5Z" fill="var(--accent)" />
  </svg>
</template>
