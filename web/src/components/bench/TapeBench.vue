<script setup lang="ts">
import { computed, ref } from 'vue'
import { answer, api } from '@/api/client'
import type { Phrase } from '@/api/types'
import BenchField from '@/components/bench/BenchField.vue'
import BenchFrame from '@/components/bench/BenchFrame.vue'
import ChoiceField from '@/components/dialogs/ChoiceField.vue'
import { say } from '@/lib/figures'
import { fixed } from '@/lib/print'
import { written } from '@/lib/scales'
import { gap, toPlan, toPx, type View } from '@/lib/screen'
import { useBench, type BenchField as Field, type Values } from '@/lib/useBench'
import { usePointerDrag } from '@/lib/usePointerDrag'
import { useSize } from '@/lib/useSize'
import { useSettings } from '@/stores/settings'

interface Picture {
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

const settings = useSettings()
const unit = computed(() => (settings.units === 'imperial' ? 'ft' : 'm'))
const SIDES = [
  { key: 'LEFT', name: 'left of the walk from A to B' },
  { key: 'RIGHT', name: 'right of the walk from A to B' },
]
const WAYS = [
  { key: 'IN', name: 'two tapes give the stand' },
  { key: 'OUT', name: 'the stand gives two tapes' },
]

const STAND: Record<string, Field> = {
  px: { kind: 'LENGTH', start: '1.80 m' },
  py: { kind: 'LENGTH', start: '2.40 m' },
}
const TAPES: Record<string, Field> = {
  distanceAM: { kind: 'LENGTH', start: '3.00 m' },
  distanceBM: { kind: 'LENGTH', start: '4.00 m' },
  side: { start: 'LEFT' },
  tapeErrorM: { kind: 'LENGTH', start: '0.01 m' },
}

const { text, problems, problem, picture, stale } = useBench<Picture>({
  fields: (now) => ({
    way: { start: 'IN' },
    ax: { kind: 'LENGTH', start: '0 m' },
    ay: { kind: 'LENGTH', start: '0 m' },
    bx: { kind: 'LENGTH', start: '5.00 m' },
    by: { kind: 'LENGTH', start: '0 m' },
    ...(now.way === 'OUT' ? STAND : TAPES),
  }),
  draw,
})

async function draw(v: Values): Promise<Picture> {
  const a = { x: v.ax!, y: v.ay! }
  const b = { x: v.bx!, y: v.by! }
  if (text.way === 'OUT') {
    const point = { x: v.px!, y: v.py! }
    const out = await answer(
      api.POST('/api/bench/tape-out', {
        body: {
          point,
          landmarks: [
            { name: 'A', ...a },
            { name: 'B', ...b },
          ],
        },
      }),
    )
    const said = await say('LENGTH', [out.distanceAM, out.distanceBM, point.x, point.y])
    return {
      a,
      b,
      point,
      tapes: [out.distanceAM, out.distanceBM],
      said,
      angle: out.crossingAngleDeg,
      quality: out.quality,
      side: out.side,
    }
  }
  const fix = await answer(
    api.POST('/api/bench/tape', {
      body: {
        a,
        b,
        distanceAM: v.distanceAM,
        distanceBM: v.distanceBM,
        side: text.side as 'LEFT' | 'RIGHT',
        tapeErrorM: v.tapeErrorM,
      },
    }),
  )
  const said = await say('LENGTH', [v.distanceAM!, v.distanceBM!, fix.x, fix.y])
  return {
    a,
    b,
    point: { x: fix.x, y: fix.y },
    tapes: [v.distanceAM!, v.distanceBM!],
    said,
    angle: fix.crossingAngleDeg,
    quality: fix.quality,
    side: text.side!,
    error: fix.positionError,
  }
}

const element = ref<SVGSVGElement>()
const size = useSize(element)
const MARGIN = 70
const HEIGHT = 470
const plan = (p: { x: number; y: number }) => ({ xM: p.x, yM: p.y })
const view = computed<View>(() => {
  const p = picture.value
  if (!p || !size.value.width) return { scale: 50, x: 0, y: 0 }
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
  const p = picture.value
  if (!p) return undefined
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
    put(p.xM, p.yM)
  },
})
function put(x: number, y: number) {
  text.way = 'OUT'
  text.px = written(x, settings.units)
  text.py = written(y, settings.units)
}
function nudge(event: KeyboardEvent) {
  const by = { ArrowLeft: [-0.05, 0], ArrowRight: [0.05, 0], ArrowUp: [0, 0.05], ArrowDown: [0, -0.05] }[event.key]
  if (!by || !picture.value) return
  event.preventDefault()
  put(picture.value.point.x + by[0]!, picture.value.point.y + by[1]!)
}
const QUALITY: Record<string, string> = { GOOD: 'good', FAIR: 'fair', POOR: 'poor: choose other landmarks' }
const told = computed(() => {
  const p = picture.value
  if (!p) return ''
  const [a, b, x, y] = p.said.map((one) => one[settings.units])
  const error = p.error ? ` Within ${settings.printed(p.error)} (model).` : ''
  return `A ${a}, B ${b}, to the ${p.side.toLowerCase()} of the walk from A to B: the stand is ${x} right, ${y} up. The tapes cross at ${fixed(p.angle, 0)}°, ${QUALITY[p.quality]}.${error}`
})
</script>

<template>
  <BenchFrame
    title="Tape"
    hint="drag the stand, or type what the tapes read"
    :stale="stale"
    :problem="problem"
    :summary="told"
  >
    <svg
      ref="element"
      class="drawing block w-full shrink-0"
      :height="HEIGHT"
      role="group"
      aria-label="Two landmarks and the stand, from above"
    >
      <template v-if="drawn && picture">
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
          v-for="(l, i) in [drawn.a, drawn.b]"
          :key="`t${i}`"
          :d="`M${l.x},${l.y}L${drawn.point.x},${drawn.point.y}`"
          stroke="var(--accent)"
          stroke-width="1.4"
        />
        <path :d="drawn.arc" fill="none" stroke="var(--ink)" />
        <text :x="drawn.middle.x" :y="drawn.middle.y + 4" text-anchor="middle" class="figure">
          {{ fixed(picture.angle, 0) }}°
        </text>
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
          <text :x="l.x" :y="l.y + 28" text-anchor="middle" class="letter">{{ i ? 'B' : 'A' }}</text>
          <text
            :x="(l.x + drawn.point.x) / 2"
            :y="(l.y + drawn.point.y) / 2"
            text-anchor="middle"
            class="figure length"
          >
            {{ picture.said[i]![settings.units] }}
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
    <p class="px-4 pb-3" data-found="tape">{{ told }}</p>
    <template #fields>
      <slot />
      <ChoiceField v-model="text.way!" label="which way round" :options="WAYS" />
      <h3 class="group-title mt-2 mb-1">Landmarks: right, then up</h3>
      <BenchField v-model="text.ax!" label="A, right" :unit="unit" :problem="problems.ax" />
      <BenchField v-model="text.ay!" label="A, up" :unit="unit" :problem="problems.ay" />
      <BenchField v-model="text.bx!" label="B, right" :unit="unit" :problem="problems.bx" />
      <BenchField v-model="text.by!" label="B, up" :unit="unit" :problem="problems.by" />
      <template v-if="text.way === 'OUT'">
        <h3 class="group-title mt-3 mb-1">The stand</h3>
        <BenchField v-model="text.px!" label="right" :unit="unit" :problem="problems.px" />
        <BenchField v-model="text.py!" label="up" :unit="unit" :problem="problems.py" />
      </template>
      <template v-else>
        <h3 class="group-title mt-3 mb-1">Tapes</h3>
        <BenchField v-model="text.distanceAM!" label="from A" :unit="unit" :problem="problems.distanceAM" />
        <BenchField v-model="text.distanceBM!" label="from B" :unit="unit" :problem="problems.distanceBM" />
        <ChoiceField v-model="text.side!" label="the stand is" :options="SIDES" />
        <BenchField v-model="text.tapeErrorM!" label="tape error, ±" :unit="unit" :problem="problems.tapeErrorM" />
      </template>
    </template>
  </BenchFrame>
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
