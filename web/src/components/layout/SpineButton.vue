<template>
  <button class="button spine-button no-print" aria-label="Scenes and shots">
    <svg width="16" height="12" aria-hidden="true">
      <path d="M3 0V12M3 2H16M3 6H12M3 10H14" stroke="currentColor" stroke-width="1.4" />
    </svg>
  </button>
</template>
