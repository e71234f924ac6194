<script setup lang="ts">
import { computed } from 'vue'
import type { DayFeeds } from '@/api/types'
import WhatLower from '@/components/power/WhatLower.vue'

/** How many batteries have to be full, and what if it were otherwise. */
const props = defineProps<{ feeds: DayFeeds; mains: string[] }>()
defineEmits<{ mains: [unit: string] }>()
const lower = defineModel<number>('lower', { required: true })
const full = computed(() => props.feeds.full.map((f) => `${f.count} × ${Math.round(f.wattHours)} Wh`).join(', '))
const tried = computed(() => props.feeds.lowerStops > 0 || props.mains.length > 0)
</script>

<template>
  <section aria-label="Batteries and circuits">
    <h2 v-if="feeds.batteries.length">Full in the morning{{ tried ? ', if so' : '' }}: {{ full || 'none' }}</h2>
    <p v-if="feeds.unsaid.length" class="text-quiet">
      Nobody said the watt hours of the batteries of {{ feeds.unsaid.join(', ') }}: they are not counted.
    </p>
    <p class="text-small text-quiet">What if all lights were</p>
    <WhatLower v-model="lower" />
    <p v-if="feeds.batteries.length" class="flex flex-wrap items-center gap-1">
      <span class="text-small text-quiet">from the mains</span>
      <button
        v-for="b in feeds.batteries"
        :key="b.unit"
        class="button !px-2"
        :aria-pressed="b.mains"
        :aria-label="`${b.unit} from the mains`"
        @click="$emit('mains', b.unit)"
      >
        {{ b.unit }}
      </button>
    </p>
    <p class="text-fine text-quiet">
      Estimates (model: lights on from set-up to last take, nine tenths of a battery). An electrician decides.
    </p>
  </section>
</template>

<style scoped>
h2 {
  font-weight: var(--font-weight-strong);
}
</style>
