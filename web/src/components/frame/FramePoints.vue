<script setup lang="ts">
import type { FramePoint } from '@/api/types'
import { percentText, pointName } from '@/lib/framePoints'
import { tenths } from '@/lib/stops'
import { useSettings } from '@/stores/settings'

/** The light at the points of a picture; one is chosen, for which each source is told. */
defineProps<{ points: FramePoint[]; chosen: number }>()
defineEmits<{ choose: [index: number]; drop: [index: number] }>()
const settings = useSettings()
</script>

<template>
  <ol class="points" aria-label="Points of the picture">
    <li v-for="(p, i) in points" :key="i" :class="{ chosen: i === chosen }">
      <button class="name" :aria-pressed="i === chosen" @click="$emit('choose', i)">
        <b>{{ i + 1 }}</b> {{ pointName(p) }}
      </button>
      <button
        v-if="p.kind === 'TOUCHED'"
        class="drop"
        :aria-label="`Let go of point ${i + 1}, ${pointName(p)}`"
        @click="$emit('drop', i)"
      >
        ×
      </button>
      <p v-if="p.light && p.said" class="figure">
        <span class="swatch" :style="{ background: p.light.swatch }" />
        {{ tenths(p.light.overStops) }} <small>stops</small> {{ settings.printed(p.said) }}
        <template v-if="p.light.kelvin">{{ Math.round(p.light.kelvin) }} <small>K</small></template>
        <span v-if="p.percent !== undefined" :title="p.clipped ? 'more than the monitor’s range' : 'on the monitor'">{{
          percentText(p)
        }}</span>
      </p>
    </li>
  </ol>
</template>

<style scoped>
.points {
  display: flex;
  overflow-x: auto;
  border-bottom: 1px solid var(--line);
}
li {
  position: relative;
  flex: 1 0 auto;
  min-width: 208px;
  max-width: 420px;
  padding: 5px 8px 5px 0;
  margin-right: 10px;
  border-right: 1px solid var(--line);
}
li:last-child {
  border-right: none;
}
.name {
  text-align: left;
  font-size: var(--text-base);
}
.chosen .name b {
  color: var(--accent);
}
.chosen .name {
  text-decoration: underline;
  text-decoration-color: var(--accent);
  text-underline-offset: 3px;
}
.drop {
  position: absolute;
  top: 0;
  right: 4px;
  min-width: 28px;
  min-height: 28px;
  color: var(--quiet);
}
.figure {
  display: flex;
  gap: 7px;
  align-items: baseline;
  white-space: nowrap;
}
.figure small {
  margin-left: -4px;
  font-weight: 300;
  color: var(--quiet);
}
.swatch {
  width: 16px;
  height: 10px;
  align-self: center;
}
@media (width < 800px) {
  .points {
    display: block;
    overflow: visible;
  }
  li {
    min-width: 0;
    max-width: none;
    margin: 0;
    border-right: none;
    border-bottom: 1px solid var(--line);
  }
  .figure {
    flex-wrap: wrap;
  }
}
</style>
