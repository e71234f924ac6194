<script setup lang="ts">
import { computed } from 'vue'
import type { AtMark, SourceAtMark, Light } from '@/api/types'
import RoseMark from '@/components/marks/RoseMark.vue'
import { fixed, signed } from '@/lib/print'
import { along } from '@/lib/screen'

/** The rose of this shot, another shot's laid over it, and in words what differs. */
const props = defineProps<{
  mark: AtMark
  light: Light
  cameraDeg?: number
  other?: { slate: string; mark: AtMark; light: Light }
  selected?: string
}>()
defineEmits<{ select: [key: string] }>()

const R0 = 16
const PER_STOP = 14.8
const SIDE = 264
const RINGS = [0, -2, -4]
const FOOT = -6
/** Below this nobody sees a difference. */
const LEAST_DEG = 3
const LEAST_STOPS = 0.15

const camera = computed(() => props.cameraDeg !== undefined && along(props.cameraDeg + 180))
const words = computed(() =>
  props.mark.from
    .filter((one) => !one.allAround && (one.facing.overStops ?? -99) > FOOT)
    .map((one) => {
      const name = props.light.sources.find((s) => s.key === one.key)?.name ?? ''
      const was = props.other?.mark.from.find((o) => o.key === one.key)
      return {
        key: one.key,
        name,
        say: props.other
          ? was
            ? differences(was, one)
            : 'not there'
          : `${Math.round(one.fromDeg)}°, ${Math.abs(Math.round(one.upDeg))}° ${one.upDeg < 0 ? 'below' : 'up'}, ${fixed(one.sizeDeg, 0)}° large`,
      }
    }),
)
function differences(was: SourceAtMark, now: SourceAtMark): string {
  const turn = ((now.fromDeg - was.fromDeg + 540) % 360) - 180
  const stops = (now.facing.overStops ?? 0) - (was.facing.overStops ?? 0)
  const size = now.sizeDeg - was.sizeDeg
  const parts = [
    Math.abs(turn) >= LEAST_DEG && `${Math.round(Math.abs(turn))}° ${turn > 0 ? 'clockwise' : 'anticlockwise'}`,
    Math.abs(size) >= LEAST_DEG / 2 && `${size > 0 ? 'softer' : 'harder'} by ${fixed(Math.abs(size), 1)}°`,
    Math.abs(stops) >= LEAST_STOPS && `${signed(stops, 1)} stops`,
  ].filter(Boolean)
  return parts.length ? parts.join(', ') : 'the same'
}
</script>

<template>
  <div class="flex flex-col min-h-0 gap-2">
    <svg
      class="drawing"
      :viewBox="`${-SIDE / 2} ${-SIDE / 2} ${SIDE} ${SIDE}`"
      role="img"
      :aria-label="`Where light comes from at ${mark.name}`"
    >
      <circle
        v-for="s in RINGS"
        :key="s"
        :r="R0 + (s - FOOT) * PER_STOP"
        fill="none"
        :stroke="s === 0 ? 'var(--quiet)' : 'var(--line)'"
      />
      <RoseMark :mark="mark" :sources="light.sources" :r0="R0" :per-stop="PER_STOP" :chosen="selected" />
      <RoseMark v-if="other" :mark="other.mark" :sources="other.light.sources" :r0="R0" :per-stop="PER_STOP" ghost />
      <circle r="12" fill="var(--raised)" stroke="var(--ink)" stroke-width="1.6" />
      <path d="M-5,-12.5L0,-20L5,-12.5Z" fill="var(--ink)" :transform="`rotate(${mark.facingDeg})`" />
      <text v-for="s in RINGS" :key="`t${s}`" :y="R0 + (s - FOOT) * PER_STOP + 4" text-anchor="middle" class="tick">
        {{ s === 0 ? '0' : `−${-s}` }}
      </text>
      <g v-if="camera" :transform="`translate(${camera.x * 122} ${camera.y * 122}) rotate(${cameraDeg ?? 0})`">
        <path d="M0,-7L6,5H-6Z" fill="var(--raised)" stroke="var(--ink)" />
        <title>camera</title>
      </g>
    </svg>
    <dl>
      <template v-for="w in words" :key="w.key"
        ><dt>
          <button class="min-h-6 min-w-6 text-left hover:underline" @click="$emit('select', w.key)">
            {{ w.name }}
          </button>
        </dt>
        <dd>{{ w.say }}</dd></template
      >
    </dl>
    <p v-if="!words.length" class="text-quiet">No light arrives from any one side.</p>
  </div>
</template>

<style scoped>
svg {
  flex: 1;
  min-height: 120px;
  width: 100%;
}
dl {
  display: grid;
  grid-template-columns: max-content 1fr;
  align-items: baseline;
  gap: 1px 12px;
  margin: 0;
  font-size: var(--text-small);
}
dt {
  font-weight: var(--font-weight-strong);
}
</style>
