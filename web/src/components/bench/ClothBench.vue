<script setup lang="ts">
import { computed } from 'vue'
import { answer, api } from '@/api/client'
import type { FlatCloth } from '@/api/types'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { fixed } from '@/lib/print'
import { useBench } from '@/lib/useBench'
import BenchField from './BenchField.vue'
import BenchFrame from './BenchFrame.vue'

interface Picture {
  pulled: FlatCloth
  spanM: number
  sagM: number
  points: number
}
const { text, problems, problem, picture, stale } = useBench<Picture>({
  fields: () => ({
    spanM: { kind: 'LENGTH', start: '3.60 m' },
    edgeM: { kind: 'LENGTH', start: '3.60 m' },
    weightKgM2: { kind: 'NUMBER', start: '0.15' },
    sagM: { kind: 'LENGTH', start: '0.12 m' },
    points: { kind: 'NUMBER', start: '4' },
  }),
  draw: async (v) => ({
    pulled: await answer(api.POST('/api/bench/cloth', { body: v })),
    spanM: v.spanM!,
    sagM: v.sagM!,
    points: v.points!,
  }),
})
const WIDE = 420
const LEFT = 30
const drawn = computed(() => {
  const p = picture.value
  if (!p) return undefined
  const across = WIDE - 2 * LEFT
  const sag = (p.sagM / p.spanM) * across
  return {
    // a parabola whose lowest point is the sag
    cloth: `M${LEFT} 40Q${WIDE / 2} ${40 + 2 * sag} ${WIDE - LEFT} 40`,
    sag: `M${WIDE / 2} 40V${40 + sag}`,
    deep: 40 + sag,
  }
})
const summary = computed(() => {
  const p = picture.value
  return p
    ? [
        `The cloth pulls ${fixed(p.pulled.pullNm, 1)} N on each metre of an edge, ${fixed(p.pulled.perPointN, 1)} N on each of ${p.points} points${p.pulled.ownStands ? ': carry it on stands or a frame' : ''}`,
        'An estimate: a qualified rigger decides.',
      ].join('\n')
    : ''
})
</script>

<template>
  <BenchFrame
    title="Flat cloth"
    hint="an estimate: a qualified rigger decides"
    :stale="stale"
    :problem="problem"
    :summary="summary"
  >
    <div v-if="picture && drawn" class="px-4 py-3" data-found="cloth">
      <p class="text-title">{{ fixed(picture.pulled.perPointN, 1) }} <span class="unit">N on each point</span></p>
      <svg :viewBox="`0 0 ${WIDE} ${Math.max(90, drawn.deep + 20)}`" class="picture" role="img" :aria-label="summary">
        <path :d="`M${LEFT} 40H${WIDE - LEFT}`" class="level" />
        <path :d="drawn.cloth" class="cloth" />
        <path :d="drawn.sag" class="level" />
        <path :d="`M${LEFT} 20v40M${WIDE - LEFT} 20v40`" class="cloth" />
        <text :x="WIDE / 2 + 6" :y="drawn.deep + 14">sag {{ text.sagM }}</text>
      </svg>
      <p>
        <span class="figure">{{ fixed(picture.pulled.pullNm, 1) }}</span><span class="unit"
          >N on each metre of an edge</span
        >
      </p>
      <p v-if="picture.pulled.ownStands" class="pt-1">
        <WedgeMark act class="mr-1.5 inline" />Too much for a wall of a set: carry it on stands or a frame.
      </p>
      <p class="pt-2 text-small text-quiet">
        Model: a parabola, its sag far less than its span; no wind, no water in it, an even pull on all points. Half the
        sag pulls twice as much.
      </p>
    </div>
    <template #fields>
      <slot />
      <BenchField v-model="text.spanM!" label="edge to edge" unit="m" :problem="problems.spanM" />
      <BenchField v-model="text.edgeM!" label="an edge is long" unit="m" :problem="problems.edgeM" />
      <BenchField v-model="text.weightKgM2!" label="cloth" unit="kg/m²" :problem="problems.weightKgM2" />
      <BenchField v-model="text.sagM!" label="sag in the middle" unit="m" :problem="problems.sagM" />
      <BenchField v-model="text.points!" label="points of an edge" :problem="problems.points" />
    </template>
  </BenchFrame>
</template>

<style scoped>
.picture {
  width: min(100%, 520px);
}
.cloth {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2px;
}
.level {
  stroke: var(--quiet);
  stroke-dasharray: 4 4;
}
text {
  font-size: var(--text-small);
  fill: var(--quiet);
}
</style>
