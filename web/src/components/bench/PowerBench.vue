<script setup lang="ts">
import { computed } from 'vue'
import { answer, api, ApiError } from '@/api/client'
import type { BatteryRun, Loaded } from '@/api/types'
import BenchField from '@/components/bench/BenchField.vue'
import BenchFrame from '@/components/bench/BenchFrame.vue'
import ChoiceField from '@/components/dialogs/ChoiceField.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import { understand } from '@/lib/figures'
import { fixed } from '@/lib/print'
import { LEVEL_CURVES, type LevelCurve } from '@/lib/words'
import { useBench, type BenchField as Field, type Values } from '@/lib/useBench'

interface Picture {
  loaded: Loaded
  battery: BatteryRun
}

const STARTS = [
  ['wall left', '16', '1', '640 + 210'],
  ['wall right', '16', '2', '1000 + 650 + 650'],
  ['counter', '10', '3', '320'],
] as const
const MOST_CIRCUITS = 12
const PHASES = [
  { key: '', name: 'no phase' },
  { key: '1', name: 'phase 1' },
  { key: '2', name: 'phase 2' },
  { key: '3', name: 'phase 3' },
]

function rowsOf(circuits = String(STARTS.length)): number[] {
  return Array.from({ length: Math.min(MOST_CIRCUITS, Number(circuits) || 0) }, (_, i) => i)
}

const { text, problems, problem, picture, stale } = useBench<Picture>({
  fields: (now) => {
    const fields: Record<string, Field> = {
      volts: { kind: 'NUMBER', start: '230' },
      powerFactor: { kind: 'NUMBER', start: '0.95' },
      continuousFraction: { kind: 'NUMBER', start: '0.8' },
      circuits: { start: String(STARTS.length) },
      wattHours: { kind: 'NUMBER', start: '98' },
      usable: { kind: 'NUMBER', start: '0.9' },
      watts: { kind: 'NUMBER', start: '60' },
      idleWatts: { kind: 'NUMBER', start: '6' },
      levelPercent: { kind: 'LEVEL', start: '80' },
      curve: { start: 'LINEAR' },
    }
    for (const i of rowsOf(now.circuits)) {
      const [name, breaker, phase, loads] = STARTS[i] ?? [`circuit ${i + 1}`, '16', '', '0']
      fields[`name${i}`] = { start: name }
      fields[`breaker${i}`] = { kind: 'NUMBER', start: breaker }
      fields[`phase${i}`] = { start: phase }
      fields[`loads${i}`] = { start: loads }
    }
    return fields
  },
  draw,
})

const rows = computed(() => rowsOf(text.circuits))

/** Watts of each circuit's loads: `640 + 210`, each typed as one says it, read by the server in one go. */
async function loads(): Promise<number[][]> {
  const parts = rows.value.map((i) =>
    (text[`loads${i}`] ?? '')
      .split('+')
      .map((part) => part.trim())
      .filter(Boolean),
  )
  const items = await understand(parts.flat().map((part) => ({ kind: 'NUMBER', text: part })))
  return parts.map((own, i) => {
    const read = items.splice(0, own.length)
    const wrong = read.find((item) => item.problem)
    if (wrong) throw new ApiError(400, wrong.problem!, `loads${i}`)
    return read.map((item) => item.value!)
  })
}

async function draw(v: Values): Promise<Picture> {
  const watts = await loads()
  const circuits = rows.value.map((i) => ({
    name: text[`name${i}`],
    breakerAmps: v[`breaker${i}`],
    phase: text[`phase${i}`] ? Number(text[`phase${i}`]) : undefined,
    loads: watts[i]!.map((one) => ({ watts: one, powerFactor: v.powerFactor })),
  }))
  const [loaded, battery] = await Promise.all([
    answer(
      api.POST('/api/bench/power', {
        body: { volts: v.volts, continuousFraction: v.continuousFraction, circuits },
      }),
    ),
    answer(
      api.POST('/api/bench/battery', {
        body: {
          wattHours: v.wattHours,
          usable: v.usable,
          watts: v.watts,
          idleWatts: v.idleWatts,
          levelPercent: v.levelPercent,
          curve: text.curve as LevelCurve,
        },
      }),
    ),
  ])
  return { loaded, battery }
}

const most = computed(() => Math.max(1.2, ...(picture.value?.loaded.circuits ?? []).map((c) => c.utilisation)))
const mostAmps = computed(() => Math.max(1, ...Object.values(picture.value?.loaded.phaseAmps ?? {}).map(Number)))
function time(hours: number) {
  const minutes = Math.round(hours * 60)
  return minutes >= 60 ? `${Math.floor(minutes / 60)} h ${minutes % 60} min` : `${minutes} min`
}
const summary = computed(() => {
  const p = picture.value
  if (!p) return ''
  return [
    ...p.loaded.circuits.map(
      (c) => `${c.name}: ${fixed(c.amps, 1)} of ${fixed(c.limitAmps, 1)} A${c.over ? ', over its limit' : ''}`,
    ),
    `Phases ${Object.values(p.loaded.phaseAmps)
      .map((a) => fixed(Number(a), 1))
      .join(' / ')} A, unbalance ${fixed(p.loaded.unbalance * 100, 0)} %`,
    `Battery ${text.wattHours} Wh: draws ${fixed(p.battery.drawWatts, 0)} W, lasts ${fixed(p.battery.hours, 2)} h`,
    'Estimates: a qualified electrician and the local code decide.',
  ].join('\n')
})
</script>

<template>
  <BenchFrame
    title="Power"
    hint="estimates: a qualified electrician and the local code decide"
    :stale="stale"
    :problem="problem"
    :summary="summary"
  >
    <template v-if="picture">
      <div class="px-4 py-3">
        <div
          v-for="(c, i) in picture.loaded.circuits"
          :key="i"
          class="bar-row grid grid-cols-[100px_minmax(0,1fr)_118px_150px] gap-2 items-center upright:grid-cols-[80px_minmax(0,1fr)_104px]"
          data-circuit
        >
          <span class="truncate font-semibold">{{ c.name }}</span>
          <svg width="100%" height="26" role="img" :aria-label="`${fixed(c.utilisation * 100, 0)} % of its limit`">
            <rect
              x="0"
              y="7"
              :width="`${(c.utilisation / most) * 100}%`"
              height="12"
              :fill="c.over ? 'var(--ink)' : 'var(--quiet)'"
            />
            <line :x1="`${100 / most}%`" :x2="`${100 / most}%`" y1="1" y2="25" stroke="var(--ink)" stroke-width="1.8" />
          </svg>
          <span class="figure text-right"
            >{{ fixed(c.amps, 1) }}<span class="unit">of {{ fixed(c.limitAmps, 1) }} A</span></span
          >
          <span class="flex gap-1 text-small"
            ><template v-if="c.over"><WedgeMark act /> over its limit: move a load</template
            ><template v-else
              ><span class="text-quiet">{{ fixed(c.utilisation * 100, 0) }} %</span></template
            ></span
          >
        </div>
        <p class="mt-1 text-small text-quiet">
          The line is what may be drawn for hours: {{ text.continuousFraction }} of the breaker.
        </p>
      </div>
      <div class="border-t border-line px-4 py-3">
        <h3 class="mb-1 text-base">Phases</h3>
        <div
          v-for="(amps, phase) in picture.loaded.phaseAmps"
          :key="phase"
          class="bar-row grid grid-cols-[100px_minmax(0,1fr)_118px_150px] gap-2 items-center upright:grid-cols-[80px_minmax(0,1fr)_104px]"
        >
          <span>phase {{ phase }}</span>
          <svg width="100%" height="20" aria-hidden="true">
            <rect y="5" :width="`${(Number(amps) / mostAmps) * 80}%`" height="10" fill="var(--quiet)" />
          </svg>
          <span class="figure text-right">{{ fixed(Number(amps), 1) }}<span class="unit">A</span></span
          ><span />
        </div>
        <p class="text-small">
          Unbalance <span class="figure">{{ fixed(picture.loaded.unbalance * 100, 0) }} %</span>{{ ' ' }}
          <span class="text-quiet">of the mean.</span>
        </p>
      </div>
      <div class="border-t border-line px-4 py-3" data-found="battery">
        <h3 class="mb-1 text-base">Battery</h3>
        <p>
          <span class="figure text-slate">{{ time(picture.battery.hours) }}</span>{{ ' ' }}
          <span class="figure text-quiet">{{ fixed(picture.battery.hours, 2) }} h</span>, drawing
          <span class="figure">{{ fixed(picture.battery.drawWatts, 1) }}</span> W.
          <span class="text-quiet">An estimate: age and cold take from it.</span>
        </p>
      </div>
    </template>
    <template #fields>
      <slot />
      <h3 class="group-title mb-1">Supply</h3>
      <BenchField v-model="text.volts!" label="mains" unit="V" :problem="problems.volts" />
      <BenchField v-model="text.powerFactor!" label="power factor" :problem="problems.powerFactor" />
      <BenchField
        v-model="text.continuousFraction!"
        label="breaker, for hours"
        :problem="problems.continuousFraction"
      />
      <fieldset v-for="i in rows" :key="i" class="mt-2 border-t border-line pt-2">
        <legend class="sr-only">Circuit {{ i + 1 }}</legend>
        <div class="flex gap-1">
          <input
            v-model="text[`name${i}`]"
            class="field font-semibold"
            :aria-label="`Name of circuit ${i + 1}`"
            maxlength="60"
          /><input
            v-model="text[`breaker${i}`]"
            class="field figure !w-16 text-right"
            :aria-label="`Breaker of circuit ${i + 1}, amperes`"
          /><span class="self-center text-small text-quiet">A</span>
        </div>
        <div class="mt-1 flex gap-1">
          <input
            v-model="text[`loads${i}`]"
            class="field figure"
            :aria-label="`Watts on circuit ${i + 1}, such as 640 + 210`"
          /><span class="self-center text-small text-quiet">W</span>
        </div>
        <ChoiceField v-model="text[`phase${i}`]!" label="" :options="PHASES" />
        <p v-if="problems[`breaker${i}`] ?? problems[`loads${i}`]" role="alert" class="text-small">
          {{ problems[`breaker${i}`] ?? problems[`loads${i}`] }}
        </p>
      </fieldset>
      <div class="mt-1 flex gap-1">
        <button
          class="button"
          :disabled="rows.length >= MOST_CIRCUITS"
          @click="text.circuits = String(rows.length + 1)"
        >
          One circuit more
        </button>
        <button class="button" :disabled="!rows.length" @click="text.circuits = String(rows.length - 1)">
          One less
        </button>
      </div>
      <h3 class="group-title mt-4 mb-1">Battery</h3>
      <BenchField v-model="text.wattHours!" label="capacity" unit="Wh" :problem="problems.wattHours" />
      <BenchField v-model="text.usable!" label="of that usable" :problem="problems.usable" />
      <BenchField v-model="text.watts!" label="head at full" unit="W" :problem="problems.watts" />
      <BenchField v-model="text.idleWatts!" label="on, but dark" unit="W" :problem="problems.idleWatts" />
      <BenchField v-model="text.levelPercent!" label="level" unit="%" :problem="problems.levelPercent" />
      <ChoiceField v-model="text.curve!" label="level curve" :options="LEVEL_CURVES" />
    </template>
  </BenchFrame>
</template>

<style scoped>
@media (width < 1100px) {
  .bar-row > :last-child:not(:empty) {
    grid-column: 1 / -1;
  }
}
</style>
