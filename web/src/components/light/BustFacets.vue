<script setup lang="ts">
import { computed, shallowRef } from 'vue'
import type { BustForm, BustSeen } from '@/api/types'
import { bustForm } from '@/api/bustForm'
import { seenFacets, seenPoint, type Own } from '@/lib/bust'

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

/** Balls of 12 mm in the sockets; a light in them is drawn where it is mirrored, larger than it is. */
const EYE_M = 0.006
const eyes = computed(() => {
  const { cameraTurnDeg = 0, cameraTiltDeg = 0, eyeLights } = props.seen
  const view: [number, number] = props.fromCamera ? [cameraTurnDeg, cameraTiltDeg] : [0, 0]
  return ([1, -1] as const).flatMap((side) => {
    const ball = seenPoint([0.078, side * 0.031, 0], ...view)
    if (Math.abs(view[0]) > 50 && Math.sign(view[0]) === side) return [] // behind the nose
    const lights = eyeLights
      .filter((l) => (side > 0 ? l.inLeft : l.inRight))
      .slice(0, 3)
      .map((l) => seenPoint([0.078 + EYE_M, side * 0.031 + l.leftOnIt * EYE_M, l.upOnIt * EYE_M], ...view))
    return [{ side, ...ball, lights }]
  })
})
</script>

<template>
  <svg class="bust" viewBox="-0.185 -0.15 0.37 0.36" role="img" :aria-label="label">
    <title v-if="titled">{{ label }}</title>
    <polygon v-for="f in facets" :key="f.index" :points="f.points" :fill="f.colour" :stroke="f.colour" />
    <g v-for="eye in eyes" :key="eye.side">
      <circle :cx="eye.x" :cy="eye.y" :r="EYE_M" class="ball" />
      <circle v-for="(l, i) in eye.lights" :key="i" :cx="l.x" :cy="l.y" :r="i ? 0.0011 : 0.0016" class="light" />
    </g>
  </svg>
</template>

<style scoped>
.bust {
  background: #08090a;
}
polygon {
  stroke-width: 0.0018;
  stroke-linejoin: round;
}
.ball {
  fill: #16181a;
  fill-opacity: 0.72;
}
.light {
  fill: #f4f2ec;
}
</style>
