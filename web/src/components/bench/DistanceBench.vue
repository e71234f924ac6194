<script setup lang="ts">
import { computed, ref } from 'vue'
import { answer, api } from '@/api/client'
import type { Moved, Phrase, Thrown } from '@/api/types'
import BenchField from '@/components/bench/BenchField.vue'
import BenchFrame from '@/components/bench/BenchFrame.vue'
import ShadowFan from '@/components/bench/ShadowFan.vue'
import ChoiceField from '@/components/dialogs/ChoiceField.vue'
import { say } from '@/lib/figures'
import { fixed, plain } from '@/lib/print'
import { axis, written } from '@/lib/scales'
import { LEVEL_CURVES, type LevelCurve } from '@/lib/words'
import { useBench, type Values } from '@/lib/useBench'
import { usePointerDrag } from '@/lib/usePointerDrag'
import { useSize } from '@/lib/useSize'
import { useSettings } from '@/stores/settings'

interface Picture {
  from: number
  to: number
  said: Record<'from' | 'to', Phrase>
  radius: number
  level: string
  moved: Moved
  sourceToEdge: number
  edgeToSurface: number
  opening: number
  thrown: Thrown
}

const settings = useSettings()
const unit = computed(() => (settings.units === 'imperial' ? 'ft' : 'm'))

const { text, problems, problem, picture, stale } = useBench<Picture>({
  fields: () => ({
    fromDistanceM: { kind: 'LENGTH', start: '2.90 m' },
    toDistanceM: { kind: 'LENGTH', start: '1.70 m' },
    emitterWidthM: { kind: 'LENGTH', start: '0.30 m' },
    levelPercent: { kind: 'LEVEL', start: '70' },
    curve: { start: 'LINEAR' },
    sourceToEdgeM: { kind: 'LENGTH', start: '6.50 m' },
    openingWidthM: { kind: 'LENGTH', start: '0.80 m' },
    edgeToSurfaceM: { kind: 'LENGTH', start: '3.20 m' },
    streakWidthM: { kind: 'LENGTH', start: '0.18 m' },
  }),
  draw,
})

async function draw(v: Values): Promise<Picture> {
  const [moved, thrown] = await Promise.all([
    answer(
      api.POST('/api/bench/move', {
        body: {
          fromDistanceM: v.fromDistanceM,
          toDistanceM: v.toDistanceM,
          emitterRadiusM: v.emitterWidthM! / 2,
          levelPercent: v.levelPercent,
          curve: text.curve as LevelCurve,
        },
      }),
    ),
    answer(
      api.POST('/api/bench/shadow', {
        body: {
          sourceRadiusM: v.streakWidthM! / 2,
          sourceToEdgeM: v.sourceToEdgeM,
          edgeToSurfaceM: v.edgeToSurfaceM,
          openingWidthM: v.openingWidthM,
        },
      }),
    ),
  ])
  const [from, to] = await say('LENGTH', [v.fromDistanceM!, v.toDistanceM!])
  return {
    said: { from: from!, to: to! },
    from: v.fromDistanceM!,
    to: v.toDistanceM!,
    radius: v.emitterWidthM! / 2,
    level: text.levelPercent ?? '',
    moved,
    sourceToEdge: v.sourceToEdgeM!,
    edgeToSurface: v.edgeToSurfaceM!,
    opening: v.openingWidthM!,
    thrown,
  }
}

const element = ref<SVGSVGElement>()
const size = useSize(element)
const HEIGHT = 250
const MIDDLE = 110
const FACE_PX = 56
const NEAREST_M = 0.1
const across = computed(() => {
  const farthest = Math.max(4, 1.15 * Math.max(picture.value?.from ?? 0, picture.value?.to ?? 0))
  return axis(0, farthest, FACE_PX, Math.max(120, size.value.width - 40))
})
const scale = computed(() => across.value.px(1) - across.value.px(0))
const half = computed(() => Math.max(5, (picture.value?.radius ?? 0) * scale.value))
/** As high as a thumb at least. */
const grip = computed(() => Math.max(22, half.value + 8))
function heads(p: Picture) {
  return [
    {
      key: 'from',
      name: `before, ${p.said.from[settings.units]}`,
      x: across.value.px(p.from),
      size: p.moved.angularSizeFromDeg,
      level: `${p.level.replace(/ ?%$/, '')} %`,
    },
    {
      key: 'to',
      name: `now, ${p.said.to[settings.units]}`,
      x: across.value.px(p.to),
      size: p.moved.angularSizeToDeg,
      level: `${plain(p.moved.levelPercent, 1)} %`,
    },
  ]
}
function put(name: string, metres: number) {
  text[name] = written(Math.max(NEAREST_M, metres), settings.units)
}
const down = usePointerDrag<string>({
  element: () => element.value,
  onMove: ({ at, grip }) => put(grip, across.value.value(at.x)),
})
function nudge(event: KeyboardEvent, name: string, metres: number) {
  const by = { ArrowLeft: -0.05, ArrowRight: 0.05 }[event.key]
  if (!by) return
  event.preventDefault()
  put(name, metres + by * (event.shiftKey ? 10 : 1))
}

const toldMove = computed(() => {
  const p = picture.value
  if (!p) return ''
  const change =
    Math.abs(p.moved.stopsChange) < 0.005
      ? 'The mark stays as it is'
      : `The mark ${p.moved.stopsChange > 0 ? 'gains' : 'loses'} ${fixed(Math.abs(p.moved.stopsChange), 2)} stops at the same level`
  const hold = p.moved.reachable
    ? `hold it with ${plain(p.moved.levelPercent, 1)} %`
    : `it can’t be held: short by ${fixed(p.moved.shortfallStops, 1)} stops at 100 %`
  return `${change}; ${hold}. The light is ${fixed(p.moved.angularSizeFromDeg, 1)}° wide before and ${fixed(p.moved.angularSizeToDeg, 1)}° now, as the mark sees it.`
})
const toldShadow = computed(() => {
  const p = picture.value
  if (!p) return ''
  return `Shadows through the opening fan by ${fixed(p.thrown.fanDeg ?? 0, 1)}°: ${p.thrown.parallel ? 'they read as parallel' : 'one sees that they spread'}. The edge is soft over ${settings.printed(p.thrown.penumbra)}.`
})
const summary = computed(() =>
  [
    `From ${text.fromDistanceM} to ${text.toDistanceM}, emitter ${text.emitterWidthM} wide, at ${text.levelPercent} %:`,
    toldMove.value,
    `Source ${text.streakWidthM} wide, ${text.sourceToEdgeM} from an opening of ${text.openingWidthM}, surface ${text.edgeToSurfaceM} behind:`,
    toldShadow.value,
  ].join('\n'),
)
</script>

<template>
  <BenchFrame
    title="Distance and softness"
    hint="drag a head along its way"
    :stale="stale"
    :problem="problem"
    :summary="summary"
  >
    <svg
      ref="element"
      class="drawing block w-full shrink-0"
      :height="HEIGHT"
      role="group"
      aria-label="The head and the mark, from the side"
    >
      <template v-if="picture">
        <path :d="`M16,${HEIGHT - 34}H${size.width - 16}`" stroke="var(--set)" />
        <g v-for="m in Math.floor(across.value(size.width - 30))" :key="m">
          <path :d="`M${across.px(m)},${HEIGHT - 34}v5`" stroke="var(--quiet)" />
          <text v-if="scale > 26 || m % 5 === 0" :x="across.px(m)" :y="HEIGHT - 14" text-anchor="middle" class="tick">
            {{ m }}
            <template v-if="m === 1">m</template>
          </text>
        </g>
        <circle :cx="FACE_PX" :cy="MIDDLE" r="12" fill="var(--floor)" stroke="var(--ink)" stroke-width="2" />
        <path :d="`M${FACE_PX + 13},${MIDDLE - 4}l7,4l-7,4z`" fill="var(--ink)" />
        <text :x="FACE_PX" :y="MIDDLE + 32" text-anchor="middle">mark</text>
        <g v-for="h in heads(picture)" :key="h.key" :class="{ was: h.key === 'from' }">
          <path
            :d="`M${FACE_PX + 20},${MIDDLE}L${h.x},${MIDDLE - half}V${MIDDLE + half}Z`"
            fill="var(--ink)"
            :fill-opacity="h.key === 'to' ? 0.14 : 0.05"
            stroke="var(--quiet)"
            :stroke-dasharray="h.key === 'from' ? '4 3' : undefined"
          />
          <path :d="`M${h.x + 6},${MIDDLE + half}V${HEIGHT - 34}`" stroke="var(--set)" />
          <rect
            :x="h.x"
            :y="MIDDLE - half"
            width="12"
            :height="2 * half"
            :fill="h.key === 'to' ? 'var(--ink)' : 'var(--ground)'"
            stroke="var(--ink)"
          />
          <text
            :x="h.x + 6"
            :y="h.key === 'to' ? MIDDLE - half - 26 : MIDDLE + half + 18"
            :dx="h.key === 'to' ? 0 : 54"
            text-anchor="middle"
          >
            {{ h.name }}
          </text>
          <text
            :x="h.x + 6"
            :y="h.key === 'to' ? MIDDLE - half - 10 : MIDDLE + half + 34"
            :dx="h.key === 'to' ? 0 : 54"
            text-anchor="middle"
            class="figure"
          >
            {{ h.level }} · {{ fixed(h.size, 1) }}°
          </text>
          <rect
            :x="h.x - 16"
            :y="MIDDLE - grip"
            width="44"
            :height="2 * grip"
            class="handle"
            tabindex="0"
            role="slider"
            :data-handle="h.key"
            :aria-label="`Head ${h.name}`"
            aria-valuemin="0.1"
            aria-valuemax="100"
            :aria-valuenow="h.key === 'to' ? picture.to : picture.from"
            :aria-valuetext="h.name"
            @pointerdown="down($event, h.key === 'to' ? 'toDistanceM' : 'fromDistanceM')"
            @keydown="
              nudge(
                $event,
                h.key === 'to' ? 'toDistanceM' : 'fromDistanceM',
                h.key === 'to' ? picture.to : picture.from,
              )
            "
          />
        </g>
      </template>
    </svg>
    <p class="px-4 pb-3" data-found="move">{{ toldMove }}</p>
    <div class="border-t border-line pt-2">
      <h3 class="px-4 text-base">Through an opening, seen from above</h3>
      <ShadowFan
        v-if="picture"
        :source-to-edge="picture.sourceToEdge"
        :edge-to-surface="picture.edgeToSurface"
        :opening="picture.opening"
        :penumbra-m="picture.thrown.penumbraM"
      />
      <p class="px-4 pb-3" data-found="shadow">
        {{ toldShadow }} <span class="text-quiet">Below 5° reads as parallel (model).</span>
      </p>
    </div>
    <template #fields>
      <h3 class="group-title mb-1">The head moves</h3>
      <BenchField v-model="text.fromDistanceM!" label="from" :unit="unit" :problem="problems.fromDistanceM" />
      <BenchField v-model="text.toDistanceM!" label="to" :unit="unit" :problem="problems.toDistanceM" />
      <BenchField
        v-model="text.emitterWidthM!"
        label="emitter, wide"
        :unit="unit"
        :problem="problems.emitterWidthM ?? problems.emitterRadiusM"
      />
      <BenchField v-model="text.levelPercent!" label="level" unit="%" :problem="problems.levelPercent" />
      <ChoiceField v-model="text.curve!" label="level curve" :options="LEVEL_CURVES" />
      <h3 class="group-title mt-3 mb-1">Through an opening</h3>
      <BenchField v-model="text.streakWidthM!" label="source, wide" :unit="unit" :problem="problems.streakWidthM" />
      <BenchField
        v-model="text.sourceToEdgeM!"
        label="source to opening"
        :unit="unit"
        :problem="problems.sourceToEdgeM"
      />
      <BenchField v-model="text.openingWidthM!" label="opening, wide" :unit="unit" :problem="problems.openingWidthM" />
      <BenchField
        v-model="text.edgeToSurfaceM!"
        label="opening to surface"
        :unit="unit"
        :problem="problems.edgeToSurfaceM"
      />
    </template>
  </BenchFrame>
</template>

<style scoped>
.drawing .was text {
  fill: var(--quiet);
}
</style>
