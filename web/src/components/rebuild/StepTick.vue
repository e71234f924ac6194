<script setup lang="ts">
/** Whether a step is done, and whether it is the one in hand. */
defineProps<{ done: boolean; here: boolean }>()
</script>

<template>
  <span class="tick" :class="{ done, here }" />
</template>

<style scoped>
.tick {
  flex: none;
  width: 18px;
  height: 8px;
  border: 1.2px solid var(--quiet);
  border-radius: 1.5px;
}
.tick.done {
  background: var(--ink);
  border-color: var(--ink);
}
.tick.here {
  border-color: var(--accent);
}
.tick.here:not(.done) {
  background: var(--accent);
}
</style>
