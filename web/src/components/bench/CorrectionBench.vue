<script setup lang="ts">
import { computed } from 'vue'
import { answer, api } from '@/api/client'
import type { Prescribed, Stock } from '@/api/types'
import BenchField from '@/components/bench/BenchField.vue'
import BenchFrame from '@/components/bench/BenchFrame.vue'
import PrescriptionLadder from '@/components/bench/PrescriptionLadder.vue'
import StockPicker from '@/components/fields/StockPicker.vue'
import { useBench, type Values } from '@/lib/useBench'
import { useStock } from '@/stores/stock'

interface Picture {
  prescriptions: (Prescribed & { costs: number[] })[]
  swatches: string[]
  startStops: number
  target: string
}

const shelf = useStock()
const DEFAULT_SHEETS = 2
/** Several items at once, as they lie in one drawer. */
const DRAWERS: { name: string; holds: (item: Stock) => boolean }[] = [
  { name: 'CTO', holds: (item) => item.name.endsWith('CTO') },
  { name: 'CTB', holds: (item) => item.name.endsWith('CTB') },
  { name: 'CTS', holds: (item) => item.name.endsWith('CTS') },
  { name: 'green', holds: (item) => item.name.endsWith('plus green') },
  { name: 'minus green', holds: (item) => item.name.endsWith('minus green') },
  { name: 'ND', holds: (item) => item.kind === 'NEUTRAL_DENSITY' },
  { name: 'nets', holds: (item) => item.kind === 'NET' && item.name.endsWith('net') },
  { name: 'scrims', holds: (item) => item.kind === 'NET' && item.name.endsWith('scrim') },
  { name: 'diffusion', holds: (item) => item.kind === 'DIFFUSION' },
]

const { text, problems, problem, picture, stale } = useBench<Picture>({
  fields: () => ({
    sourceTStop: { kind: 'T_STOP', start: '9' },
    sourceKelvin: { kind: 'KELVIN', start: '5600' },
    sourceDuv: { kind: 'DUV', start: '0' },
    targetTStop: { kind: 'T_STOP', start: '2' },
    targetKelvin: { kind: 'KELVIN', start: '4600' },
    targetDuv: { kind: 'DUV', start: '0' },
    maxFilters: { kind: 'NUMBER', start: '3' },
    dimmable: { start: 'no' },
    stock: {
      start:
        'ND 0.3*1; ND 0.6*1; ND 0.9*1; Single net*2; Double net*2; Eighth CTO*2; Quarter CTO*2; Half CTO*2; Full CTO*2',
    },
  }),
  draw,
})

/** What is at hand, with how many sheets. */
const atHand = computed(() =>
  (text.stock ?? '').split(';').flatMap((part) => {
    const [, name = '', sheets = '1'] = /^\s*(.*?)(?:\*(\d+))?\s*$/.exec(part) ?? []
    const item = shelf.filters.find((one) => one.name === name)
    return item ? [{ item, sheets: Number(sheets) }] : []
  }),
)

async function draw(v: Values): Promise<Picture> {
  await shelf.fill()
  const stock = atHand.value.map(({ item: { name, miredShift, stops, duvShift }, sheets }) => ({
    name,
    miredShift,
    stops,
    duvShift,
    sheets,
  }))
  const { sourceTStop, sourceKelvin, sourceDuv, targetTStop, targetKelvin, targetDuv, maxFilters } = v
  const { prescriptions, startStops } = await answer(
    api.POST('/api/bench/correction', {
      body: {
        sourceTStop,
        sourceKelvin,
        sourceDuv,
        targetTStop,
        targetKelvin,
        targetDuv,
        maxFilters,
        stock,
        dimmable: text.dimmable === 'yes',
        sensible: true,
      },
    }),
  )
  const camera = { whiteBalanceKelvin: targetKelvin, whiteBalanceDuv: targetDuv }
  const { swatches } = await answer(
    api.POST('/api/bench/seen', {
      body: {
        whites: [
          { kelvin: sourceKelvin, duv: sourceDuv },
          ...prescriptions.map(({ kelvin, duv }) => ({ kelvin, duv: Math.max(-0.05, Math.min(0.05, duv)) })),
        ],
        ...camera,
      },
    }),
  )
  const cost = (name: string) => stock.find((item) => item.name === name)?.stops ?? 0
  return {
    prescriptions: prescriptions.map((p) => ({ ...p, costs: p.filters.map(cost) })),
    swatches,
    startStops,
    target: text.targetTStop ?? '',
  }
}

const top = computed(() => Math.max(1, Math.ceil(picture.value?.startStops ?? 1)) + 0.35)
const bottom = computed(
  () => Math.min(-1, Math.floor(Math.min(0, ...(picture.value?.prescriptions ?? []).map((p) => p.deltaStops)))) - 0.35,
)
const summary = computed(() =>
  [
    `T${text.sourceTStop} at ${text.sourceKelvin} K reads; T${text.targetTStop} at ${text.targetKelvin} K is wanted.`,
    ...(picture.value?.prescriptions ?? []).map(
      (p, i) => `${i + 1}. ${p.filters.join(' + ') || 'nothing'}: ${p.label}, ${Math.round(p.kelvin)} K; ${p.reason}`,
    ),
  ].join('\n'),
)

function keep(changed: { item: Stock; sheets: number }[]) {
  text.stock = changed.map(({ item, sheets }) => `${item.name}*${sheets}`).join('; ')
}
function put(item: Stock, sheets: number) {
  const others = atHand.value.filter((one) => one.item.name !== item.name)
  const at = atHand.value.findIndex((one) => one.item.name === item.name)
  if (sheets <= 0) keep(others)
  else
    keep(
      at < 0
        ? [...others, { item, sheets }]
        : atHand.value.map((one) => (one.item.name === item.name ? { item, sheets } : one)),
    )
}
function holds(drawer: (typeof DRAWERS)[number]) {
  return atHand.value.some((one) => drawer.holds(one.item))
}
function toggle(drawer: (typeof DRAWERS)[number]) {
  if (holds(drawer)) keep(atHand.value.filter((one) => !drawer.holds(one.item)))
  else keep([...atHand.value, ...shelf.filters.filter(drawer.holds).map((item) => ({ item, sheets: DEFAULT_SHEETS }))])
}
</script>

<template>
  <BenchFrame
    title="Correction"
    hint="from the light that reads, down each filter, to the line that is wanted"
    :stale="stale"
    :problem="problem"
    :summary="summary"
  >
    <div
      v-if="picture"
      class="grid grid-cols-[repeat(5,minmax(0,1fr))] gap-0 py-3 px-2 upright:grid-cols-[repeat(5,150px)] upright:overflow-x-auto sideways"
    >
      <PrescriptionLadder
        v-for="(p, i) in picture.prescriptions"
        :key="i"
        :prescription="p"
        :rank="i + 1"
        :start-stops="picture.startStops"
        :top="top"
        :bottom="bottom"
        :source-swatch="picture.swatches[0]!"
        :swatch="picture.swatches[i + 1]!"
        :target="picture.target"
      />
    </div>
    <p class="px-4 pb-3 text-small text-quiet">
      Figures of the stock are nominal; tint shifts add (model). Meter it when it hangs. Filters go in hot light only
      with air behind them.
    </p>
    <template #fields>
      <h3 class="group-title mb-1">It reads</h3>
      <BenchField v-model="text.sourceTStop!" label="stop" unit="T" :problem="problems.sourceTStop" />
      <BenchField v-model="text.sourceKelvin!" label="colour" unit="K" :problem="problems.sourceKelvin" />
      <BenchField v-model="text.sourceDuv!" label="tint" unit="Duv" :problem="problems.sourceDuv" />
      <h3 class="group-title mt-3 mb-1">Wanted</h3>
      <BenchField v-model="text.targetTStop!" label="stop" unit="T" :problem="problems.targetTStop" />
      <BenchField v-model="text.targetKelvin!" label="colour" unit="K" :problem="problems.targetKelvin" />
      <BenchField v-model="text.targetDuv!" label="tint" unit="Duv" :problem="problems.targetDuv" />
      <BenchField v-model="text.maxFilters!" label="filters at most" :problem="problems.maxFilters" />
      <label class="flex min-h-8 items-center gap-2"
        ><span class="grow">it can be dimmed</span
        ><input
          type="checkbox"
          :checked="text.dimmable === 'yes'"
          @change="text.dimmable = text.dimmable === 'yes' ? 'no' : 'yes'"
      /></label>
      <h3 class="group-title mt-3 mb-1">Stock at hand</h3>
      <div class="mb-2 flex flex-wrap gap-1">
        <button
          v-for="d in DRAWERS"
          :key="d.name"
          class="button !px-2"
          :class="{ taken: holds(d) }"
          :aria-pressed="holds(d)"
          @click="toggle(d)"
        >
          {{ d.name }}
        </button>
      </div>
      <ul>
        <li v-for="{ item, sheets } in atHand" :key="item.name" class="flex min-h-7 items-center gap-1">
          <span class="min-w-0 grow truncate" :title="item.heat">{{ item.name }}</span>
          <button
            class="count w-6.5 h-6.5 border border-line rounded-mark pointer-coarse:w-11 pointer-coarse:h-11"
            :aria-label="`One ${item.name} less`"
            @click="put(item, sheets - 1)"
          >
            −
          </button>
          <span class="figure w-5 text-center">{{ sheets }}</span>
          <button
            class="count w-6.5 h-6.5 border border-line rounded-mark pointer-coarse:w-11 pointer-coarse:h-11"
            :aria-label="`One ${item.name} more`"
            @click="put(item, sheets + 1)"
          >
            +
          </button>
        </li>
      </ul>
      <p v-if="!atHand.length" class="text-small text-quiet">Nothing at hand: press a drawer above, or type a name.</p>
      <StockPicker down class="mt-1" label="Add to the stock at hand" @pick="(item) => put(item, 1)" />
      <p v-if="problems.stock" role="alert" class="mt-1 text-small">{{ problems.stock }}</p>
    </template>
  </BenchFrame>
</template>

<style scoped>
.taken {
  border-color: var(--ink);
  font-weight: var(--font-weight-strong);
}
.count:hover {
  border-color: var(--quiet);
}
</style>
