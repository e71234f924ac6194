<script setup lang="ts">
import { computed, ref } from 'vue'
import type { DayFeeds } from '@/api/types'
import { clock, hourScale } from '@/lib/dayTime'
import { useSize } from '@/lib/useSize'
import CircuitLane from './CircuitLane.vue'

/** What the circuits of this set carry over the shot's day, with the takes behind. */
const props = defineProps<{ set: DayFeeds['sets'][number]; day: number; slate: string }>()
const HEADS = 56
const BAR = 46
const body = ref<HTMLElement>()
const size = useSize(body)
const wide = computed(() => Math.max(160, size.value.width - HEADS - 8))
const steps = computed(() => props.set.circuits.flatMap((c) => c.steps))
const scale = computed(() =>
  hourScale(Math.min(...steps.value.map((s) => s.from)), Math.max(...steps.value.map((s) => s.to)), wide.value),
)
/** Takes, in time. */
const takes = computed(() => {
  const all = new Map<string, { shot: string; from: number; to: number }>()
  for (const s of props.set.circuits[0]?.steps ?? []) {
    if (!s.shot || !s.inTakes) continue
    const before = all.get(s.shot)
    all.set(s.shot, { shot: s.shot, from: before?.from ?? s.from, to: s.to })
  }
  return [...all.values()]
})
</script>

<template>
  <section v-if="steps.length" ref="body" class="over" aria-label="Over the day">
    <h2 class="group-title">
      Over day {{ day }} <small class="font-normal text-quiet">each as high as its breaker (estimate)</small>
    </h2>
    <div class="chart" :style="{ height: `${set.circuits.length * (BAR + 16) + 42}px` }">
      <div
        v-for="t in takes"
        :key="t.shot"
        class="takes"
        :class="{ here: t.shot === slate }"
        :style="{ left: `${HEADS + scale.x(t.from)}px`, width: `${scale.x(t.to) - scale.x(t.from)}px` }"
      >
        <span>{{ t.shot }}</span>
      </div>
      <i v-for="h in scale.hours" :key="h" :style="{ left: `${HEADS + scale.x(h)}px` }"
        ><span class="figure">{{ clock(h) }}</span></i
      >
      <div v-for="(c, n) in set.circuits" :key="c.name" class="row" :style="{ top: `${22 + n * (BAR + 16)}px` }">
        <b :style="{ width: `${HEADS - 12}px` }">{{ c.name }}</b>
        <CircuitLane
          class="lane"
          :style="{ left: `${HEADS}px` }"
          :circuit="c"
          :scale="scale"
          :width="wide"
          :height="BAR"
        />
      </div>
    </div>
  </section>
</template>

<style scoped>
.over {
  border-top: 1px solid var(--line);
  margin-top: 14px;
  padding-top: 10px;
}
.chart {
  position: relative;
}
.takes {
  position: absolute;
  top: 0;
  bottom: 20px;
  background: var(--panel);
}
.takes.here {
  outline: 1px solid var(--accent);
}
.takes span {
  position: absolute;
  top: 0;
  left: 2px;
  font-size: var(--text-small);
  white-space: nowrap;
}
i {
  position: absolute;
  top: 16px;
  bottom: 20px;
  border-left: 1px solid var(--line);
}
i span {
  position: absolute;
  bottom: -20px;
  transform: translateX(-50%);
  font-size: var(--text-fine);
  font-style: normal;
  color: var(--quiet);
}
.row {
  position: absolute;
  left: 0;
}
.row b {
  position: absolute;
  top: 26px;
  text-align: right;
  font-weight: var(--font-weight-strong);
}
.lane {
  position: absolute;
  top: 0;
}
</style>
