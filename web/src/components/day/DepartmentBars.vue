<script setup lang="ts">
import { computed } from 'vue'
import type { DaySlot } from '@/api/types'
import { DEPARTMENTS } from '@/lib/words'

type Department = DaySlot['departments'][number]['department']

/** How long each department works in each changeover; the one that is done last, full. */
const props = defineProps<{
  slots: DaySlot[]
  lanes: Department[]
  lane: number
  x: (minutes: number) => number
  heads: number
}>()
const TOP = 32
const bars = computed(() =>
  props.slots.flatMap((s) =>
    s.departments.map((d) => ({
      key: `${s.shotId} ${d.department}`,
      last: d.minutes === Math.max(...s.departments.map((o) => o.minutes)),
      minutes: Math.round(d.minutes),
      style: {
        left: `${props.heads + props.x(s.setUpFrom)}px`,
        top: `${TOP + props.lanes.indexOf(d.department) * props.lane}px`,
        width: `${Math.max(2, props.x(s.setUpFrom + d.minutes) - props.x(s.setUpFrom))}px`,
      },
      after: {
        left: `${props.heads + props.x(s.setUpFrom + d.minutes) + 4}px`,
        top: `${TOP - 3 + props.lanes.indexOf(d.department) * props.lane}px`,
      },
    })),
  ),
)
const nameOf = (department: Department) => DEPARTMENTS.find((d) => d.key === department)?.name ?? department
</script>

<template>
  <div>
    <span
      v-for="(d, i) in lanes"
      :key="d"
      class="name"
      :style="{ top: `${TOP - 4 + i * lane}px`, width: `${heads - 6}px` }"
      >{{ nameOf(d) }}</span
    >
    <template v-for="b in bars" :key="b.key">
      <span class="bar" :class="{ last: b.last }" :style="b.style" />
      <span class="after" :style="b.after">{{ b.minutes }}</span>
    </template>
  </div>
</template>

<style scoped>
span {
  position: absolute;
}
.name {
  left: 0;
  text-align: right;
  font-size: var(--text-small);
  color: var(--quiet);
}
.bar {
  height: 11px;
  border: 1px solid var(--ink);
  box-sizing: border-box;
}
.last {
  background: var(--ink);
}
.after {
  font-family: var(--font-mono);
  font-size: var(--text-fine);
  color: var(--quiet);
}
</style>
