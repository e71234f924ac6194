<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Phrase } from '@/api/types'
import { fixed } from '@/lib/print'
import { gap, toPlan, toPx, type View } from '@/lib/screen'
import { usePointerDrag } from '@/lib/usePointerDrag'
import { useSize } from '@/lib/useSize'
import { useSettings } from '@/stores/settings'

/** Two landmarks and a stand from above, or a mark, a camera and what stands off the way between them. The stand is dragged. */
const props = defineProps<{
  picture: TapePicture
  /** From a mark, and not by two tapes. */ polar: boolean
  names: string[]
  told: string
}>()
const emit = defineEmits<{ put: [x: number, y: number] }>()
const settings = useSettings()

const element = ref<SVGSVGElement>()
const size = useSize(element)
const MARGIN = 70
const HEIGHT = 470
const plan = (p: { x: number; y: number }) => ({ xM: p.x, yM: p.y })
const view = computed<View>(() => {
  const p = props.picture
  if (!size.value.width) return { scale: 50, x: 0, y: 0 }
  const xs = [p.a.x, p.b.x, p.point.x]
  const ys = [p.a.y, p.b.y, p.point.y]
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  const scale = Math.min(
    (size.value.width - 2 * MARGIN) / Math.max(1, right - left),
    (HEIGHT - 2 * MARGIN) / Math.max(1, high - low),
  )
  return { scale, x: size.value.width / 2 - ((left + right) / 2) * scale, y: HEIGHT / 2 + ((low + high) / 2) * scale }
})
const drawn = computed(() => {
  const p = props.picture
  const [a, b, point] = [p.a, p.b, p.point].map((one) => toPx(view.value, plan(one))) as [
    ReturnType<typeof toPx>,
    ReturnType<typeof toPx>,
    ReturnType<typeof toPx>,
  ]
  const toward = (to: typeof a, px: number) => {
    const way = gap(point, to) || 1
    return { x: point.x + ((to.x - point.x) / way) * px, y: point.y + ((to.y - point.y) / way) * px }
  }
  const [arcA, arcB] = [toward(a, 34), toward(b, 34)]
  const sweep = (arcA.x - point.x) * (arcB.y - point.y) - (arcA.y - point.y) * (arcB.x - point.x) > 0 ? 1 : 0
  return {
    a,
    b,
    point,
    arc: `M${arcA.x},${arcA.y}A34,34 0 0 ${sweep} ${arcB.x},${arcB.y}`,
    middle: toward({ x: (arcA.x + arcB.x) / 2, y: (arcA.y + arcB.y) / 2 }, 58),
  }
})
/** Dragging the stand asks the other way round: what its tapes are. */
const grab = usePointerDrag({
  element: () => element.value,
  onMove({ at }) {
    const p = toPlan(view.value, at)
    emit('put', p.xM, p.yM)
  },
})
function nudge(event: KeyboardEvent) {
  const by = { ArrowLeft: [-0.05, 0], ArrowRight: [0.05, 0], ArrowUp: [0, 0.05], ArrowDown: [0, -0.05] }[event.key]
  if (!by) return
  event.preventDefault()
  emit('put', props.picture.point.x + by[0]!, props.picture.point.y + by[1]!)
}
</script>

<script lang="ts">
export interface TapePicture {
  a: { x: number; y: number }
  b: { x: number; y: number }
  point: { x: number; y: number }
  tapes: [number, number]
  /** The tapes, the stand right and up, and how far off it may be. */
  said: Phrase[]
  angle: number
  quality: string
  side: string
  error?: Phrase
}
</script>

<template>
  <svg
    ref="element"
    class="drawing block w-full shrink-0"
    :height="HEIGHT"
    role="group"
    aria-label="Two landmarks and the stand, from above"
  >
    <template v-if="drawn">
      <circle
        v-for="(l, i) in [drawn.a, drawn.b]"
        :key="`c${i}`"
        :cx="l.x"
        :cy="l.y"
        :r="picture.tapes[i]! * view.scale"
        fill="none"
        stroke="var(--line)"
      />
      <path :d="`M${drawn.a.x},${drawn.a.y}L${drawn.b.x},${drawn.b.y}`" stroke="var(--set)" stroke-dasharray="2 4" />
      <path
        v-for="(l, i) in polar ? [drawn.a] : [drawn.a, drawn.b]"
        :key="`t${i}`"
        :d="`M${l.x},${l.y}L${drawn.point.x},${drawn.point.y}`"
        stroke="var(--accent)"
        stroke-width="1.4"
      />
      <template v-if="!polar">
        <path :d="drawn.arc" fill="none" stroke="var(--ink)" />
        <text :x="drawn.middle.x" :y="drawn.middle.y + 4" text-anchor="middle" class="figure">
          {{ fixed(picture.angle, 0) }}°
        </text>
      </template>
      <g v-for="(l, i) in [drawn.a, drawn.b]" :key="`l${i}`">
        <rect
          :x="l.x - 4.5"
          :y="l.y - 4.5"
          width="9"
          height="9"
          fill="var(--ground)"
          stroke="var(--accent)"
          stroke-width="1.4"
        />
        <path :d="`M${l.x - 4.5},${l.y + 4.5}l9,-9`" stroke="var(--accent)" stroke-width="1.4" />
        <text :x="l.x" :y="l.y + 28" text-anchor="middle" class="letter">{{ names[i] }}</text>
        <text :x="(l.x + drawn.point.x) / 2" :y="(l.y + drawn.point.y) / 2" text-anchor="middle" class="figure length">
          {{ polar && i ? '' : picture.said[i]![settings.units] }}
        </text>
      </g>
      <path
        :d="`M${drawn.point.x},${drawn.point.y}v-13m0,13l11.3,6.5m-11.3,-6.5l-11.3,6.5`"
        stroke="var(--ink)"
        stroke-width="1.6"
      />
      <circle
        :cx="drawn.point.x"
        :cy="drawn.point.y"
        r="22"
        class="handle"
        tabindex="0"
        role="button"
        data-handle="stand"
        :aria-label="`The stand. ${told}`"
        @pointerdown="grab($event, undefined)"
        @keydown="nudge"
      />
    </template>
  </svg>
</template>

<style scoped>
.drawing .letter {
  font-size: var(--text-head);
  font-weight: var(--font-weight-strong);
}
.drawing .length {
  font-size: var(--text-lead);
}
</style>
