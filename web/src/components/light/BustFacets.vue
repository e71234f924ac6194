<script setup lang="ts">
import { computed, shallowRef } from 'vue'
import type { BustForm, BustSeen } from '@/api/types'
import { bustForm } from '@/api/bustForm'
import { seenFacets, type Own } from '@/lib/bust'

/** A plain head with the light on it, from the front or as the camera sees it. */
const props = defineProps<{ seen: BustSeen; fromCamera?: boolean; label: string; titled?: boolean }>()
const form = shallowRef<BustForm>()
void bustForm().then((f) => (form.value = f))

const facets = computed(() => {
  if (!form.value) return []
  const { cameraTurnDeg = 0, cameraTiltDeg = 0, colours } = props.seen
  const view: [number, number] = props.fromCamera ? [cameraTurnDeg, cameraTiltDeg] : [0, 0]
  return seenFacets(form.value.facets as Own[][], ...view).map((f) => ({ ...f, colour: colours[f.index]! }))
})
</script>

<template>
  <svg class="bust" viewBox="-0.185 -0.15 0.37 0.36" role="img" :aria-label="label">
    <title v-if="titled">{{ label }}</title>
    <polygon v-for="f in facets" :key="f.index" :points="f.points" :fill="f.colour" :stroke="f.colour" />
  </svg>
</template>

<style scoped>
.bust {
  background: #08090a;
}
polygon {
  stroke-width: 0.0006;
  stroke-linejoin: round;
}
</style>
