<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { useConnection } from '@/stores/connection'
import { useOutput } from '@/stores/output'

/** Says wherever one is that output is armed or live, and stops it. Nothing while it is off. */
const output = useOutput()
const connection = useConnection()
const live = computed(() => output.now?.live)
</script>

<template>
  <div v-if="output.now?.armed" class="output" role="status" :class="{ live }">
    <RouterLink v-if="live" :to="{ name: 'recall', params: { id: live.shotId } }" :title="output.said"
      ><WedgeMark act class="mr-1 inline" />{{ live.slate }} {{ connection.lost ? 'was live' : 'live' }}</RouterLink
    >
    <span v-else :title="output.said">armed</span>
    <button
      v-if="output.mayStop"
      class="stop self-stretch px-2.5 bg-ink text-ground font-strong"
      :disabled="connection.lost"
      title="Ends all output, key: ."
      @click="output.stop()"
    >
      Stop all
    </button>
  </div>
</template>

<style scoped>
.output {
  display: flex;
  flex: none;
  align-items: center;
  gap: 8px;
  min-height: 28px;
  margin-right: 6px;
  padding-left: 8px;
  border: 1px solid var(--ink);
  border-radius: 3px;
  white-space: nowrap;
}
.live {
  font-weight: var(--font-weight-strong);
}
.output :deep(svg) {
  margin-top: 0;
}
.stop:disabled {
  background: none;
  color: var(--quiet);
}
/* A thumb reaches it, whatever is on the slate. */
@media (width < 800px) {
  .output {
    position: fixed;
    right: 10px;
    bottom: 10px;
    z-index: 30;
    margin: 0;
    background: var(--ground);
  }
}
@media (pointer: coarse) {
  .output {
    min-height: 44px;
  }
}
</style>
