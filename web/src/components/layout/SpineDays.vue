<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink, useRoute } from 'vue-router'
import type { ProductionPage } from '@/api/types'
import { byDay } from '@/lib/byDay'
import InSight from './InSight.vue'
import SpineShot from './SpineShot.vue'

/** The shots of a production by the day that each is planned for; those of none last. */
const props = defineProps<{ production: ProductionPage; here?: number; view: string }>()
const route = useRoute()
/** What a shot takes in the list, px. */
const SHOT_PX = 46
const days = computed(() => byDay(props.production))
</script>

<template>
  <section v-for="d in days" :key="d.number ?? 0" class="pb-3" :aria-label="d.number ? `Day ${d.number}` : 'On no day'">
    <RouterLink
      v-if="d.number"
      :to="{ name: 'day', params: { production: production.production.id, number: d.number } }"
      class="block py-0.5 pr-1 pl-4 text-lead font-strong min-h-6"
      :aria-current="route.name === 'day' && Number(route.params.number) === d.number ? 'page' : undefined"
      >Day {{ d.number }}</RouterLink
    >
    <h3 v-else class="py-0.5 pl-4 text-quiet">on no day</h3>
    <InSight :height="d.shots.length * SHOT_PX">
      <ul>
        <li v-for="shot in d.shots" :key="shot.id">
          <SpineShot :shot="shot" :view="view" :here="shot.id === here" />
        </li>
      </ul>
    </InSight>
  </section>
</template>
