<script setup lang="ts">
import type { UseWalkReturn } from '@/lib/useWalk'

/** One block for each thing: hollow to come, accent here, filled could be rebuilt, part filled something to guess. */
defineProps<{ walk: UseWalkReturn }>()
</script>

<template>
  <div class="flex gap-1.5" role="group" aria-label="The things, in build order">
    <button
      v-for="(t, i) in walk.things.value"
      :key="t.placement.key"
      class="block-of"
      :class="{ here: i === walk.at.value }"
      :data-state="walk.stateOf(t)"
      :aria-label="`${t.placement.name}: ${walk.stateOf(t)}`"
      :aria-current="i === walk.at.value"
      @click="walk.goTo(t.placement.key)"
    >
      <span />
    </button>
  </div>
</template>

<style scoped>
.block-of {
  flex: 1;
  min-width: 6px;
  max-width: 60px;
  padding: 8px 0;
}
.block-of span {
  display: block;
  height: 8px;
  border: 1px solid var(--quiet);
  border-radius: 2px;
}
[data-state='whole'] span {
  background: var(--ink);
  border-color: var(--ink);
}
[data-state='to guess'] span {
  background: linear-gradient(90deg, var(--ink) 55%, transparent 55%);
}
.here span {
  background: var(--accent);
  border-color: var(--accent);
}
</style>
