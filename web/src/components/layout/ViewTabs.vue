<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import TabRow from './TabRow.vue'

/** The views of one shot; what a view can do stands at the right. Book and Bench are in the spine. */
const props = defineProps<{ shotId: number }>()

/** On a phone one looks, rebuilds and meters. */
const FIRST = ['plot', 'rebuild', 'meter']
const VIEWS = [
  { key: 'plot', name: 'Plot' },
  { key: 'light', name: 'Light' },
  { key: 'carry', name: 'Carry' },
  { key: 'meter', name: 'Meter' },
  { key: 'match', name: 'Match' },
  { key: 'rebuild', name: 'Rebuild' },
  { key: 'patch', name: 'Patch' },
  { key: 'recall', name: 'Recall' },
  { key: 'log', name: 'Log' },
]
const route = useRoute()
const tabs = computed(() => VIEWS.map((v) => ({ ...v, to: { name: v.key, params: { id: props.shotId } } })))
</script>

<template>
  <div class="bar">
    <TabRow class="tabs" :tabs="tabs" :here="String(route.name)" :first="FIRST" label="Views of this shot" />
    <div class="actions"><slot /></div>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  min-height: 40px;
  padding: 0 14px 0 6px;
  border-bottom: 1px solid var(--line);
}
.tabs {
  flex: 1 1 300px;
  align-self: stretch;
  min-width: 0;
}
.actions {
  display: flex;
  flex: 0 1 auto;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  min-width: 0;
  margin-left: auto;
  padding: 3px 0;
}
.actions:empty {
  display: none;
}
</style>
