<script setup lang="ts">
import { computed, ref } from 'vue'
import { answer, api } from '@/api/client'
import type { components } from '@/api/generated/schema'
import type { BothSchools, Exposed, Kind, Phrase, Ratio } from '@/api/types'
import BenchField from '@/components/bench/BenchField.vue'
import BenchFrame from '@/components/bench/BenchFrame.vue'
import StopLadder from '@/components/bench/StopLadder.vue'
import ChoiceField from '@/components/dialogs/ChoiceField.vue'
import StopsText from '@/components/marks/StopsText.vue'
import { say } from '@/lib/figures'
import { fixed, signed } from '@/lib/print'
import { useBench, type BenchField as Field, type Values } from '@/lib/useBench'
import { useSize } from '@/lib/useSize'
import { SIGNAL_CURVES } from '@/lib/words'
import { useSettings } from '@/stores/settings'

interface Picture {
  exposed: Exposed
  stop: string
  read: Ratio
  /** The quick division beside a curve. */
  quick?: Ratio
  readBy: string
  schools: BothSchools
  needs: Phrase
}

const settings = useSettings()
const lightUnit = computed(() => (settings.units === 'imperial' ? 'fc' : 'lux'))
const MODES = [
  { key: 'SIGNAL', name: 'percent on the monitor' },
  { key: 'T_STOP', name: 'stops on the meter' },
  { key: 'LUX', name: 'light on the meter' },
]
const CURVES = SIGNAL_CURVES.filter((c) => c.key !== 'NONE')
const SHUTTERS = [
  { key: 'TIME', name: 'as a time' },
  { key: 'ANGLE', name: 'as an angle' },
]
const SIDE_KINDS: Record<string, Kind> = { SIGNAL: 'NUMBER', T_STOP: 'T_STOP', LUX: 'LIGHT' }

function shutter(by = 'TIME'): Record<string, Field> {
  return by === 'ANGLE'
    ? { fps: { kind: 'NUMBER', start: '24' }, shutterAngleDeg: { kind: 'NUMBER', start: '180' } }
    : { shutterSeconds: { kind: 'SHUTTER_SECONDS', start: '1/48' } }
}

const { text, problems, problem, picture, stale } = useBench<Picture>({
  fields: (now) => ({
    lux: { kind: 'LIGHT', start: '320 lux' },
    iso: { kind: 'ISO', start: '800' },
    shutterBy: { start: 'TIME' },
    ...shutter(now.shutterBy),
    lensNdStops: { kind: 'STOPS', start: '0' },
    calibrationConstant: { kind: 'NUMBER', start: '250' },
    tStop: { kind: 'T_STOP', start: '2.8' },
    mode: { start: 'SIGNAL' },
    curve: { start: 'BT709' },
    lit: { kind: SIDE_KINDS[now.mode ?? 'SIGNAL'], start: '54' },
    shadow: { kind: SIDE_KINDS[now.mode ?? 'SIGNAL'], start: '12' },
    keyLux: { kind: 'LIGHT', start: '320 lux' },
    fillLux: { kind: 'LIGHT', start: '80 lux' },
  }),
  draw,
})

async function draw(v: Values): Promise<Picture> {
  const { lux, iso, lensNdStops, calibrationConstant, tStop, lit, shadow, keyLux, fillLux } = v
  const opened =
    text.shutterBy === 'ANGLE'
      ? { fps: v.fps, shutterAngleDeg: v.shutterAngleDeg }
      : { shutterSeconds: v.shutterSeconds }
  const mode = text.mode as 'T_STOP' | 'SIGNAL' | 'LUX'
  const ask = (curve?: components['schemas']['TwoSides']['curve']) =>
    answer(api.POST('/api/bench/ratio', { body: { mode, curve, lit, shadow } }))
  const signal = mode === 'SIGNAL'
  const [exposed, read, quick, schools] = await Promise.all([
    answer(
      api.POST('/api/bench/exposure', {
        body: { lux, iso, ...opened, lensNdStops, calibrationConstant, tStop },
      }),
    ),
    ask(signal ? (text.curve as 'BT709') : undefined),
    signal ? ask('NONE') : undefined,
    answer(api.POST('/api/bench/lights-ratio', { body: { keyLux, fillLux } })),
  ])
  const [needs] = await say('LIGHT', [exposed.requiredLux ?? 0])
  return {
    exposed,
    stop: `T${(text.tStop ?? '').replace(/^t/i, '')}`,
    read,
    quick,
    schools,
    needs: needs!,
    readBy: signal
      ? `through ${CURVES.find((c) => c.key === text.curve)?.name}`
      : MODES.find((m) => m.key === mode)!.name,
  }
}

const over = computed(() => picture.value?.exposed.stopsOver ?? 0)
const range = computed(() => ({
  top: Math.max(2, Math.ceil(over.value)) + 0.4,
  bottom: Math.min(-2, Math.floor(over.value)) - 0.4,
}))
const ratio = (value: number) => `${fixed(value, value < 1 ? 2 : 1)}:1`
const stops = (value: number) => `${fixed(value, 1)} stops`
/** The darker side hangs below the brighter one. */
function sides(read: Ratio, lit: string, shadow: string) {
  return {
    bars: [
      { key: 'lit', at: 0, name: lit, as: 'bar' as const },
      { key: 'shadow', at: -read.stops, name: shadow, as: 'bar' as const },
    ],
    gap: { from: 0, to: -read.stops, ratio: ratio(read.ratio), stops: stops(read.stops) },
    top: Math.max(0, -read.stops) + 0.7,
    bottom: Math.min(-2, -read.stops) - 0.7,
  }
}
const ladders = computed(() => {
  const p = picture.value
  if (!p) return []
  const unit = text.mode === 'SIGNAL' ? ' %' : ''
  const named = [`lit ${text.lit}${unit}`, `shadow ${text.shadow}${unit}`] as const
  return [
    { title: `Two sides, ${p.readBy}`, ...sides(p.read, ...named) },
    ...(p.quick ? [{ title: 'The same, percent divided (display-referred)', ...sides(p.quick, ...named) }] : []),
    {
      title: 'Key alone to fill alone',
      ...sides({ ratio: p.schools.keyToFill, stops: p.schools.keyToFillStops }, 'key', 'fill'),
    },
    {
      title: 'Lit side to shadow side (key + fill to fill)',
      ...sides({ ratio: p.schools.litToShadow, stops: p.schools.litToShadowStops }, 'key + fill', 'fill'),
    },
  ]
})
const told = computed(() => {
  const p = picture.value
  if (!p) return ''
  const off =
    Math.abs(over.value) < 0.05
      ? 'right on it'
      : `${fixed(Math.abs(over.value), 1)} stops ${over.value > 0 ? 'over' : 'under'}`
  return `${p.stop} needs ${p.needs[settings.units]}; this light is ${off}. It asks for`
})
const element = ref<HTMLElement>()
const size = useSize(element)
/** On a phone two ladders stand beside each other, lower ones. */
const high = computed(() => (size.value.width < 600 ? 280 : 440))
const summary = computed(() =>
  [
    `${told.value} ${picture.value?.exposed.label}.`,
    ...ladders.value.map((l) => `${l.title}: ${l.gap.ratio}, ${l.gap.stops}`),
  ].join('\n'),
)
</script>

<template>
  <BenchFrame
    title="Exposure and ratio"
    hint="ticks are thirds of a stop"
    :stale="stale"
    :problem="problem"
    :summary="summary"
  >
    <template v-if="picture">
      <div ref="element" class="grid grid-cols-[repeat(auto-fit,minmax(150px,1fr))] gap-y-3 gap-x-1 p-3">
        <StopLadder
          title="This light, in stops from the stop that is set"
          :bars="[{ key: 'light', at: over, name: 'light', figure: signed(over, 1), as: 'rung' }]"
          :top="range.top"
          :bottom="range.bottom"
          :line="picture.stop"
          :height="high"
        />
        <StopLadder v-for="l in ladders" :key="l.title" v-bind="l" bare :height="high" />
      </div>
      <p class="px-4 pb-3" data-found="exposure">
        {{ told }} <b class="figure"><StopsText :text="picture.exposed.label" /></b>.
      </p>
    </template>
    <template #fields>
      <h3 class="group-title mb-1">Exposure</h3>
      <BenchField v-model="text.lux!" label="light" :unit="lightUnit" :problem="problems.lux" />
      <BenchField v-model="text.tStop!" label="stop set" unit="T" :problem="problems.tStop" />
      <BenchField v-model="text.iso!" label="ISO" :problem="problems.iso" />
      <ChoiceField v-model="text.shutterBy!" label="shutter" :options="SHUTTERS" />
      <template v-if="text.shutterBy === 'ANGLE'">
        <BenchField v-model="text.fps!" label="frames a second" :problem="problems.fps" />
        <BenchField v-model="text.shutterAngleDeg!" label="angle" unit="°" :problem="problems.shutterAngleDeg" />
      </template>
      <BenchField v-else v-model="text.shutterSeconds!" label="time" unit="s" :problem="problems.shutterSeconds" />
      <BenchField v-model="text.lensNdStops!" label="ND on the lens" unit="stops" :problem="problems.lensNdStops" />
      <BenchField
        v-model="text.calibrationConstant!"
        label="meter’s constant"
        :problem="problems.calibrationConstant"
      />
      <h3 class="group-title mt-3 mb-1">Lit and shadow, read</h3>
      <ChoiceField v-model="text.mode!" label="by" :options="MODES" />
      <ChoiceField v-if="text.mode === 'SIGNAL'" v-model="text.curve!" label="curve" :options="CURVES" />
      <BenchField
        v-model="text.lit!"
        label="lit side"
        :unit="text.mode === 'SIGNAL' ? '%' : text.mode === 'LUX' ? lightUnit : 'T'"
        :problem="problems.lit"
      />
      <BenchField
        v-model="text.shadow!"
        label="shadow side"
        :unit="text.mode === 'SIGNAL' ? '%' : text.mode === 'LUX' ? lightUnit : 'T'"
        :problem="problems.shadow"
      />
      <h3 class="group-title mt-3 mb-1">Key and fill, each alone</h3>
      <BenchField v-model="text.keyLux!" label="key" :unit="lightUnit" :problem="problems.keyLux" />
      <BenchField v-model="text.fillLux!" label="fill" :unit="lightUnit" :problem="problems.fillLux" />
    </template>
  </BenchFrame>
</template>
