<script setup lang="ts">
import { RouterLink } from 'vue-router'

/** The views of one shot; what a view can do stands at the right. Book and Bench are in the spine. */
defineProps<{ shotId: number }>()
</script>

<template>
  <div class="tabs">
    <nav aria-label="Views of this shot" class="flex h-full">
      <RouterLink :to="{ name: 'plot', params: { id: shotId } }" class="tab" active-class="here">Plot</RouterLink>
      <RouterLink :to="{ name: 'light', params: { id: shotId } }" class="tab" active-class="here">Light</RouterLink>
      <RouterLink :to="{ name: 'carry', params: { id: shotId } }" class="tab" active-class="here">Carry</RouterLink>
      <RouterLink :to="{ name: 'meter', params: { id: shotId } }" class="tab" active-class="here">Meter</RouterLink>
      <RouterLink :to="{ name: 'match', params: { id: shotId } }" class="tab" active-class="here">Match</RouterLink>
      <RouterLink :to="{ name: 'rebuild', params: { id: shotId } }" class="tab" active-class="here">Rebuild</RouterLink>
      <RouterLink :to="{ name: 'patch', params: { id: shotId } }" class="tab" active-class="here">Patch</RouterLink>
      <RouterLink :to="{ name: 'recall', params: { id: shotId } }" class="tab" active-class="here">Recall</RouterLink>
      <RouterLink :to="{ name: 'log', params: { id: shotId } }" class="tab" active-class="here">Log</RouterLink>
    </nav>
    <div class="ml-auto flex flex-wrap items-center gap-2"><slot /></div>
  </div>
</template>

<style scoped>
.tabs {
  display: flex;
  align-items: center;
  height: 40px;
  padding: 0 14px 0 6px;
  border-bottom: 1px solid var(--line);
}
@media (width < 800px) {
  .tabs {
    flex-wrap: wrap;
    height: auto;
    padding-bottom: 6px;
  }
  .tabs nav {
    height: 44px;
  }
}
</style>
