<script setup lang="ts">
/** What if all lights were lower. */
const lower = defineModel<number>({ required: true })
const LOWER = [
  { stops: 0, name: 'as recorded' },
  { stops: 1 / 3, name: '⅓ lower' },
  { stops: 2 / 3, name: '⅔ lower' },
  { stops: 1, name: '1 stop lower' },
]
</script>

<template>
  <p class="flex flex-wrap gap-1" role="group" aria-label="What if all lights were">
    <button
      v-for="l in LOWER"
      :key="l.name"
      class="button !px-2"
      :aria-pressed="Math.abs(lower - l.stops) < 0.01"
      @click="lower = l.stops"
    >
      {{ l.name }}
    </button>
  </p>
</template>
