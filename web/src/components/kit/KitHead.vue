<script setup lang="ts">
import { computed } from 'vue'
import type { UnitView } from '@/api/types'
import ConnectionState from '@/components/layout/ConnectionState.vue'
import SpineButton from '@/components/layout/SpineButton.vue'

/** How many units there are, where they are, and how much a day is short of. */
const props = defineProps<{ name?: string; units: UnitView[]; short: number; day: number }>()
defineEmits<{ spine: [] }>()
const count = (of: (u: UnitView) => boolean) => props.units.filter(of).length
const cells = computed(() => [
  { name: 'units in all', value: props.units.length },
  { name: 'on set', value: count((u) => !!u.standsIn) },
  { name: 'away', value: count((u) => !u.there && !u.inRepair) },
  { name: 'to mend', value: count((u) => u.inRepair) },
  { name: props.day ? `short on day ${props.day}` : 'short', value: props.short },
])
</script>

<template>
  <header class="flex flex-wrap items-stretch border-b border-line bg-panel pr-3">
    <SpineButton @click="$emit('spine')" />
    <div class="flex items-center gap-3 px-4 py-1">
      <h1 class="text-slate font-strong">Kit</h1>
      <p class="text-small">
        <b class="block">{{ name }}</b><span class="text-quiet">own and hired</span>
      </p>
    </div>
    <dl class="flex flex-wrap phone:hidden">
      <div v-for="c in cells" :key="c.name" class="border-l border-line px-3.5 py-1">
        <dd class="figure text-title">{{ c.value }}</dd>
        <dt class="text-small text-quiet">{{ c.name }}</dt>
      </div>
    </dl>
    <ConnectionState class="ml-auto" />
  </header>
</template>
