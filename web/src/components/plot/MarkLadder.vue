<script setup lang="ts">
import { computed } from 'vue'
import LadderRails from '@/components/bench/LadderRails.vue'
import BustPicture from '@/components/light/BustPicture.vue'
import StopsText from '@/components/marks/StopsText.vue'
import { axis } from '@/lib/scales'
import { ratio, rungs, thirds } from '@/lib/stops'
import { useLight } from '@/stores/light'
import { usePlot } from '@/stores/plot'

/** The stop ladder of one mark, beside the plan: both cheeks, every source a rung, the ratio between. */
const light = useLight()
const plot = usePlot()

const HIGH = 150
const RAIL = 22
const LEFT = 30
const RIGHT = 92
const FEWEST = 1
const LOWEST = -6

const mark = computed(() => light.mark)
const sources = computed(() => light.light?.sources ?? [])
const sides = computed(() =>
  mark.value
    ? (['lit', 'shadow'] as const).map((side) => ({
        side,
        x: side === 'lit' ? LEFT : RIGHT,
        sum: mark.value![side].overStops,
        rungs: rungs(mark.value!, sources.value, side, bottom.value),
      }))
    : [],
)
const top = computed(() => Math.max(FEWEST, Math.ceil((mark.value?.lit.overStops ?? 0) + 0.4)))
const bottom = computed(() =>
  Math.min(
    top.value - 5,
    Math.max(LOWEST + Math.min(0, top.value - 1), Math.floor((mark.value?.shadow.overStops ?? -4) - 1.5)),
  ),
)
const up = computed(() => axis(bottom.value, top.value, HIGH - 10, 10))
const unknown = computed(() => sources.value.filter((s) => s.unknown))

function y(stops: number | undefined) {
  return up.value.px(Math.max(bottom.value, Math.min(top.value, stops ?? bottom.value)))
}
const gap = computed(() => {
  const m = mark.value
  return m?.litToShadow && m.lit.overStops !== undefined && m.shadow.overStops !== undefined
    ? {
        from: y(m.lit.overStops),
        to: y(m.shadow.overStops),
        ratio: ratio(m.litToShadow.ratio),
        stops: thirds(m.litToShadow.stops).replace('+', ''),
      }
    : undefined
})
</script>

<template>
  <section class="ladder" aria-label="Light at the mark">
    <template v-if="mark && light.light">
      <h2 class="text-base font-strong">
        <select
          v-if="light.light.marks.length > 1"
          class="mark max-w-30 -ml-1 bg-ground text-ink border border-transparent rounded-mark"
          aria-label="Mark"
          :value="mark.key"
          @change="light.chosenMark = ($event.target as HTMLSelectElement).value"
        >
          <option v-for="m in light.light.marks" :key="m.key" :value="m.key">At {{ m.name }}</option>
        </select>
        <template v-else>At {{ mark.name }}</template>
      </h2>
      <p class="text-fine text-quiet">
        {{ light.light.camera ? `stops from ${light.light.camera.stop}` : 'no camera stop is recorded' }}
      </p>
      <svg
        v-if="light.light.camera"
        class="drawing mt-1"
        width="122"
        :height="HIGH + 18"
        role="img"
        :aria-label="`Lit cheek ${thirds(mark.lit.overStops)} stops, shadow cheek ${thirds(mark.shadow.overStops)} stops from ${light.light.camera.stop}`"
      >
        <text :x="LEFT + RAIL / 2" y="10" text-anchor="middle" class="tick">lit</text>
        <text :x="RIGHT + RAIL / 2 - 4" y="10" text-anchor="middle" class="tick">shadow</text>
        <g transform="translate(0 14)">
          <LadderRails :left="LEFT" :right="LEFT + RAIL" :height="HIGH" :top="top" :bottom="bottom" zero />
          <LadderRails :left="RIGHT" :right="RIGHT + RAIL" :height="HIGH" :top="top" :bottom="bottom" bare />
          <path :d="`M${LEFT - 6},${up.px(0)}H120`" stroke="var(--ink)" stroke-width="1.8" />
          <template v-for="s in sides" :key="s.side">
            <rect
              v-for="r in s.rungs"
              :key="r.key"
              :x="s.x + 1"
              :y="y(r.stops) - 2.5"
              :width="RAIL - 2"
              height="5"
              :fill="r.swatch"
              stroke="var(--set)"
              stroke-width=".8"
            >
              <title>{{ r.name }} {{ thirds(r.stops) }}</title>
            </rect>
            <path
              v-if="s.sum !== undefined"
              :d="`M${s.x - 4},${y(s.sum)}h${RAIL + 8}m0,-4v8m${-RAIL - 8},-8v8`"
              stroke="var(--ink)"
              stroke-width="2.4"
              fill="none"
            />
          </template>
          <template v-if="gap">
            <path
              :d="`M${LEFT + RAIL + 5},${gap.from}h8V${Math.max(gap.from, (gap.from + gap.to) / 2 - 20)}M${RIGHT - 5},${gap.to}h-14V${Math.min(gap.to, (gap.from + gap.to) / 2 + 18)}`"
              fill="none"
              stroke="var(--ink)"
            />
            <text :x="(LEFT + RAIL + RIGHT) / 2" :y="(gap.from + gap.to) / 2 + 2" text-anchor="middle" class="ratio">
              {{ gap.ratio }}
            </text>
          </template>
        </g>
      </svg>
      <BustPicture
        v-if="light.light.camera && plot.plot"
        class="mr-2"
        small
        :shot-id="plot.plot.shot.id"
        :mark="mark.key"
        :name="mark.name"
      />
      <dl class="facts grid grid-cols-[minmax(0,1fr)_auto] gap-y-0.5 gap-x-1 mt-1.5 mr-2 pt-1.5 border-t border-line">
        <dt>lit</dt>
        <dd><StopsText :text="thirds(mark.lit.overStops)" /></dd>
        <dt>shadow</dt>
        <dd><StopsText :text="thirds(mark.shadow.overStops)" /></dd>
        <template v-if="mark.background"
          ><dt>background</dt>
          <dd><StopsText :text="thirds(mark.background.overStops)" /></dd
        ></template>
        <template v-if="mark.lit.kelvin"
          ><dt class="flex items-center gap-1">
            <span class="swatch" :style="{ background: mark.lit.swatch }" />colour
          </dt>
          <dd>{{ Math.round(mark.lit.kelvin) }}<span class="unit">K</span></dd></template
        >
        <template v-if="mark.stop"
          ><dt>meter</dt>
          <dd><StopsText :text="mark.stop" /></dd
        ></template>
      </dl>
      <p v-if="gap" class="note mt-1.5 mr-2 text-fine text-quiet">
        Predicted. Ratio lit to shadow<template v-if="mark.keyToFill"
          >; key to fill alone {{ ratio(mark.keyToFill.ratio) }}</template
        >.
      </p>
      <p v-for="s in unknown" :key="s.key" class="note mt-1.5 mr-2 text-fine text-quiet">{{ s.unknown }}</p>
    </template>
    <p v-else class="text-quiet">
      {{ light.answer ? 'Place a mark: the light on it is shown here.' : 'Working out the light…' }}
    </p>
  </section>
</template>

<style scoped>
.ladder {
  padding: 10px 0 8px 10px;
  border-left: 1px solid var(--line);
  overflow-y: auto;
  overflow-x: hidden;
  scrollbar-width: none;
}
.drawing .ratio {
  font-size: var(--text-large);
  font-weight: var(--font-weight-strong);
}
.mark:hover {
  border-color: var(--line);
}
.facts dt {
  font-size: var(--text-small);
  color: var(--quiet);
}
.facts dd {
  font: 500 var(--text-base) var(--font-mono);
  letter-spacing: -0.02em;
  text-align: right;
}
</style>
