<script setup lang="ts">
import { computed, ref } from 'vue'
import type { SetPlan, Survey } from '@/api/types'
import SetLayer from '@/components/plot/SetLayer.vue'
import { around, placeLabels } from '@/lib/labels'
import { toPx } from '@/lib/screen'
import { wallPoints } from '@/lib/set'
import { useViewport } from '@/lib/useViewport'

/** What the photographs tell, on the plan: where each was taken from, the ways to what was tapped, and how far it strays. */
const props = defineProps<{ set: SetPlan; survey: Survey; at: number }>()
const element = ref<SVGSVGElement>()
const posed = computed(() => props.survey.photos.flatMap((p, i) => (p.pose ? [{ ...p, pose: p.pose, index: i }] : [])))
/** Another place that the photograph which is tapped in could have been taken from. */
const other = computed(() => props.survey.photos[props.at]?.other)
const found = computed(() =>
  [
    ...props.survey.things.map((t) => ({
      ...t,
      kind: 'placement' as const,
      recorded: t.isElsewhere ? t.recorded : undefined,
    })),
    ...props.survey.landmarks.map((l) => ({
      ...l,
      kind: 'landmark' as const,
      key: l.name,
      aim: undefined,
      recorded: undefined,
    })),
  ].flatMap(({ found: point, ...t }) =>
    point?.at ? [{ ...t, at: point.at, floor: point.floor!, helpFrom: point.helpFrom }] : [],
  ),
)
const { view, size } = useViewport({
  element,
  margin: 20,
  points: () => [
    ...wallPoints(props.set),
    ...props.survey.landmarks.flatMap((l) => l.at ?? []),
    ...posed.value.map((p) => p.pose.at),
    ...(other.value ? [other.value.at] : []),
    ...found.value.map((t) => t.at),
  ],
})
const px = (p: { xM: number; yM: number }) => toPx(view.value, p)
const keyOf = (t: { kind: string; key: string }) => `${t.kind} ${t.key}`
const LETTER_PX = 6.6
const LINE_PX = 14
const names = computed(() =>
  placeLabels(
    found.value.map((t) => ({
      key: keyOf(t),
      at: px(t.at),
      clear: { x: 4, y: 4 },
      width: LETTER_PX * t.name.length,
      height: LINE_PX,
      needed: true,
    })),
    posed.value.map((p) => around(px(p.pose.at), { x: 9, y: 9 })),
    { left: 0, top: 0, right: size.value.width, bottom: size.value.height },
  ),
)
const rays = computed(() =>
  posed.value.flatMap((p) =>
    found.value
      .filter((t) => p.taps.some((tap) => tap[t.kind] === t.key))
      .map((t) => ({ key: `${p.id} ${keyOf(t)}`, from: px(p.pose.at), to: px(t.at) })),
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
    <path
      v-if="other"
      :transform="`translate(${px(other.at).x} ${px(other.at).y}) rotate(${other.bearingDeg})`"
      d="M-7 6L0 -9L7 6Z"
      fill="none"
      stroke="var(--ink)"
      stroke-width="1.5"
      stroke-dasharray="3 2"
    />
    <g v-for="t in found" :key="keyOf(t)">
      <line
        v-if="t.recorded"
        :x1="px(t.recorded).x"
        :y1="px(t.recorded).y"
        :x2="px(t.at).x"
        :y2="px(t.at).y"
        stroke="var(--ink)"
        stroke-width="1.5"
      />
      <ellipse
        :transform="`translate(${px(t.at).x} ${px(t.at).y}) rotate(${t.floor.bearingDeg})`"
        :rx="Math.max(3, t.floor.shortM * view.scale)"
        :ry="Math.max(3, t.floor.longM * view.scale)"
        fill="none"
        stroke="var(--accent)"
        stroke-width="1.5"
      />
      <g v-if="t.helpFrom" :transform="`translate(${px(t.helpFrom).x} ${px(t.helpFrom).y})`">
        <circle r="7" fill="none" stroke="var(--ink)" stroke-width="1.5" stroke-dasharray="3 3" />
        <text x="10" y="4" fill="var(--quiet)" font-size="12">for {{ t.name }}</text>
      </g>
      <path
        v-if="t.aim?.bearingDeg !== undefined"
        :transform="`translate(${px(t.at).x} ${px(t.at).y}) rotate(${t.aim.bearingDeg})`"
        d="M0 -4V-26M-4 -20L0 -27L4 -20"
        fill="none"
        stroke="var(--accent)"
        stroke-width="1.5"
      />
      <circle :cx="px(t.at).x" :cy="px(t.at).y" r="2.5" fill="var(--accent)" />
      <text
        v-if="names.get(keyOf(t))"
        :x="names.get(keyOf(t))!.x"
        :y="names.get(keyOf(t))!.y + 11"
        :text-anchor="names.get(keyOf(t))!.anchor"
        fill="var(--ink)"
        font-size="12"
      >
        {{ t.name }}
      </text>
    </g>
  </svg>
</template>
