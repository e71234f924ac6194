<script setup lang="ts">
import { computed } from 'vue'
import { RouterLink } from 'vue-router'
import { value, type Placed, type HintView } from '@/api/types'
import { seen, type Lens } from '@/lib/frame'
import { useFrame } from '@/lib/useFrame'
import { useLight } from '@/stores/light'

/** What the camera sees, small, beside the plan: the predicted picture, and over it what stands in it and should not, which is named. */
const props = defineProps<{
  shotId: number
  placements: Placed[]
  camera?: Placed
  hints: HintView[]
  selected?: string
  /** Something is under a finger: the picture waits until it is let go. */
  held: boolean
}>()
defineEmits<{ select: [key: string] }>()
const light = useLight()

const WIDE = 192
const HIGH = 108
const PERSON_HEAD_M = 0.12
const MOST_NAMED = 4

const lens = computed<Lens | undefined>(() => {
  const at = props.camera && value(props.camera, 'PLACE')
  const height = props.camera && value(props.camera, 'HEIGHT')
  return at && height && props.camera?.aim && props.camera.viewDeg
    ? {
        at,
        heightM: height.heightM,
        bearingDeg: props.camera.aim.bearingDeg,
        tiltDeg: props.camera.aim.tiltDeg,
        viewDeg: props.camera.viewDeg,
      }
    : undefined
})
const { frame, refused } = useFrame(() =>
  lens.value && light.light?.camera && !props.held
    ? { shotId: props.shotId, body: { ...light.question, width: WIDE, of: 'LIGHT', perStop: 0, touched: [] } }
    : undefined,
)
/** Names lie on each other when much stands in the picture: the list of hints tells them then. */
const crowd = computed(() => things.value.filter((t) => t.inFrame).length)
const things = computed(() =>
  props.placements.flatMap((placed) => {
    const place = value(placed, 'PLACE')
    const height = value(placed, 'HEIGHT')?.heightM
    if (!lens.value || !placed.onSet || !place || height === undefined || placed.placement.kind === 'CAMERA') return []
    const spot = seen(lens.value, { ...place, zM: height })
    if (!spot || Math.abs(spot.x) > 1.4 || Math.abs(spot.y) > 1.4) return []
    const tan = Math.tan(((lens.value.viewDeg / 2) * Math.PI) / 180)
    const wide = (m: number) => Math.max(3, (m / (spot.depth * tan)) * (WIDE / 2))
    const mark = placed.placement.kind === 'MARK'
    const inFrame = props.hints.some((h) => h.placement === placed.placement.key && h.kind === 'IN_FRAME')
    if (!mark && !inFrame && placed.placement.key !== props.selected) return []
    return [
      {
        key: placed.placement.key,
        name: placed.placement.name,
        mark,
        inFrame,
        x: ((spot.x + 1) / 2) * WIDE,
        y: ((1 - spot.y) / 2) * HIGH,
        r: wide(mark ? 2 * PERSON_HEAD_M : placed.placement.piece.widthM) / 2,
      },
    ]
  }),
)
</script>

<template>
  <figure class="m-0" aria-label="What the camera frames">
    <svg
      v-if="lens"
      :viewBox="`0 0 ${WIDE} ${HIGH}`"
      :width="WIDE"
      :height="HIGH"
      class="frame drawing"
      role="img"
      :aria-label="`The frame. In picture: ${
        things
          .filter((t) => t.inFrame)
          .map((t) => t.name)
          .join(', ') || 'no lights or grip'
      }`"
    >
      <image v-if="frame" :href="frame.picture" :width="WIDE" :height="HIGH" />
      <g v-for="t in things" :key="t.key" class="thing" aria-hidden="true" @click="$emit('select', t.key)">
        <circle v-if="t.mark" :cx="t.x" :cy="t.y" :r="t.r" class="reach" />
        <rect
          v-else
          :x="t.x - t.r"
          :y="t.y - Math.max(2, t.r * 0.6)"
          :width="2 * t.r"
          :height="Math.max(4, t.r * 1.2)"
          :stroke="t.key === selected ? '#d8e08a' : '#e6e3dc'"
          :stroke-width="t.inFrame ? 1.6 : 0.8"
        />
        <text
          v-if="t.inFrame && crowd <= MOST_NAMED"
          :x="Math.max(24, Math.min(WIDE - 24, t.x))"
          :y="Math.max(12, Math.min(HIGH - 4, t.y - t.r - 4))"
          text-anchor="middle"
          class="name"
        >
          {{ t.name }}
        </text>
        <title>{{ t.name }}</title>
      </g>
    </svg>
    <RouterLink v-if="lens" :to="{ name: 'frame', params: { id: shotId } }" class="more text-fine">
      {{ frame ? 'Predicted picture' : refused || 'Working out the picture…' }}
    </RouterLink>
    <p v-else class="p-2 text-fine text-quiet">Give the camera a place, an aim and a lens to see its frame.</p>
  </figure>
</template>

<style scoped>
figure {
  position: relative;
}
.frame {
  display: block;
  background: #08090a;
  border: 1px solid var(--quiet);
  overflow: hidden;
  fill: none;
}
.more {
  position: absolute;
  right: 0;
  bottom: 0;
  display: flex;
  align-items: flex-end;
  justify-content: flex-end;
  min-width: 96px;
  min-height: 24px;
  padding: 0 5px 3px;
  color: #e6e3dc;
  text-shadow:
    0 0 3px #101214,
    0 0 3px #101214;
}
@media (pointer: coarse) {
  .more {
    min-height: 44px;
  }
}
.more:hover {
  text-decoration: underline;
}
.thing {
  cursor: pointer;
}
.reach {
  fill: transparent;
}
.drawing .name {
  font-size: var(--text-fine);
  fill: #e6e3dc;
  stroke: #101214;
  stroke-width: 3px;
  paint-order: stroke;
}
</style>
