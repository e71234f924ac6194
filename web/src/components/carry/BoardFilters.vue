<script setup lang="ts">
import { computed } from 'vue'
import type { BoardRow } from '@/api/types'
import type { BoardFilter } from '@/lib/board'
import { DEPARTMENTS, ROLES } from '@/lib/words'

/** Which rows of the board are shown, and how close they stand. */
const props = defineProps<{ rows: BoardRow[] }>()
const filter = defineModel<BoardFilter>('filter', { required: true })
const compact = defineModel<boolean>('compact', { required: true })
const roles = computed(() => ROLES.filter((r) => props.rows.some((b) => b.placement.role === r.key)))
const departments = DEPARTMENTS.filter((d) => ['ELECTRIC', 'GRIP', 'CAMERA'].includes(d.key))
</script>

<template>
  <div
    class="filters flex flex-wrap items-center gap-y-1.5 gap-x-3 py-1.25 px-3.5 border-b border-line"
    role="search"
    aria-label="Filter the board"
  >
    <input
      v-model="filter.text"
      class="field !w-44"
      placeholder="Find by name, role or kind"
      aria-label="Find on the board"
    />
    <select v-model="filter.department" class="field !w-32" aria-label="Department">
      <option value="">every department</option>
      <option v-for="d in departments" :key="d.key" :value="d.key">
        {{ d.name }}
      </option>
    </select>
    <select v-model="filter.role" class="field !w-32" aria-label="Role">
      <option value="">every role</option>
      <option v-for="r in roles" :key="r.key" :value="r.key">{{ r.name }}</option>
    </select>
    <label class="check"><input v-model="filter.changed" type="checkbox" /> changed only</label>
    <label class="check"><input v-model="filter.cheats" type="checkbox" /> cheats only</label>
    <label class="check ml-auto"><input v-model="compact" type="checkbox" /> compact</label>
  </div>
</template>

<style scoped>
.check {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  font-size: var(--text-small);
}
@media (width < 800px) {
  .filters select,
  .filters .ml-auto {
    display: none;
  }
}
</style>
