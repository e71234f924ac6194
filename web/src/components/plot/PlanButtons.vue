<script setup lang="ts">
/** Nearer, farther, the whole plan; the sun; cables; the light beside it where there is no room for both. */
defineProps<{ light: boolean; sun: boolean; cables: boolean }>()
defineEmits<{ zoom: [by: number]; fit: []; light: []; sun: []; cables: [] }>()
</script>

<template>
  <div class="absolute left-3 bottom-3 phone:bottom-1.5 flex gap-1">
    <button class="button" aria-label="Zoom in" @click="$emit('zoom', 1.25)">+</button>
    <button class="button" aria-label="Zoom out" @click="$emit('zoom', 0.8)">−</button>
    <button class="button" @click="$emit('fit')">Fit</button>
    <button class="button" :aria-pressed="sun" @click="$emit('sun')">Sun</button>
    <button class="button" :aria-pressed="cables" @click="$emit('cables')">Cables</button>
    <button class="button hidden upright:inline-flex" :aria-pressed="light" @click="$emit('light')">Light</button>
  </div>
</template>

<style scoped>
.button {
  background: var(--ground);
  min-width: 32px;
}
</style>
