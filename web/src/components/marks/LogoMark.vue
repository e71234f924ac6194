<template>
  <svg width="27" height="16" viewBox="0 0 27 16" aria-hidden="true">
    <path d="M10 12H1.2V2H25.8V12H20" fill="none" stroke="currentColor" stroke-width="1.8" stroke-linejoin="round" />
    <path d="M16 11.9V16" stroke="currentColor" stroke-width="1.8" />
  </svg>
</template>
