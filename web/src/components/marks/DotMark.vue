<template>
  <!-- All is well with it. -->
  <span class="inline-block flex-none w-1.5 h-1.5 mt-1.25 mx-0.75 rounded-mark bg-ink" />
</template>
