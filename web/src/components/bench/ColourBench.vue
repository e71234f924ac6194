<script setup lang="ts">
import { computed } from 'vue'
import { answer, api } from '@/api/client'
import type { Behind, DialAnswer, Stock } from '@/api/types'
import BenchField from '@/components/bench/BenchField.vue'
import BenchFrame from '@/components/bench/BenchFrame.vue'
import MiredRuler, { type RulerMark } from '@/components/bench/MiredRuler.vue'
import StockPicker from '@/components/fields/StockPicker.vue'
import { dialArrows, dialMarks, toldDial } from '@/lib/dialPath'
import { fixed, signed } from '@/lib/print'
import { miredAt, ticks } from '@/lib/scales'
import { useBench, type Values } from '@/lib/useBench'
import { useStock } from '@/stores/stock'

const shelf = useStock()

interface Picture {
  source: { kelvin: number; duv: number }
  white: { kelvin: number; duv: number }
  stack: Stock[]
  behind: Behind
  /** mired from the camera's white, + is warmer */
  offWhite: number
  dial: DialAnswer
  asked: Record<'dialled' | 'measured' | 'target', { kelvin: number; duv: number }>
  range: [number, number]
  from: number
  to: number
  band: { mired: number; swatch: string }[]
  before: string
  after: string
}

const ROOM_MIRED = 40
const BAND_STEP_MIRED = 20

const { text, problems, problem, picture, stale } = useBench<Picture>({
  fields: () => ({
    sourceKelvin: { kind: 'KELVIN', start: '5600' },
    sourceDuv: { kind: 'DUV', start: '0' },
    whiteBalanceKelvin: { kind: 'KELVIN', start: '4300' },
    whiteBalanceDuv: { kind: 'DUV', start: '0' },
    filters: { start: 'Quarter CTO; Muslin, unbleached' },
    dialledKelvin: { kind: 'KELVIN', start: '4150' },
    dialledDuv: { kind: 'DUV', start: '0' },
    measuredKelvin: { kind: 'KELVIN', start: '3950' },
    measuredDuv: { kind: 'DUV', start: '0.002' },
    targetKelvin: { kind: 'KELVIN', start: '4150' },
    targetDuv: { kind: 'DUV', start: '0.009' },
    minKelvin: { kind: 'KELVIN', start: '2700' },
    maxKelvin: { kind: 'KELVIN', start: '6500' },
  }),
  draw,
})
const names = computed(() =>
  (text.filters ?? '')
    .split(';')
    .map((name) => name.trim())
    .filter(Boolean),
)
const stack = computed(() => names.value.flatMap((name) => shelf.filters.find((item) => item.name === name) ?? []))
const white = (item: Stock) => item.kind !== 'COLOUR'

async function draw(v: Values): Promise<Picture> {
  await shelf.fill()
  const source = { kelvin: v.sourceKelvin!, duv: v.sourceDuv! }
  const balance = { whiteBalanceKelvin: v.whiteBalanceKelvin!, whiteBalanceDuv: v.whiteBalanceDuv! }
  const asked = {
    dialled: { kelvin: v.dialledKelvin!, duv: v.dialledDuv! },
    measured: { kelvin: v.measuredKelvin!, duv: v.measuredDuv! },
    target: { kelvin: v.targetKelvin!, duv: v.targetDuv! },
  }
  const filters = stack.value.map(({ miredShift, stops, duvShift }) => ({ miredShift, stops, duvShift }))
  const [behind, onWhite, dial] = await Promise.all([
    answer(
      api.POST('/api/bench/colour-temperature', {
        body: { sourceKelvin: source.kelvin, sourceDuv: source.duv, filters },
      }),
    ),
    answer(
      api.POST('/api/bench/colour-temperature', {
        body: { sourceKelvin: balance.whiteBalanceKelvin, filters: [] },
      }),
    ),
    answer(
      api.POST('/api/bench/dial', {
        body: {
          dialledKelvin: v.dialledKelvin,
          dialledDuv: v.dialledDuv,
          measuredKelvin: v.measuredKelvin,
          measuredDuv: v.measuredDuv,
          targetKelvin: v.targetKelvin,
          targetDuv: v.targetDuv,
          minKelvin: v.minKelvin,
          maxKelvin: v.maxKelvin,
        },
      }),
    ),
  ])
  const shown = [
    v.sourceKelvin!,
    v.whiteBalanceKelvin!,
    behind.kelvin,
    v.dialledKelvin!,
    v.measuredKelvin!,
    v.targetKelvin!,
    dial.dialKelvin,
  ].map(miredAt)
  const from = Math.max(40, Math.floor((Math.min(...shown) - ROOM_MIRED) / 10) * 10)
  const to = Math.min(1000, Math.ceil((Math.max(...shown) + ROOM_MIRED) / 10) * 10)
  const along = ticks(from, to, BAND_STEP_MIRED)
  const { swatches } = await answer(
    api.POST('/api/bench/seen', {
      body: {
        whites: [source, { kelvin: behind.kelvin, duv: behind.duv }, ...along.map((m) => ({ kelvin: 1e6 / m }))],
        ...balance,
      },
    }),
  )
  const [before = '', after = '', ...colours] = swatches
  return {
    source,
    white: { kelvin: v.whiteBalanceKelvin!, duv: v.whiteBalanceDuv! },
    stack: stack.value,
    behind,
    offWhite: Math.round(behind.mired - onWhite.mired),
    dial,
    asked,
    range: [v.minKelvin!, v.maxKelvin!],
    from,
    to,
    band: along.map((mired, i) => ({ mired, swatch: colours[i]! })),
    before,
    after,
  }
}

const marks = computed<RulerMark[]>(() => {
  const p = picture.value
  if (!p) return []
  return [
    { key: 'sourceKelvin', name: 'source', ...p.source, as: 'dot', handle: true },
    { key: 'result', name: 'behind the stack', kelvin: p.behind.kelvin, duv: p.behind.duv, as: 'ring' },
    { key: 'whiteBalanceKelvin', name: 'camera white', kelvin: p.white.kelvin, duv: 0, as: 'line', handle: true },
  ]
})
const arrows = computed(() => {
  let at = miredAt(picture.value?.source.kelvin ?? 5600)
  return (picture.value?.stack ?? []).flatMap((item, i) => {
    const from = at
    at += item.miredShift
    return item.miredShift ? [{ key: `${i}`, name: `${item.name} ${signed(item.miredShift, 0)}`, from, to: at }] : []
  })
})
const found = computed(() => {
  const p = picture.value
  if (!p) return ''
  const off =
    p.offWhite === 0
      ? 'on the camera’s white'
      : `${Math.abs(p.offWhite)} mired ${p.offWhite > 0 ? 'warmer' : 'cooler'} than the camera’s white`
  return `${Math.round(p.behind.kelvin)} K, Duv ${signed(p.behind.duv, 4)}, ${fixed(p.behind.stops, 1)} stops lost: ${off}.`
})
const toDial = computed(() => (picture.value ? toldDial(picture.value) : ''))
const summary = computed(() =>
  [
    `Source ${text.sourceKelvin} K, tint ${text.sourceDuv}, through ${names.value.join(', ') || 'nothing'}:`,
    found.value,
    `Dialled ${text.dialledKelvin} K, measured ${text.measuredKelvin} K.`,
    toDial.value,
  ].join('\n'),
)

function keepStack(changed: string[]) {
  text.filters = changed.join('; ')
}
</script>

<template>
  <BenchFrame
    title="Colour of light"
    hint="height on the ruler is tint: up green, down magenta"
    :stale="stale"
    :problem="problem"
    :summary="summary"
  >
    <template v-if="picture">
      <MiredRuler
        :marks="marks"
        :arrows="arrows"
        :band="picture.band"
        :from="picture.from"
        :to="picture.to"
        @drag="(key, kelvin) => (text[key] = String(kelvin))"
      />
      <div class="flex flex-wrap items-center gap-4 px-6 pb-3">
        <figure class="seen">
          <span :style="{ background: picture.before }" />
          <figcaption>source</figcaption>
        </figure>
        <figure class="seen">
          <span :style="{ background: picture.after }" />
          <figcaption>behind the stack</figcaption>
        </figure>
        <p class="max-w-[46ch]" data-found="colour">
          {{ found }}
          <span class="text-quiet"
            >Swatches as the camera sees them; the stock’s figures are nominal, shifts of tint add (model).</span
          >
        </p>
      </div>
      <div class="border-t border-line">
        <h3 class="px-4 pt-2 text-base">What to dial</h3>
        <MiredRuler
          :marks="dialMarks(picture)"
          :arrows="dialArrows(picture)"
          :band="picture.band"
          :from="picture.from"
          :to="picture.to"
          :range="picture.range"
          @drag="(key, kelvin) => (text[key] = String(kelvin))"
        />
        <p class="px-6 pb-3" data-found="dial">
          <b>{{ toDial }}</b>
        </p>
      </div>
    </template>
    <template #fields>
      <h3 class="group-title mb-1">Light and camera</h3>
      <BenchField v-model="text.sourceKelvin!" label="source" unit="K" :problem="problems.sourceKelvin" />
      <BenchField v-model="text.sourceDuv!" label="its tint" unit="Duv" :problem="problems.sourceDuv" />
      <BenchField
        v-model="text.whiteBalanceKelvin!"
        label="camera white"
        unit="K"
        :problem="problems.whiteBalanceKelvin"
      />
      <BenchField v-model="text.whiteBalanceDuv!" label="its tint" unit="Duv" :problem="problems.whiteBalanceDuv" />
      <h3 class="group-title mt-3 mb-1 flex">
        <span class="grow">Through, in order</span
        ><span class="w-12 text-right text-fine font-normal text-quiet">stops</span
        ><span class="w-12 text-right text-fine font-normal text-quiet">mired</span><span class="w-6" />
      </h3>
      <ol>
        <li v-for="(item, i) in stack" :key="`${i}${item.name}`" class="flex min-h-7 items-center">
          <span class="min-w-0 grow truncate" :title="item.heat">{{ item.name }}</span>
          <span class="figure w-12 text-right text-figure">−{{ fixed(item.stops, 1) }}</span>
          <span class="figure w-12 text-right text-figure">{{ signed(item.miredShift, 0) }}</span>
          <button
            class="w-6 text-quiet hover:text-ink"
            :aria-label="`Take off ${item.name}`"
            @click="keepStack(names.filter((_, at) => at !== i))"
          >
            ×
          </button>
        </li>
      </ol>
      <StockPicker down class="mt-1" :only="white" @pick="(item) => keepStack([...names, item.name])" />
      <p v-if="problems.filters" role="alert" class="mt-1 text-small">{{ problems.filters }}</p>
      <h3 class="group-title mt-4 mb-1">A fixture</h3>
      <BenchField v-model="text.dialledKelvin!" label="dialled" unit="K" :problem="problems.dialledKelvin" />
      <BenchField v-model="text.dialledDuv!" label="tint dialled" unit="Duv" :problem="problems.dialledDuv" />
      <BenchField v-model="text.measuredKelvin!" label="measures" unit="K" :problem="problems.measuredKelvin" />
      <BenchField v-model="text.measuredDuv!" label="tint measured" unit="Duv" :problem="problems.measuredDuv" />
      <BenchField v-model="text.targetKelvin!" label="wanted" unit="K" :problem="problems.targetKelvin" />
      <BenchField v-model="text.targetDuv!" label="tint wanted" unit="Duv" :problem="problems.targetDuv" />
      <BenchField v-model="text.minKelvin!" label="dials from" unit="K" :problem="problems.minKelvin" />
      <BenchField v-model="text.maxKelvin!" label="to" unit="K" :problem="problems.maxKelvin" />
    </template>
  </BenchFrame>
</template>

<style scoped>
.seen span {
  display: block;
  width: 96px;
  height: 48px;
  border: 1px solid var(--set);
}
.seen figcaption {
  font-size: var(--text-fine);
  color: var(--quiet);
}
</style>
