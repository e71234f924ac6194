<script setup lang="ts">
import { computed } from 'vue'
import type { UnitView } from '@/api/types'
import { useSettings } from '@/stores/settings'
import { useStock } from '@/stores/stock'

/** Units by their kind; each a bar as wide as its emitter: filled on set, hollow in the store, dashed out, slashed to mend. */
const props = defineProps<{ units: UnitView[]; chosen?: number }>()
defineEmits<{ open: [id: number] }>()
const settings = useSettings()
const stock = useStock()
void stock.fill()

const kinds = computed(() => {
  const by = new Map<string, { kind: string; units: UnitView[] }>()
  for (const u of props.units) {
    const key = u.kind.metric.toLowerCase()
    const found = by.get(key) ?? { kind: settings.printed(u.kind), units: [] }
    found.units.push(u)
    by.set(key, found)
  }
  return [...by.values()]
})
const LEAST_PX = 16
const MOST_PX = 48
const PER_M = 40
function width({ unit }: UnitView): number {
  const metres =
    stock.kit?.fixtures.find((f) => f.piece.what.toLowerCase() === unit.what.toLowerCase())?.piece.widthM ??
    unit.size.widthM ??
    0.3
  return Math.min(MOST_PX, Math.max(LEAST_PX, metres * PER_M))
}
function state({ standsIn, there, inRepair }: UnitView): 'set' | 'in' | 'out' | 'mend' {
  if (standsIn) return 'set'
  return there ? 'in' : inRepair ? 'mend' : 'out'
}
</script>

<template>
  <ul>
    <li
      v-for="k in kinds"
      :key="k.kind"
      class="grid grid-cols-[minmax(0,11fr)_minmax(0,13fr)] gap-x-3 border-b border-line"
    >
      <div class="py-1.5 pl-4">
        <b class="block font-normal">{{ k.kind }}</b><span class="text-small text-quiet"
          >{{ k.units.length }} have</span
        >
      </div>
      <div class="flex flex-wrap gap-x-3">
        <button
          v-for="u in k.units"
          :key="u.id"
          class="unit min-h-11 py-1 text-left"
          :class="{ chosen: u.id === chosen }"
          :aria-pressed="u.id === chosen"
          :data-state="state(u)"
          @click="$emit('open', u.id)"
        >
          <span class="flex items-center gap-2"
            ><svg :width="width(u)" height="12" aria-hidden="true" :class="state(u)">
              <rect x=".7" y="1" :width="width(u) - 1.4" height="10" />
              <path v-if="state(u) === 'mend'" :d="`M1 11L${width(u) - 1} 1`" />
            </svg>
            <b class="font-strong text-ink">{{ u.unit.name }}</b></span
          >
          <span class="block text-small text-quiet">{{ u.where }}</span>
        </button>
      </div>
    </li>
  </ul>
</template>

<style scoped>
rect,
path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.4;
}
.set rect {
  fill: var(--ink);
}
.out rect {
  stroke-dasharray: 3 3;
  stroke: var(--quiet);
}
.chosen b {
  text-decoration: underline;
  text-decoration-color: var(--accent);
  text-decoration-thickness: 2px;
  text-underline-offset: 4px;
}
</style>
