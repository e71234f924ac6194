<script setup lang="ts">
/** A cheat hangs a small flag; always with a word beside it. */
</script>

<template>
  <svg width="12" height="16" viewBox="0 0 12 16" aria-hidden="true" class="inline-block shrink-0">
    <path d="M1 15V1L11 5L1 9" fill="none" stroke="var(--accent)" stroke-width="1.6" stroke-linejoin="round" />
  </svg>
</template>
