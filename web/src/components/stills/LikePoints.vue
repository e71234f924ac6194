<script setup lang="ts">
import { computed } from 'vue'
import type { StillPair, StillSeen } from '@/api/types'
import DotMark from '@/components/marks/DotMark.vue'
import WedgeMark from '@/components/marks/WedgeMark.vue'
import ToleranceMark from '@/components/match/ToleranceMark.vue'
import { fixed } from '@/lib/print'
import { tenths, thirds } from '@/lib/stops'

/** The points of a still, and what is like them in the one that it is held against. */
const props = defineProps<{
  still: StillSeen
  other?: StillSeen
  pair?: StillPair
  chosen?: number
  editable: boolean
}>()
defineEmits<{ choose: [index: number]; drop: [index: number]; rename: [index: number, name: string] }>()
const seen = computed(() => props.still.head.kind !== 'FRAME')
const rows = computed(() =>
  props.still.points.map((p, index) => ({
    ...p,
    index,
    like: props.pair?.points.find((l) => l.name === p.name),
  })),
)
const percent = (p: { percent: number; clipped: boolean }) => (p.clipped ? 'clipped' : `${fixed(p.percent, 0)} %`)
const stops = (of: number | undefined) => (of === undefined ? 'black' : tenths(of))
</script>

<template>
  <table class="points">
    <caption class="sr-only">
      Points of
      {{
        still.head.slate
      }}
    </caption>
    <thead>
      <tr>
        <th scope="col">Points{{ seen ? ', as seen' : '' }}</th>
        <template v-if="other"
          ><th scope="col" colspan="2">{{ other.head.slate }}</th></template
        >
        <th scope="col" colspan="2">{{ still.head.slate }}</th>
        <template v-if="pair"
          ><th scope="col">apart</th>
          <th scope="col" class="within">within ±{{ thirds(pair.tolerance).slice(1) }} stop</th></template
        >
        <th v-if="editable" scope="col"><span class="sr-only">Let go</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="p in rows" :key="p.name" :class="{ chosen: p.index === chosen }" @click="$emit('choose', p.index)">
        <th scope="row">
          <b>{{ p.index + 1 }}</b>
          <input
            v-if="editable"
            class="name"
            :value="p.name"
            maxlength="40"
            :aria-label="`Name of point ${p.index + 1}`"
            @change="$emit('rename', p.index, ($event.target as HTMLInputElement).value)"
          /><template v-else>{{ p.name }}</template>
        </th>
        <template v-if="other">
          <td class="figure">{{ p.like ? percent(p.like.first) : '' }}</td>
          <td class="figure">{{ p.like ? stops(p.like.first.stops) : '' }}</td>
        </template>
        <td class="figure">{{ percent(p) }}</td>
        <td class="figure">{{ stops(p.stops) }}</td>
        <template v-if="pair">
          <td class="figure">{{ p.like?.apart === undefined ? '' : tenths(p.like.apart) }}</td>
          <td>
            <span v-if="p.like?.holds !== undefined" class="verdict"
              ><ToleranceMark
                :line="{ difference: p.like.apart, tolerance: pair.tolerance, verdict: p.like.holds ? 'HOLDS' : 'OUT' }"
              /><DotMark v-if="p.like.holds" /><WedgeMark v-else /><span class="said">{{
                p.like.holds ? 'holds' : 'does not'
              }}</span></span
            >
          </td>
        </template>
        <td v-if="editable">
          <button class="drop" :aria-label="`Let go of ${p.name}`" @click.stop="$emit('drop', p.index)">×</button>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.points {
  width: 100%;
}
th,
td {
  height: 31px;
  padding-right: 14px;
  border-top: 1px solid var(--line);
  text-align: right;
  font-weight: normal;
}
th:first-child {
  text-align: left;
  white-space: nowrap;
}
thead th {
  font-size: var(--text-small);
  color: var(--quiet);
}
.chosen {
  background: var(--raised);
}
.name {
  width: 9em;
  min-height: 28px;
  padding: 0 4px;
  background: transparent;
  border-bottom: 1px solid var(--line);
}
.verdict {
  display: flex;
  align-items: center;
  gap: 8px;
}
.within {
  text-align: left;
}
.drop {
  min-width: 28px;
  min-height: 28px;
  color: var(--quiet);
}
@media (width < 800px) {
  th,
  td {
    padding-right: 5px;
    font-size: var(--text-small);
  }
  .name {
    width: 5.6em;
  }
  .verdict :deep(svg[width='120']) {
    display: none;
  }
  .said {
    font-size: 0; /* the mark stands for it; it is still read out */
  }
}
@media (pointer: coarse) {
  .name,
  .drop {
    min-width: 44px;
    min-height: 44px;
  }
}
</style>
