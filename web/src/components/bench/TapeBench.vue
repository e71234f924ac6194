<script setup lang="ts">
import { computed } from 'vue'
import { answer, api } from '@/api/client'
import BenchField from '@/components/bench/BenchField.vue'
import BenchFrame from '@/components/bench/BenchFrame.vue'
import TapeDrawing, { type TapePicture } from '@/components/bench/TapeDrawing.vue'
import ChoiceField from '@/components/dialogs/ChoiceField.vue'
import { say } from '@/lib/figures'
import { fixed } from '@/lib/print'
import { written } from '@/lib/scales'
import { useBench, type BenchField as Field, type Values } from '@/lib/useBench'
import { useSettings } from '@/stores/settings'

const settings = useSettings()
const unit = computed(() => (settings.units === 'imperial' ? 'ft' : 'm'))
const SIDES = [
  { key: 'LEFT', name: 'left of the walk from A to B' },
  { key: 'RIGHT', name: 'right of the walk from A to B' },
]
const WAYS = [
  { key: 'IN', name: 'two tapes give the stand' },
  { key: 'OUT', name: 'the stand gives two tapes' },
  { key: 'POLAR', name: 'from a mark, off the way to the camera' },
]
const CAMERA_SIDES = [
  { key: 'LEFT', name: 'camera left, as one looks through it' },
  { key: 'RIGHT', name: 'camera right, as one looks through it' },
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

const POLAR: Record<string, Field> = {
  distanceM: { kind: 'LENGTH', start: '2.50 m' },
  offDeg: { kind: 'NUMBER', start: '45' },
  side: { start: 'LEFT' },
}

const { text, problems, problem, picture, stale } = useBench<TapePicture>({
  fields: (now) => ({
    way: { start: 'IN' },
    ax: { kind: 'LENGTH', start: '0 m' },
    ay: { kind: 'LENGTH', start: '0 m' },
    bx: { kind: 'LENGTH', start: '5.00 m' },
    by: { kind: 'LENGTH', start: '0 m' },
    ...(now.way === 'OUT' ? STAND : now.way === 'POLAR' ? POLAR : TAPES),
  }),
  draw,
})

async function draw(v: Values): Promise<TapePicture> {
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
  if (text.way === 'POLAR') {
    const { x, y } = await answer(
      api.POST('/api/bench/polar', {
        body: {
          mark: a,
          camera: b,
          distanceM: v.distanceM,
          offDeg: v.offDeg,
          side: text.side as 'LEFT' | 'RIGHT',
        },
      }),
    )
    const toCamera = Math.hypot(b.x - a.x, b.y - a.y)
    const said = await say('LENGTH', [v.distanceM!, toCamera, x, y])
    return { a, b, point: { x, y }, tapes: [v.distanceM!, 0], said, angle: v.offDeg!, quality: '', side: text.side! }
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

const polar = computed(() => text.way === 'POLAR')
const names = computed(() => (polar.value ? ['mark', 'camera'] : ['A', 'B']))
function put(x: number, y: number) {
  text.way = 'OUT'
  text.px = written(x, settings.units)
  text.py = written(y, settings.units)
}
const QUALITY: Record<string, string> = { GOOD: 'good', FAIR: 'fair', POOR: 'poor: choose other landmarks' }
const told = computed(() => {
  const p = picture.value
  if (!p) return ''
  const [a, b, x, y] = p.said.map((one) => one[settings.units])
  if (text.way === 'POLAR')
    return `${a} along the floor from the mark, ${fixed(p.angle, 0)}° off the way to the camera, camera ${p.side.toLowerCase()}: it stands ${x} right, ${y} up. The camera is ${b} away.`
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
    <TapeDrawing v-if="picture" :picture="picture" :polar="polar" :names="names" :told="told" @put="put" />
    <p class="px-4 pb-3" data-found="tape">{{ told }}</p>
    <template #fields>
      <slot />
      <ChoiceField v-model="text.way!" label="which way round" :options="WAYS" />
      <h3 class="group-title mt-2 mb-1">{{ polar ? 'Mark and camera' : 'Landmarks' }}: right, then up</h3>
      <BenchField v-model="text.ax!" :label="`${names[0]}, right`" :unit="unit" :problem="problems.ax" />
      <BenchField v-model="text.ay!" :label="`${names[0]}, up`" :unit="unit" :problem="problems.ay" />
      <BenchField v-model="text.bx!" :label="`${names[1]}, right`" :unit="unit" :problem="problems.bx" />
      <BenchField v-model="text.by!" :label="`${names[1]}, up`" :unit="unit" :problem="problems.by" />
      <template v-if="text.way === 'OUT'">
        <h3 class="group-title mt-3 mb-1">The stand</h3>
        <BenchField v-model="text.px!" label="right" :unit="unit" :problem="problems.px" />
        <BenchField v-model="text.py!" label="up" :unit="unit" :problem="problems.py" />
      </template>
      <template v-else-if="polar">
        <h3 class="group-title mt-3 mb-1">From the mark</h3>
        <BenchField v-model="text.distanceM!" label="along the floor" :unit="unit" :problem="problems.distanceM" />
        <BenchField v-model="text.offDeg!" label="off the way to the camera" unit="°" :problem="problems.offDeg" />
        <ChoiceField v-model="text.side!" label="to" :options="CAMERA_SIDES" />
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
