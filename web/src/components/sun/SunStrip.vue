<script setup lang="ts">
import { computed, ref } from 'vue'
import type { SunComes, SunLies, SunTrack } from '@/api/types'
import { clock } from '@/lib/dayTime'
import { fixed } from '@/lib/print'
import { useSize } from '@/lib/useSize'

/** The sun through a date: how high it stands, when it comes on what, and the minute that is looked at. */
const props = defineProps<{
  track?: SunTrack
  lies?: SunLies
  date: string
  problem: string
  locked: boolean
  /** A mark that is chosen: what is recorded is of it. */
  mark?: { key: string; name: string }
}>()
const emit = defineEmits<{ date: [date: string]; lay: []; again: [] }>()
const minute = defineModel<number>('minute')

const HOUR = 60
const HEAD_PX = 40
const ROW_PX = 16
const NAMES_PX = 132
const LOOK_PX = 12
const LABEL_PX = 44

const chart = ref<HTMLElement>()
const size = useSize(chart)
const from = computed(() => Math.max(0, Math.floor((props.track?.path[0]?.minute ?? 0) / HOUR - 1) * HOUR))
const to = computed(() => Math.min(24 * HOUR, Math.ceil((props.track?.path.at(-1)?.minute ?? 1439) / HOUR + 1) * HOUR))
const across = computed(() => Math.max(80, size.value.width - NAMES_PX - LOOK_PX))
const x = (m: number) => NAMES_PX + ((m - from.value) / (to.value - from.value)) * across.value
const y = (up: number) => HEAD_PX - 4 - (Math.max(0, up) / 90) * (HEAD_PX - 8) * 1.6
const curve = computed(() => props.track?.path.map((s) => `${x(s.minute)},${Math.max(2, y(s.upDeg))}`).join(' '))
const hours = computed(() => {
  const all = []
  for (let h = from.value; h <= to.value; h += HOUR) all.push(h)
  return all
})
/** So many hours lie between two that are named. */
const named = computed(() => Math.ceil(LABEL_PX / Math.max(1, x(HOUR) - x(0))) * HOUR)
const stands = computed(() => {
  const { lies } = props
  if (!lies || minute.value === undefined) return ''
  const name = props.track?.lights.find((l) => l.spans.some((s) => minute.value! >= s.from && minute.value! <= s.to))
  const where =
    lies.upDeg > 0
      ? `bearing ${Math.round(lies.bearingDeg)}°, ${fixed(lies.upDeg, 0)}° up`
      : `${fixed(-lies.upDeg, 0)}° below the horizon`
  return name ? `${where}, ${name.name}` : where
})
const said = (name: string, comes: SunComes[]) =>
  comes.length
    ? `${name}: ${comes.map((c) => `${clock(c.from)} to ${clock(c.to)}${c.opening ? ` by ${c.opening}` : ''}`).join(', ')}.`
    : `${name}: not on this date.`
const golden = computed(() => props.track?.lights.filter((l) => l.spans.length) ?? [])

function typed(event: Event) {
  const field = event.target as HTMLInputElement
  const [h, m] = field.value.split(':').map(Number)
  if (h !== undefined && m !== undefined) minute.value = h * HOUR + m
}
</script>

<template>
  <section class="sun-strip" aria-label="The sun">
    <div class="facts">
      <div class="flex gap-1">
        <input
          class="field date"
          type="date"
          aria-label="Date"
          :value="date"
          @change="emit('date', ($event.target as HTMLInputElement).value)"
        />
        <input
          v-if="minute !== undefined"
          class="field time"
          type="time"
          aria-label="Time"
          :value="clock(minute)"
          @change="typed"
        />
      </div>
      <p v-if="problem" role="alert" class="text-small">{{ problem }}</p>
      <p v-else class="text-small" role="status">{{ stands }}</p>
      <p class="text-fine text-quiet">
        {{ track?.zone }}; no refraction, only the drawn set stands in its way (model).
      </p>
    </div>
    <div ref="chart" class="chart">
      <svg
        v-if="track"
        :width="size.width"
        :height="HEAD_PX + ROW_PX * track.targets.length + 4"
        role="img"
        :aria-label="track.targets.map((t) => said(t.name, t.comes)).join(' ')"
      >
        <g v-for="l in golden" :key="l.name">
          <rect
            v-for="s in l.spans.filter((one) => one.to > from && one.from < to)"
            :key="s.from"
            :x="x(Math.max(s.from, from))"
            y="0"
            :width="Math.max(1, x(Math.min(s.to, to)) - x(Math.max(s.from, from)))"
            :height="HEAD_PX - 4"
            class="light"
            :class="l.name.split(' ')[0]"
          >
            <title>{{ l.name }} {{ clock(s.from) }} to {{ clock(s.to) }}</title>
          </rect>
        </g>
        <g v-for="h in hours" :key="h">
          <path :d="`M${x(h)},0V${HEAD_PX + ROW_PX * track.targets.length}`" class="hour" />
          <text v-if="h < to && (h - from) % named === 0" :x="x(h) + 3" y="10">{{ clock(h) }}</text>
        </g>
        <polyline :points="curve" class="way" />
        <g v-for="(t, i) in track.targets" :key="t.name">
          <text :x="NAMES_PX - 8" :y="HEAD_PX + ROW_PX * i + 10" text-anchor="end" class="name">
            {{ t.name.length > 20 ? `${t.name.slice(0, 19)}…` : t.name }}
            <title>{{ said(t.name, t.comes) }}</title>
          </text>
          <rect
            v-for="c in t.comes"
            :key="c.from"
            :x="x(c.from)"
            :y="HEAD_PX + ROW_PX * i + 1"
            :width="Math.max(1.5, x(c.to) - x(c.from))"
            :height="ROW_PX - 5"
            class="comes"
            :class="{ wall: !t.mark }"
          >
            <title>{{ clock(c.from) }} to {{ clock(c.to) }}{{ c.opening ? `, by ${c.opening}` : '' }}</title>
          </rect>
          <circle
            v-if="t.streak?.minute !== undefined"
            :cx="x(t.streak.minute)"
            :cy="HEAD_PX + ROW_PX * i + ROW_PX / 2 - 1.5"
            r="5"
            class="streak"
          />
        </g>
        <path
          v-if="minute !== undefined"
          :d="`M${x(minute)},0V${HEAD_PX + ROW_PX * track.targets.length + 2}`"
          class="look"
        />
      </svg>
      <input
        v-if="minute !== undefined"
        v-model.number="minute"
        type="range"
        class="range"
        :style="{ left: `${NAMES_PX - 8}px`, width: `${across + 16}px` }"
        aria-label="Minute of the day"
        :aria-valuetext="`${clock(minute)}, ${stands}`"
        :min="from"
        :max="Math.min(to, 1439)"
        step="1"
      />
    </div>
    <div class="acts">
      <button class="button" :disabled="!mark || locked || !lies || lies.upDeg <= 0" @click="emit('lay')">
        {{ mark ? `It lay on ${mark.name}` : 'Choose a mark' }}
      </button>
      <button class="button" :disabled="!mark || !lies || lies.upDeg <= 0" @click="emit('again')">
        Make it again…
      </button>
    </div>
  </section>
</template>

<style scoped>
.sun-strip {
  display: grid;
  grid-template-columns: 234px minmax(0, 1fr) 158px;
  gap: 10px;
  padding: 8px 10px;
  height: 126px;
}
.facts,
.acts {
  display: grid;
  gap: 4px;
  align-content: start;
}
.date {
  width: 128px;
}
.time {
  width: 100px;
}
.acts .button {
  width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
}
.chart {
  position: relative;
  overflow: auto;
}
.chart svg {
  display: block;
}
.range {
  position: absolute;
  top: 0;
  height: 36px;
  margin: 0;
  opacity: 0;
  cursor: ew-resize;
}
.range:focus-visible {
  opacity: 0.6;
}
.hour {
  stroke: var(--line);
}
.way {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6px;
}
.light {
  fill: none;
}
.light.golden {
  fill: var(--raised);
}
.light.night,
.light.dusk {
  fill: var(--panel);
}
.comes {
  fill: var(--ink);
  fill-opacity: 0.75;
}
.comes.wall {
  fill: none;
  stroke: var(--quiet);
}
.streak {
  fill: var(--ground);
  stroke: var(--ink);
  stroke-width: 1.4px;
}
.look {
  stroke: var(--accent);
  stroke-width: 2px;
  pointer-events: none;
}
text {
  font-size: var(--text-fine);
  fill: var(--quiet);
}
.name {
  fill: var(--ink);
}
@media (width < 800px) {
  .sun-strip {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
    gap: 6px;
  }
  .chart {
    max-height: 92px;
  }
  .acts {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
