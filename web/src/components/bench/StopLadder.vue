<script setup lang="ts">
import { computed } from 'vue'
import LadderRails from '@/components/bench/LadderRails.vue'
import StopsText from '@/components/marks/StopsText.vue'
import { axis } from '@/lib/scales'

export interface LadderBar {
  key: string
  /** stops above 0 */
  at: number
  name: string
  figure?: string
  /** One source: a rung between the rails. All together: a bar through both. Metered: a ring. */
  as: 'rung' | 'bar' | 'ring'
}

/** The stop ladder: thirds of a stop, the line across, and the gap between two bars as a ratio. */
const props = defineProps<{
  title: string
  bars: LadderBar[]
  /** stops */
  top: number
  /** stops */
  bottom: number
  /** What stands at the line across, `T2.8`; without it there is none. */
  line?: string
  /** Bars that a ratio stands between, upper first, with the ratio and its stops. */
  gap?: { from: number; to: number; ratio: string; stops: string }
  height?: number
  /** Figures of the axis are left out where only gaps mean something. */
  bare?: boolean
}>()

const APART = 40
const high = computed(() => props.height ?? 400)
const up = computed(() => axis(props.bottom, props.top, high.value - 10, 10))
const rail = computed(() => (props.bare ? 12 : 44))
const across = computed(() => rail.value + APART)
</script>

<template>
  <figure class="m-0 min-w-0">
    <figcaption class="min-h-10 px-1 pb-1 text-small text-quiet">{{ title }}</figcaption>
    <svg
      class="drawing"
      width="100%"
      :height="high"
      role="img"
      :aria-label="`${title}: ${bars.map((b) => `${b.name} ${b.figure ?? ''}`).join(', ')}${gap ? `, ratio ${gap.ratio}` : ''}`"
    >
      <LadderRails :left="rail" :right="across" :height="high" :top="top" :bottom="bottom" :bare="bare" zero />
      <g v-if="line">
        <line :x1="rail - 10" x2="100%" :y1="up.px(0)" :y2="up.px(0)" stroke="var(--ink)" stroke-width="1.8" />
        <foreignObject :x="across + 8" :y="up.px(0) - 24" width="120" height="22"
          ><div class="figure text-lead"><StopsText :text="line" /></div
        ></foreignObject>
      </g>
      <template v-if="gap">
        <path
          :d="`M${across + 12},${up.px(gap.from)}H${across + 30}V${up.px((gap.from + gap.to) / 2) - 26}M${across + 12},${up.px(gap.to)}H${across + 30}V${up.px((gap.from + gap.to) / 2) + 26}`"
          fill="none"
          stroke="var(--ink)"
        />
        <text :x="across + 16" :y="up.px((gap.from + gap.to) / 2) + 4" class="ratio">{{ gap.ratio }}</text>
        <text :x="across + 16" :y="up.px((gap.from + gap.to) / 2) + 20" class="tick">{{ gap.stops }}</text>
      </template>
      <g v-for="b in bars" :key="b.key">
        <path
          v-if="b.as === 'bar'"
          :d="`M${rail - 6},${up.px(b.at)}H${across + 6}M${rail - 6},${up.px(b.at) - 6}v12M${across + 6},${up.px(b.at) - 6}v12`"
          stroke="var(--ink)"
          stroke-width="2.4"
        />
        <rect
          v-else-if="b.as === 'rung'"
          :x="rail + 1"
          :y="up.px(b.at) - 3"
          :width="APART - 2"
          height="6"
          fill="var(--ink)"
        />
        <circle
          v-else
          :cx="rail + APART / 2"
          :cy="up.px(b.at)"
          r="4.6"
          fill="var(--ground)"
          stroke="var(--ink)"
          stroke-width="2"
        />
        <text
          :x="across + 12"
          :y="
            up.px(b.at) +
            (line && Math.abs(up.px(b.at) - up.px(0)) < 18
              ? 18
              : b.as === 'bar' && gap
                ? b.at === gap.from
                  ? -8
                  : 16
                : 4)
          "
        >
          {{ b.name }}
          <tspan class="figure">{{ b.figure }}</tspan>
        </text>
      </g>
    </svg>
  </figure>
</template>

<style scoped>
.drawing .ratio {
  font-size: var(--text-slate);
  font-weight: var(--font-weight-strong);
}
</style>
