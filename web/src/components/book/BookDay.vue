<script setup lang="ts">
import { RouterLink } from 'vue-router'
import type { ScenePage } from '@/api/types'
import InSight from '@/components/layout/InSight.vue'
import BookShot from './BookShot.vue'

/** The shots of a day in the book, with the way to the day; without a number those that are on none. */
defineProps<{ productionId: number; number?: number; shots: ScenePage['shots'] }>()
/** What a shot takes in the list, px. */
const SHOT_PX = 54
</script>

<template>
  <section class="pb-4.5" :aria-label="number ? `Day ${number}` : 'On no day'">
    <h3 class="pb-1 text-head">
      <RouterLink v-if="number" :to="{ name: 'day', params: { production: productionId, number } }" class="underline"
        >Day {{ number }}</RouterLink
      ><template v-else>On no day</template>
    </h3>
    <p v-if="!shots.length" class="text-quiet">No shot is on it yet.</p>
    <InSight :height="shots.length * SHOT_PX">
      <ul>
        <li v-for="shot in shots" :key="shot.id"><BookShot :shot="shot" /></li>
      </ul>
    </InSight>
  </section>
</template>
