<script setup lang="ts">
import { computed, ref } from 'vue'
import type { SetPlan, Survey } from '@/api/types'
import SetLayer from '@/components/plot/SetLayer.vue'
import { toPx } from '@/lib/screen'
import { wallPoints } from '@/lib/set'
import { useViewport } from '@/lib/useViewport'

/** What the photographs tell, on the plan: where each was taken from, the ways to what was tapped, and how far it strays. */
const props = defineProps<{ set: SetPlan; survey: Survey; at: number }>()
const element = ref<SVGSVGElement>()
const posed = computed(() => props.survey.photos.flatMap((p, i) => (p.pose ? [{ ...p, pose: p.pose, index: i }] : [])))
const found = computed(() => props.survey.things.flatMap((t) => (t.found ? [{ ...t, found: t.found }] : [])))
const { view } = useViewport({
  element,
  margin: 20,
  points: () => [
    ...wallPoints(props.set),
    ...props.survey.landmarks,
    ...posed.value.map((p) => p.pose.at),
    ...found.value.map((t) => t.found),
  ],
})
const px = (p: { xM: number; yM: number }) => toPx(view.value, p)
const rays = computed(() =>
  posed.value.flatMap((p) =>
    found.value
      .filter((t) => p.taps.some((tap) => tap.placement === t.key))
      .map((t) => ({ key: `${p.id} ${t.key}`, from: px(p.pose.at), to: px(t.found) })),
  ),
)
</script>

<template>
  <svg
    ref="element"
    class="block h-full w-full"
    role="img"
    :aria-label="`The plan: ${posed.length} photographs placed, ${found.length} things found`"
  >
    <SetLayer :set="set" :view="view" :named="[]" />
    <line
      v-for="r in rays"
      :key="r.key"
      :x1="r.from.x"
      :y1="r.from.y"
      :x2="r.to.x"
      :y2="r.to.y"
      stroke="var(--quiet)"
      stroke-width="1"
      stroke-dasharray="2 4"
    />
    <g
      v-for="p in posed"
      :key="p.id"
      :transform="`translate(${px(p.pose.at).x} ${px(p.pose.at).y}) rotate(${p.pose.bearingDeg})`"
    >
      <path
        d="M-7 6L0 -9L7 6Z"
        :fill="p.index === at ? 'var(--accent)' : 'var(--ground)'"
        stroke="var(--ink)"
        stroke-width="1.5"
      />
      <text :transform="`rotate(${-p.pose.bearingDeg})`" x="10" y="14" fill="var(--ink)" font-size="12">
        {{ p.index + 1 }}
      </text>
    </g>
    <g v-for="t in found" :key="t.key">
      <line
        v-if="t.recorded && t.isElsewhere"
        :x1="px(t.recorded).x"
        :y1="px(t.recorded).y"
        :x2="px(t.found).x"
        :y2="px(t.found).y"
        stroke="var(--ink)"
        stroke-width="1.5"
      />
      <ellipse
        :transform="`translate(${px(t.found).x} ${px(t.found).y}) rotate(${t.floor!.bearingDeg})`"
        :rx="Math.max(3, t.floor!.shortM * view.scale)"
        :ry="Math.max(3, t.floor!.longM * view.scale)"
        fill="none"
        stroke="var(--accent)"
        stroke-width="1.5"
      />
      <g v-if="t.helpFrom" :transform="`translate(${px(t.helpFrom).x} ${px(t.helpFrom).y})`">
        <circle r="7" fill="none" stroke="var(--ink)" stroke-width="1.5" stroke-dasharray="3 3" />
        <text x="10" y="4" fill="var(--quiet)" font-size="12">for {{ t.name }}</text>
      </g>
      <circle :cx="px(t.found).x" :cy="px(t.found).y" r="2.5" fill="var(--accent)" />
      <text :x="px(t.found).x + 8" :y="px(t.found).y - 6" fill="var(--ink)" font-size="12">{{ t.name }}</text>
    </g>
  </svg>
</template>
