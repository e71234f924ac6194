<script setup lang="ts">
import { computed } from 'vue'
import { answer, api } from '@/api/client'
import type { StandInWind } from '@/api/types'
import ChoiceField from '@/components/dialogs/ChoiceField.vue'
import { fixed } from '@/lib/print'
import { useBench } from '@/lib/useBench'
import BenchField from './BenchField.vue'
import BenchFrame from './BenchFrame.vue'

type Shape = 'HEAD' | 'CLOTH'
interface Picture {
  stood: StandInWind
  heightM: number
  offsetM: number
  footRadiusM: number
  windMs: number
  factor: number
  side: number
}
const SHAPES: { key: Shape; name: string }[] = [
  { key: 'HEAD', name: 'a head' },
  { key: 'CLOTH', name: 'a cloth or a frame' },
]
const { text, problems, problem, picture, stale } = useBench<Picture>({
  fields: () => ({
    shape: { start: 'CLOTH' },
    headKg: { kind: 'NUMBER', start: '4.2' },
    offsetM: { kind: 'LENGTH', start: '0 m' },
    heightM: { kind: 'LENGTH', start: '2.80 m' },
    sailM2: { kind: 'NUMBER', start: '1.44' },
    standKg: { kind: 'NUMBER', start: '7.5' },
    footRadiusM: { kind: 'LENGTH', start: '0.45 m' },
    windMs: { kind: 'NUMBER', start: '5' },
    bagKg: { kind: 'NUMBER', start: '7' },
    factor: { kind: 'NUMBER', start: '1.5' },
  }),
  draw: async (v): Promise<Picture> => ({
    stood: await answer(api.POST('/api/bench/stand', { body: { ...v, shape: text.shape as Shape } })),
    heightM: v.heightM!,
    offsetM: v.offsetM!,
    footRadiusM: v.footRadiusM!,
    windMs: v.windMs!,
    factor: v.factor!,
    side: Math.sqrt(v.sailM2!),
  }),
})

const WIDE = 420
const TALL = 300
const GROUND = 276
/** px per metre. */
const scale = computed(() => {
  const p = picture.value
  return p
    ? Math.min(TALL / (p.heightM + p.side / 2 + 0.3), WIDE / (2 * (p.offsetM + p.side + p.footRadiusM + 0.4)))
    : 1
})
const drawn = computed(() => {
  const p = picture.value
  if (!p) return undefined
  const px = (m: number) => m * scale.value
  const middle = WIDE / 2
  const top = GROUND - px(p.heightM)
  return {
    middle,
    top,
    foot: px(p.footRadiusM),
    out: middle + px(p.offsetM),
    half: Math.max(4, px(p.side) / 2),
    bags: Array.from({ length: p.stood.bags }, (_, i) => ({
      x: middle - 44 + (i % 7) * 13,
      y: GROUND - 9 - Math.floor(i / 7) * 9,
    })),
  }
})
const says = computed(() => {
  const p = picture.value
  if (!p) return ''
  const { bags } = p.stood
  return bags === 0 ? 'Stands without a sandbag' : `${bags} sandbag${bags === 1 ? '' : 's'} of ${text.bagKg} kg`
})
const summary = computed(() => {
  const p = picture.value
  return p
    ? [
        `${says.value}: ${fixed(p.stood.overturningNm, 1)} Nm tip it, the stand holds ${fixed(p.stood.rightingNm, 1)} Nm, factor ${text.factor}`,
        'An estimate: a qualified rigger decides.',
      ].join('\n')
    : ''
})
</script>

<template>
  <BenchFrame
    title="Stand in wind"
    hint="an estimate: a qualified rigger decides"
    :stale="stale"
    :problem="problem"
    :summary="summary"
  >
    <div v-if="picture && drawn" class="px-4 py-3" data-found="stand">
      <p class="text-title">{{ says }}</p>
      <svg :viewBox="`0 0 ${WIDE} ${TALL}`" class="picture" role="img" :aria-label="summary">
        <path :d="`M10 ${GROUND}H${WIDE - 10}`" class="line" />
        <path
          :d="`M${drawn.middle} ${drawn.top}V${GROUND - 26}M${drawn.middle - drawn.foot} ${GROUND}L${drawn.middle} ${GROUND - 26}L${drawn.middle + drawn.foot} ${GROUND}`"
          class="line"
        />
        <path v-if="picture.offsetM > 0" :d="`M${drawn.middle} ${drawn.top}H${drawn.out}`" class="line" />
        <rect
          :x="drawn.out - (text.shape === 'CLOTH' ? 2 : drawn.half)"
          :y="drawn.top - drawn.half"
          :width="text.shape === 'CLOTH' ? 4 : drawn.half * 2"
          :height="drawn.half * 2"
          class="front"
        />
        <g v-if="picture.windMs > 0">
          <path
            v-for="k in [-0.6, 0, 0.6]"
            :key="k"
            :d="`M20 ${drawn.top + k * drawn.half}h${Math.min(90, 14 + picture.windMs * 5)}l-7 -4m7 4l-7 4`"
            class="wind"
          />
        </g>
        <rect v-for="(b, i) in drawn.bags" :key="i" :x="b.x" :y="b.y" width="11" height="7" class="front" />
      </svg>
      <dl class="facts">
        <dt>tips it</dt>
        <dd class="figure">{{ fixed(picture.stood.overturningNm, 1) }}<span class="unit">Nm</span></dd>
        <dt>the stand holds</dt>
        <dd class="figure">{{ fixed(picture.stood.rightingNm, 1) }}<span class="unit">Nm</span></dd>
      </dl>
      <p class="pt-2 text-small text-quiet">
        Model: three legs on level ground, tipping over the line between two feet; an even wind on the whole front. A
        bag always on cloth, on an arm, and above 1.8 m. Gusts, slopes and people who lean on it are not in it.
      </p>
    </div>
    <template #fields>
      <slot />
      <ChoiceField v-model="text.shape!" label="On it" :options="SHAPES" />
      <BenchField v-model="text.headKg!" label="it weighs" unit="kg" :problem="problems.headKg" />
      <BenchField v-model="text.sailM2!" label="front" unit="m²" :problem="problems.sailM2" />
      <BenchField v-model="text.heightM!" label="its middle, high" unit="m" :problem="problems.heightM" />
      <BenchField v-model="text.offsetM!" label="out on an arm" unit="m" :problem="problems.offsetM" />
      <h3 class="group-title mt-3 mb-1">Stand</h3>
      <BenchField v-model="text.standKg!" label="the stand weighs" unit="kg" :problem="problems.standKg" />
      <BenchField v-model="text.footRadiusM!" label="middle to foot" unit="m" :problem="problems.footRadiusM" />
      <BenchField v-model="text.bagKg!" label="a sandbag" unit="kg" :problem="problems.bagKg" />
      <h3 class="group-title mt-3 mb-1">Wind</h3>
      <BenchField v-model="text.windMs!" label="wind, indoors 1" unit="m/s" :problem="problems.windMs" />
      <BenchField v-model="text.factor!" label="safety factor" :problem="problems.factor" />
    </template>
  </BenchFrame>
</template>

<style scoped>
.picture {
  width: min(100%, 520px);
}
.line,
.wind {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2px;
}
.wind {
  stroke: var(--quiet);
  stroke-width: 1.4px;
}
.front {
  fill: var(--raised);
  stroke: var(--ink);
}
.facts {
  display: grid;
  grid-template-columns: 160px auto;
  justify-content: start;
  gap: 2px 12px;
}
</style>
